<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Shared\Memo;
use LogicException;

/** A circuit item after item, side after side, round after round; each waits for its last, and who is done early waits. */
final class CircuitSpells
{
    /**
     * @param  non-empty-list<non-empty-list<int>>  $shifts  players who go round at a time
     * @param  array<int, list<int>>  $serving  shift → players who serve them
     * @param  list<int>  $standing  players without a place, who count
     * @return list<Spell>
     */
    public static function of(CircuitDose $dose, array $shifts, array $serving, array $standing, Memo $memo): array
    {
        $spells = [];
        $all = array_merge(...$shifts);
        foreach ($shifts as $shift => $players) {
            $seats = static fn (Role $role, float $share): array => array_fill_keys($standing, new Seat(Role::Counts))
                + array_fill_keys($players, $role === Role::Works ? new Seat($role, ball: $share, wait: 1.0 - $share) : new Seat($role))
                + array_fill_keys($role === Role::Works ? $serving[$shift] ?? [] : [], new Seat(Role::Serves))
                + array_fill_keys($all, $role === Role::Works ? new Seat(Role::Waits, wait: 1.0) : new Seat($role));
            if ($shift > 0) {
                $changing = $seats(Role::ChangesOver, 0.0);
                $spells[] = new Spell(SegmentKind::Change, GoPattern::SWAP_SECONDS, true, $changing, shift: $shift + 1);
            }
            for ($round = 1; $round <= $dose->sets(); $round++) {
                foreach ($dose->items as $i => $item) {
                    $own = (new OwnTimes($item->dose, null, $memo))->of($item->pace);
                    $slowest = $own->largestOfSame(count($players))->mean();
                    $sides = SideNames::of($item->dose);
                    foreach ($sides as $side) {
                        $spells[] = new Spell(
                            kind: SegmentKind::Work,
                            seconds: $slowest / count($sides),
                            endsByClock: $item->dose->clockedSetSeconds() !== null,
                            seats: $seats(Role::Works, $slowest <= 0.0 ? 1.0 : min(1.0, $own->mean() / $slowest)),
                            side: $side,
                            set: $round,
                            item: $i,
                            shift: $shift + 1,
                        );
                    }
                    $rest = $i < count($dose->items) - 1 ? $item->restSeconds : ($round < $dose->sets() ? $dose->restSeconds() : 0.0);
                    if ($rest > 0.0) {
                        $next = ($i + 1) % count($dose->items);
                        $spells[] = new Spell(
                            SegmentKind::Rest,
                            $rest,
                            true,
                            $seats(Role::Rests, 0.0),
                            set: $round,
                            item: $next,
                            shift: $shift + 1,
                        );
                    }
                }
            }
            $spells[] = array_pop($spells)?->owing($players) ?? throw new LogicException('A circuit has no items.');
        }

        return $spells;
    }
}
