<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Shared\Cure;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Timeline\BlockEvaluation;

/** Water by minutes of work, wherever they fall: over several blocks, or in one long one. */
final class WaterWarnings
{
    /**
     * @param  float  $dry  seconds of work since the last water
     * @param  float  $minutes  of work after which there is water
     * @return array{float, list<Warning>} seconds of work since the last water once the block is over
     */
    public static function of(BlockKind $kind, BlockEvaluation $evaluation, float $dry, float $minutes): array
    {
        if ($kind === BlockKind::Water) {
            return [0.0, []];
        }
        $work = match ($kind) {
            BlockKind::Drill => $evaluation->work->mean(),
            BlockKind::Game => $evaluation->meanSeconds(),
            default => 0.0,
        };
        $most = $minutes * 60.0 + 1e-6;
        $warnings = [];
        if ($dry > 0.0 && $dry + $work > $most && $work > 0.0) {
            $warnings[] = new Warning(
                sprintf('%d minutes of work without water by the end of it.', (int) round(($dry + $work) / 60.0)),
                Cure::waterBefore(),
                'water',
            );
            $dry = 0.0;
        }
        if ($work > $most) {
            $warnings[] = new Warning(
                sprintf('%d minutes of work in one: stop for water after %d of them.', (int) round($work / 60.0), (int) round($minutes)),
                null,
                'water',
            );
        }

        return [$dry + $work, $warnings];
    }
}
