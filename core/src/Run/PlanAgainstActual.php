<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

/** A session as it was planned and as it went, block by block. */
final class PlanAgainstActual
{
    /**
     * @param  list<StretchTime>  $stretches  of the whole session, those that were never entered with no time
     * @param  list<string>  $written  blocks of which numbers were written down
     * @return array<string, BlockActual> block → how it went, in the order of the session
     */
    public static function of(array $stretches, array $written = []): array
    {
        $byBlock = [];
        foreach ($stretches as $one) {
            $byBlock[$one->blockId][] = $one;
        }

        return array_map(
            static fn (array $own): BlockActual => BlockActual::of($own, isWritten: in_array($own[0]->blockId, $written, true)),
            $byBlock,
        );
    }
}
