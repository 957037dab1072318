<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\DrillVersion;
use App\Models\LadderVersion;
use FleetSparrow\Core\Ladder\Axis;
use FleetSparrow\Core\Ladder\Ladder;
use FleetSparrow\Core\Ladder\Rung;

/** What is one step harder and one step easier than a drill, by the ladders it stands on: in which way, and which drill that is. */
final class StepsQuery
{
    /**
     * @param  list<string>  $slugs
     * @return array<string, array{easier: string|null, harder: string|null}> drill's slug → in words
     */
    public static function of(array $slugs): array
    {
        $ladders = LadderVersion::query()->where('is_current', true)->get()
            ->map(fn (LadderVersion $one): Ladder => $one->ladder())->all();
        $names = DrillVersion::ofTheBook()->where('is_current', true)->pluck('name', 'slug')->all();
        $steps = [];
        foreach (array_unique($slugs) as $slug) {
            foreach ($ladders as $ladder) {
                $around = $ladder->around($slug);
                if ($around !== null && ! isset($steps[$slug])) {
                    [$easier, $harder] = [$around['easier'], $around['harder']];
                    $steps[$slug] = [
                        'easier' => self::words($easier, self::ways($around['here'], self::easier(...)), $names),
                        'harder' => self::words($harder, self::ways($harder, self::harder(...)), $names),
                    ];
                }
            }
        }

        return $steps;
    }

    private static function easier(Axis $one): string
    {
        return $one->easierWords();
    }

    private static function harder(Axis $one): string
    {
        return $one->words();
    }

    /** @param  callable(Axis): string  $words */
    private static function ways(?Rung $rung, callable $words): string
    {
        return implode(', ', array_map($words, $rung->harderBy ?? []));
    }

    /** @param  array<array-key, mixed>  $names  slug → name */
    private static function words(?Rung $rung, string $ways, array $names): ?string
    {
        if ($rung === null) {
            return null;
        }
        $name = is_string($names[$rung->drill] ?? null) ? $names[$rung->drill] : $rung->drill;

        return $ways === '' ? $name : "{$name} ({$ways})";
    }
}
