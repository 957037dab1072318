<?php

declare(strict_types=1);

namespace App\Planning;

use FleetSparrow\Core\Home\RoutineDay;
use FleetSparrow\Core\Home\RoutineItem;

/** A week at home as a coach kept it: what the sheet, the player's page and the coach see is this one. */
final readonly class KeptRoutine
{
    /**
     * @param  string  $on  the day it was kept
     * @param  list<RoutineDay>  $days
     * @param  array<string, array{version: int, links: int|null, dose: array<string, mixed>}>  $tasks  slug → what is asked of it on the
     *     first day it is in
     */
    public function __construct(public RoutineWishes $wishes, public string $on, public array $days, public array $tasks)
    {
    }

    /** @return list<string> slugs of what is in it */
    public function drills(): array
    {
        return array_map(static fn (RoutineItem $item): string => $item->drill->slug, $this->days[0]->items ?? []);
    }

    /**
     * Whether another week has the same to do: numbers to beat may have moved on since.
     *
     * @param  list<RoutineDay>  $days
     */
    public function isSameAs(array $days): bool
    {
        return self::tasks($this->days) === self::tasks($days);
    }

    /**
     * @param  list<RoutineDay>  $days
     * @return list<list<mixed>>
     */
    private static function tasks(array $days): array
    {
        return array_map(static fn (RoutineDay $day): array => array_map(
            static fn (RoutineItem $item): array => [$item->drill->slug, $item->links, $item->dose->fields()],
            $day->items,
        ), $days);
    }
}
