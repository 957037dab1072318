<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Squad;
use App\Planning\DrillShelf;
use App\Planning\KeptRoutine;
use App\Planning\RoutineWishes;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Home\RoutineDay;
use FleetSparrow\Core\Home\RoutineItem;
use Illuminate\Support\Facades\DB;

/**
 * Reads the weeks at home that were kept.
 *
 * @phpstan-type Item array{version: int, links: int|null, dose: array<string, mixed>, minutes: float, reasons: list<string>,
 *     target: string|null}
 * @phpstan-type Day array{number: int, isOtherFoot: bool, minutes: float, items: list<Item>}
 */
final class KeptRoutineQuery
{
    public function __construct(private readonly DrillShelf $shelf)
    {
    }

    /**
     * @param  list<int>  $playerIds  of the squad
     * @return array<int, KeptRoutine> by player
     */
    public function of(Squad $squad, array $playerIds): array
    {
        [$rows, $weeks, $versions] = [DB::table('home_routines')->whereIn('player_id', $playerIds)->get(), [], []];
        foreach ($rows as $row) {
            /** @var list<Day> $week */
            $week = json_decode((string) $row->week, true, 12, JSON_THROW_ON_ERROR);
            $weeks[(int) $row->player_id] = $week;
            foreach ($week as $day) {
                $versions = [...$versions, ...array_column($day['items'], 'version')];
            }
        }
        $drills = $versions === [] ? [] : $this->shelf->drills($squad, array_values(array_unique($versions)));
        $kept = [];
        foreach ($rows as $row) {
            /** @var array<string, mixed> $wishes */
            $wishes = json_decode((string) $row->wishes, true, 4, JSON_THROW_ON_ERROR);
            $kept[(int) $row->player_id] = new KeptRoutine(
                RoutineWishes::of($wishes),
                (string) $row->kept_on,
                array_values(array_filter(
                    array_map(static fn (array $day): RoutineDay => self::day($day, $drills), $weeks[(int) $row->player_id]),
                    static fn (RoutineDay $day): bool => $day->items !== [],
                )),
                self::tasks($weeks[(int) $row->player_id], $drills),
            );
        }

        return $kept;
    }

    /**
     * @param  list<Day>  $week
     * @param  array<int, Drill>  $drills  by version
     * @return array<string, array{version: int, links: int|null, dose: array<string, mixed>}> by slug
     */
    private static function tasks(array $week, array $drills): array
    {
        $tasks = [];
        foreach (array_merge([], ...array_column($week, 'items')) as $item) {
            $slug = ($drills[$item['version']] ?? null)?->slug;
            if ($slug !== null) {
                $tasks[$slug] ??= array_intersect_key($item, ['version' => true, 'links' => true, 'dose' => true]);
            }
        }

        return $tasks;
    }

    /**
     * @param  Day  $day
     * @param  array<int, Drill>  $drills  by version; one that was taken out of the book since is left out
     */
    private static function day(array $day, array $drills): RoutineDay
    {
        $items = [];
        foreach ($day['items'] as $item) {
            $drill = $drills[$item['version']] ?? null;
            if ($drill !== null) {
                $items[] = new RoutineItem(
                    $drill,
                    $drill->doseFrom($item['dose']),
                    $item['links'],
                    $item['minutes'],
                    $item['reasons'],
                    $item['target'],
                );
            }
        }

        return new RoutineDay($day['number'], $day['isOtherFoot'], $items, $day['minutes']);
    }
}
