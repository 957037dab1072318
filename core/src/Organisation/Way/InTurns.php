<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation\Way;

use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Go;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\WorkingWay;

/**
 * Own ball, take turns, worker and server: some at a place work, the others serve them, rest or wait, go by go, until everybody has
 * done every set on every side. One alone at a place has the place, and the ball, to themselves.
 *
 * A partner's go is rest up to the longer of the dose's rest and one own go; beyond that, before the first and after the last own
 * go, it is waiting. Who serves has served instead.
 */
final readonly class InTurns implements WorkingWay
{
    /**
     * @param  int<1, max>  $atOnce  workers of a place at a time
     * @param  int<0, max>  $servers  who serve them, where players do
     */
    private function __construct(private int $atOnce, private int $servers)
    {
    }

    public static function alone(): self
    {
        return new self(1, 0);
    }

    /**
     * @param  int<1, max>  $atOnce
     * @param  int<0, max>  $servers
     */
    public static function served(int $atOnce, int $servers): self
    {
        return new self($atOnce, $servers);
    }

    public function goes(Crew $crew, GoPattern $pattern): array
    {
        $shifts = array_chunk(range(0, $crew->workers - 1), $this->atOnce);
        $order = [];
        foreach ($pattern->sides as $side) {
            for ($set = 1; $set <= $pattern->sets; $set++) {
                foreach ($shifts as $shift => $workers) {
                    $order[] = [$side, $set, $shift];
                }
            }
        }
        [$goes, $rested, $clock, $readyAt] = [[], $this->restOf($order, count($shifts), $pattern), 0.0, []];
        foreach ($order as $i => [$side, $set, $shift]) {
            $swap = $i > 0 && count($shifts) > 1 ? GoPattern::SWAP_SECONDS : 0.0;
            $gap = $i === 0 ? 0.0 : max($swap, ($readyAt[$shift] ?? 0.0) - $clock);
            $clock += $gap + $pattern->goSeconds;
            $readyAt[$shift] = $clock + $pattern->restSeconds;
            $goes[] = new Go($side, $set, $gap, $swap, $this->seats($crew, $shifts, $shift, $rested[$i]), $shifts[$shift], shift: $shift);
        }

        return $goes;
    }

    public function lanes(Crew $crew): array
    {
        $lanes = [];
        foreach (array_chunk(range(0, $crew->workers - 1), $this->atOnce) as $workers) {
            foreach ($workers as $lane => $slot) {
                $lanes[$lane][] = $slot;
            }
        }

        return array_values($lanes);
    }

    public function shifts(Crew $crew): int
    {
        return (int) ceil($crew->workers / $this->atOnce);
    }

    public function secondsPerRep(Crew $crew, float $seconds, ?float $setSeconds = null): float
    {
        return $seconds;
    }

    public function balls(Crew $crew): int
    {
        return min($this->atOnce, $crew->workers);
    }

    /**
     * How much of each go a shift that does not work still rests, from 0 to 1.
     *
     * @param  list<array{string, int, int}>  $order
     * @return list<list<float>> go → shift → share
     */
    private function restOf(array $order, int $shifts, GoPattern $pattern): array
    {
        $last = array_fill(0, $shifts, -1);
        foreach ($order as $i => [, , $shift]) {
            $last[$shift] = $i;
        }
        $budget = max($pattern->restSeconds, $pattern->goSeconds);
        [$left, $rested] = [array_fill(0, $shifts, 0.0), []];
        foreach ($order as $i => [, , $working]) {
            $share = array_fill(0, $shifts, 0.0);
            foreach (array_keys($share) as $shift) {
                if ($shift === $working || $i > $last[$shift]) {
                    continue;
                }
                $share[$shift] = $pattern->goSeconds <= 0.0 ? 0.0 : min(1.0, $left[$shift] / $pattern->goSeconds);
                $left[$shift] -= $share[$shift] * $pattern->goSeconds;
            }
            $left[$working] = $budget;
            $rested[] = $share;
        }

        return $rested;
    }

    /**
     * @param  non-empty-list<non-empty-list<int>>  $shifts
     * @param  list<float>  $rested  of each shift
     * @return array<int, Seat>
     */
    private function seats(Crew $crew, array $shifts, int $working, array $rested): array
    {
        $seats = [];
        foreach ($shifts as $shift => $slots) {
            foreach ($slots as $slot) {
                $seats[$slot] = match (true) {
                    $shift === $working => new Seat(Role::Works, slot: $slot, ball: 1.0),
                    $rested[$shift] > 0.0 => new Seat(Role::Rests, slot: $slot, wait: 1.0 - $rested[$shift]),
                    default => new Seat(Role::Waits, slot: $slot),
                };
            }
        }
        $needed = $this->servers === 0 || $crew->isHelped ? 0 : $this->servers;
        for ($slot = $crew->workers; $slot < $crew->people(); $slot++) {
            $seats[$slot] = $needed > 0
                ? new Seat(Role::Serves, slot: $slot)
                : new Seat($this->servers === 0 ? Role::Counts : Role::Waits, slot: $slot);
            $needed--;
        }

        return $this->withServers($seats, $shifts, $working, $needed);
    }

    /**
     * Who has just worked serves: they are at the place, and the one who comes next gets ready.
     *
     * @param  array<int, Seat>  $seats
     * @param  non-empty-list<non-empty-list<int>>  $shifts
     * @return array<int, Seat>
     */
    private function withServers(array $seats, array $shifts, int $working, int $needed): array
    {
        for ($back = 1; $back < count($shifts) && $needed > 0; $back++) {
            foreach ($shifts[($working - $back + count($shifts)) % count($shifts)] as $slot) {
                if ($needed > 0) {
                    $seats[$slot] = new Seat(Role::Serves, slot: $slot);
                    $needed--;
                }
            }
        }

        return $seats;
    }
}
