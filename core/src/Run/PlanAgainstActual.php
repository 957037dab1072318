<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

/** A session as it was planned and as it went, block by block. */
final class PlanAgainstActual
{
    /**
     * @param  list<StretchTime>  $stretches  of the whole session, those that were never entered with no time
     * @return array<string, BlockActual> block → how it went, in the order of the session
     */
    public static function of(array $stretches): array
    {
        $byBlock = [];
        foreach ($stretches as $one) {
            $byBlock[$one->blockId][] = $one;
        }

        return array_map(BlockActual::of(...), $byBlock);
    }
}
