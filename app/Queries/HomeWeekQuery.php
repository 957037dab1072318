<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Player;
use App\Models\Squad;
use App\Planning\HomeWeek;
use App\Planning\KeptRoutine;
use App\Planning\SquadAims;
use FleetSparrow\Core\Home\HomeDay;
use FleetSparrow\Core\Home\RoutineDay;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Memo;

/** The weeks that were kept, worked out: what the timer counts and which numbers are asked for, on which lines. */
final class HomeWeekQuery
{
    public function __construct(
        private readonly KeptRoutineQuery $kept,
        private readonly RecordQuery $records,
        private readonly SquadAims $aims,
    ) {
    }

    /**
     * @param  iterable<Player>  $players  of the squad
     * @return array<int, HomeWeek> by player; none for whom no week was kept, or nothing is in it
     */
    public function of(Squad $squad, iterable $players): array
    {
        [$byId, $weeks, $keys, $memo] = [[], [], [], new Memo];
        foreach ($players as $player) {
            $byId[$player->id] = $player;
        }
        foreach ($this->kept->of($squad, array_keys($byId)) as $playerId => $kept) {
            $days = self::worked($kept, $byId[$playerId], $memo);
            if ($days === []) {
                continue;
            }
            $lineKeys = self::lineKeys($kept, $squad->ballSize());
            $weeks[$playerId] = ['kept' => $kept, 'days' => $days, 'keys' => $lineKeys];
            $keys = [...$keys, ...array_values($lineKeys)];
        }
        $keys = array_values(array_unique($keys));
        $lines = $this->records->named($keys);
        $readings = $this->records->readings(array_keys($weeks), $keys);
        $aims = $this->aims->of($squad, $lines);

        $worked = [];
        foreach ($weeks as $playerId => ['kept' => $kept, 'days' => $days, 'keys' => $own]) {
            $worked[$playerId] = new HomeWeek(
                kept: $kept,
                days: $days,
                lineKeys: array_filter($own, static fn (string $key): bool => isset($lines[$key])),
                lines: $lines,
                readings: $readings[$playerId] ?? [],
                aims: $aims,
            );
        }

        return $worked;
    }

    /** @return list<HomeDay> day by day; days that are alike are worked out once */
    private static function worked(KeptRoutine $kept, Player $player, Memo $memo): array
    {
        [$alike, $worked] = [[], []];
        foreach ($kept->days as $day) {
            $worked[] = $alike[(int) $day->isOtherFoot] ??= HomeDay::of($day, new PlanPlayer($player->id, $player->strong_foot), $memo);
        }

        return $worked;
    }

    /** @return array<string, string> drill, item and side → line key, see HomeWeek::lineOf */
    private static function lineKeys(KeptRoutine $kept, int $ballSize): array
    {
        $keys = [];
        foreach (array_merge([], ...array_map(static fn (RoutineDay $day): array => $day->items, $kept->days)) as $item) {
            foreach ($item->block()->lines($ballSize) as $line) {
                $keys[HomeWeek::nameOf($item->drill->slug, $line->item, $line->side->value)] = $line->task->key;
            }
        }

        return $keys;
    }
}
