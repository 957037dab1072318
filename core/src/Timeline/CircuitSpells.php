<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\CircuitPace;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Record\OwedSets;

/**
 * A circuit round after round. Item after item, side after side, where each waits for its last or for the whistle, and who is done
 * early waits or begins again; in one stretch where everybody goes at their own pace.
 */
final class CircuitSpells
{
    /**
     * @param  non-empty-list<CircuitShift>  $shifts
     * @param  list<int>  $standing  players without a place, who count
     * @return list<Spell>
     */
    public static function of(
        CircuitDose $dose,
        CircuitTimes $times,
        array $shifts,
        array $standing,
        bool $isCounted,
    ): array {
        $spells = [];
        $all = array_merge(...array_map(static fn (CircuitShift $one): array => [...$one->workers, ...$one->serving], $shifts));
        foreach ($shifts as $shift => $now) {
            $players = $now->workers;
            $seats = static fn (Role $role, float $share = 1.0): array => array_fill_keys($standing, new Seat(Role::Counts))
                + self::atWork($now, $role, $share)
                + array_fill_keys($all, new Seat($role === Role::ChangesOver ? $role : Role::Waits));
            if ($shift > 0) {
                $spells[] = new Spell(SegmentKind::Change, GoPattern::SWAP_SECONDS, true, $seats(Role::ChangesOver), shift: $shift + 1);
            }
            $rounds = $dose->pace === CircuitPace::Own
                ? self::atOwnPace($dose, $times, count($players), $seats, $shift + 1)
                : self::together($dose, $times, $players, $seats, $shift + 1);
            $last = array_pop($rounds);
            $isOwed = $dose->hasNumbers() ? $dose->pace === CircuitPace::Own : $isCounted;
            $spells = [...$spells, ...$rounds, ...($last === null ? [] : [$isOwed ? $last->owing($players) : $last])];
        }

        return $spells;
    }

    /** @return array<int, Seat> player → seat, of those who go round and of those who serve them */
    private static function atWork(CircuitShift $now, Role $role, float $share): array
    {
        if ($role !== Role::Works) {
            return array_fill_keys([...$now->workers, ...$now->again, ...$now->serving], new Seat($role));
        }
        $seat = new Seat($role, ball: $share, wait: 1.0 - $share);

        return array_fill_keys($now->workers, $seat)
            + array_fill_keys($now->again, $seat->again())
            + array_fill_keys($now->serving, new Seat(Role::Serves));
    }

    /**
     * One stretch a round, as long as the slowest takes: who is through before waits.
     *
     * @param  callable(Role, float=): array<int, Seat>  $seats
     * @return list<Spell>
     */
    private static function atOwnPace(CircuitDose $dose, CircuitTimes $times, int $players, callable $seats, int $shift): array
    {
        $rests = ($dose->sets() - 1) * $dose->restSeconds();
        $seconds = ($times->whole($players)->mean() - $rests) / $dose->sets();
        $share = $seconds <= 0.0 ? 1.0 : min(1.0, ($times->alone()->mean() - $rests) / $dose->sets() / $seconds);
        $spells = [];
        for ($round = 1; $round <= $dose->sets(); $round++) {
            if ($round > 1 && $dose->restSeconds() > 0.0) {
                $spells[] = new Spell(SegmentKind::Rest, $dose->restSeconds(), true, $seats(Role::Rests), set: $round, shift: $shift);
            }
            $spells[] = new Spell(
                kind: SegmentKind::Work,
                seconds: $seconds,
                endsByClock: false,
                seats: $seats(Role::Works, $share),
                set: $round,
                shift: $shift,
            );
        }

        return $spells;
    }

    /**
     * @param  list<int>  $players
     * @param  callable(Role, float=): array<int, Seat>  $seats
     * @return list<Spell>
     */
    private static function together(CircuitDose $dose, CircuitTimes $times, array $players, callable $seats, int $shift): array
    {
        $spells = [];
        for ($round = 1; $round <= $dose->sets(); $round++) {
            foreach ($dose->items as $i => $item) {
                $stretch = $times->item($item, count($players));
                $isOwed = $item->rule !== null && ($item->rule->owed === OwedSets::Every || $round === $dose->sets());
                $isClocked = $stretch->isFixed();
                $share = $isClocked ? 1.0 : min(1.0, $times->own($item)->mean() / $stretch->mean());
                $sides = SideNames::of($item->dose);
                foreach ($sides as $side) {
                    $spells[] = new Spell(
                        kind: SegmentKind::Work,
                        seconds: $stretch->mean() / count($sides),
                        endsByClock: $isClocked,
                        seats: $seats(Role::Works, $share),
                        side: $side,
                        set: $round,
                        owed: $isOwed ? $players : [],
                        item: $i,
                        shift: $shift,
                    );
                }
                $rest = $i < count($dose->items) - 1 ? $item->restSeconds : ($round < $dose->sets() ? $dose->restSeconds() : 0.0);
                if ($rest > 0.0) {
                    $next = ($i + 1) % count($dose->items);
                    $spells[] = new Spell(SegmentKind::Rest, $rest, true, $seats(Role::Rests), set: $round, item: $next, shift: $shift);
                }
            }
        }

        return $spells;
    }
}
