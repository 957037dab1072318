<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Shared\AgeGroup;

/**
 * One drill for another age: its lengths and its dose times the factors the drill itself names. Lengths come out to a tenth of
 * the unit they are written in, seconds to whole fives, counts to whole numbers, none below one.
 */
final class DrillScaling
{
    private const COUNTS = ['reps', 'good', 'total', 'balls', 'lengths', 'goal'];

    /** A level also reaches the age next to it; this tool's own value. */
    private const REACH = 1;

    /** The factor for a group, or null where the drill is done as it stands. */
    public static function factor(Drill $drill, AgeGroup $ageGroup): ?LevelFactor
    {
        $best = null;
        foreach ($drill->demands->levels as $level) {
            $isFor = $level->dose < 1.0
                ? $ageGroup->under <= $level->ageGroup->under + self::REACH
                : $ageGroup->under >= $level->ageGroup->under - self::REACH;
            if (
                $isFor
                && ($best === null || abs($level->ageGroup->under - $ageGroup->under) < abs($best->ageGroup->under - $ageGroup->under))
            ) {
                $best = $level;
            }
        }

        return $best;
    }

    /**
     * @param  array<string, mixed>  $fields  of the drill
     * @return array<string, mixed>
     */
    public static function fields(array $fields, LevelFactor $factor): array
    {
        $layout = is_array($fields['layout'] ?? null) ? $fields['layout'] : [];
        foreach ($layout as $name => $value) {
            if (is_array($value) && is_numeric($value['value'] ?? null)) {
                $layout[$name] = ['value' => max(0.1, round($value['value'] * $factor->distance, 1))] + $value;
            }
        }
        $fields['layout'] = $layout;
        if (is_array($fields['dose'] ?? null)) {
            $fields['dose'] = self::dose($fields['dose'], $factor->dose);
        }
        // Who it was scaled for is said once: scaling twice would compound.
        $fields['levels'] = [];

        return $fields;
    }

    /**
     * A dose alone, for others who do the same drill.
     *
     * @param  array<array-key, mixed>  $dose
     * @return array<array-key, mixed>
     */
    public static function dose(array $dose, float $factor): array
    {
        foreach (self::COUNTS as $name) {
            if (is_int($dose[$name] ?? null) && ! isset($dose['tempos'])) {
                $dose[$name] = max(1, (int) round($dose[$name] * $factor));
            }
        }
        if (is_numeric($dose['workSeconds'] ?? null)) {
            $dose['workSeconds'] = max(5, 5 * (int) round($dose['workSeconds'] * $factor / 5));
        }

        return $dose;
    }
}
