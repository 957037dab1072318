<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Timeline\StationTurn;

/** The stretches of one turn of a round: the move to it, the work at all stations, and after the last one the writing. */
final class RoundSheet
{
    /**
     * @param  list<list<StationTurn>>  $map  turn → station → who is there
     * @param  array<string, float>  $parts  mean seconds by part
     * @param  float  $moveSeconds  before the coach's own times are known
     * @return list<Segment>
     */
    public static function of(int $turn, Visits $visits, array $map, array $parts, float $moveSeconds): array
    {
        $blockId = $visits->visits[$turn][0]->blockId ?? '';
        [$left, $right, $seats] = [0.0, 0.0, []];
        $everybody = array_sum(array_map(count(...), $visits->groups));
        foreach ($visits->in($turn) as $visit) {
            $share = $visits->share($visit, $parts['work']) * count($visit->atWork) / $everybody;
            foreach ($visit->segments as $segment) {
                [$left, $right] = [$left + $segment->leftTouches * $share, $right + $segment->rightTouches * $share];
            }
            foreach ($visits->timesOf($visit, $parts['work']) as $player => $time) {
                $seats[$player] = self::seat($time, $parts['work']);
            }
        }
        $players = array_keys($seats);
        $all = static fn (Role $role): array => array_fill_keys($players, new Seat($role));
        $segments = $turn === 0 ? [] : [new Segment(
            id: "{$blockId}-move",
            blockId: $blockId,
            kind: SegmentKind::Change,
            seconds: $parts['changeOver'],
            endsByClock: false,
            plainSeconds: $moveSeconds,
            seats: $all(Role::ChangesOver),
            stations: $map[$turn] ?? [],
        )];
        $segments[] = new Segment(
            id: "{$blockId}-turn",
            blockId: $blockId,
            kind: SegmentKind::Work,
            seconds: $parts['work'],
            endsByClock: ! $visits->isWaiting,
            set: 1,
            turn: $turn + 1,
            working: $players,
            leftTouches: $left,
            rightTouches: $right,
            owed: $visits->owed($turn),
            seats: $seats,
            stations: $map[$turn] ?? [],
        );

        return $parts['write'] <= 0.0 ? $segments : [...$segments, new Segment(
            id: "{$blockId}-write",
            blockId: $blockId,
            kind: SegmentKind::Write,
            seconds: $parts['write'],
            endsByClock: false,
            set: 1,
            turn: $turn + 1,
            working: $players,
            seats: $all(Role::WritesDown),
        )];
    }

    /** A whole visit as one seat: whatever it is made of, so much of it the ball is theirs and so much they wait. */
    private static function seat(PlayerTime $time, float $seconds): Seat
    {
        $share = static fn (float $part): float => $seconds <= 0.0 ? 0.0 : min(1.0, $part / $seconds);

        return new Seat(
            $time->workSeconds() > 0.0 ? Role::Works : Role::Serves,
            ball: $share($time->ballSeconds),
            wait: $share($time->waitingSeconds),
            footwork: $share($time->footworkSeconds),
        );
    }
}
