<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Timeline\Owed;
use FleetSparrow\Core\Timeline\RunSheet;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Timeline\Touching;

/** All stretches of a block in their order: laying out, explaining, the work, and the writing that does not fit into it. */
final class BlockSheet
{
    /**
     * @param  array<string, float>  $parts  mean seconds by part
     * @param  array{setUp: float|null, explain: float}  $plain  before the coach's own times are known; null where they teach nothing
     * @param  list<list<Owed>>  $owed  numbers written after each spell
     * @return list<Segment>
     */
    public static function of(string $blockId, Cast $cast, Touching $touching, array $parts, array $plain, array $owed): array
    {
        $segments = [];
        $all = static fn (Role $role): array => array_fill_keys(array_keys($cast->players), new Seat($role));
        foreach ([
            [SegmentKind::SetUp, 'setUp', Role::LaysOut],
            [SegmentKind::Explain, 'explain', Role::Listens],
        ] as [$kind, $part, $role]) {
            if ($parts[$part] > 0.0 || $part === 'explain') {
                $segments[] = new Segment(
                    id: "{$blockId}-".(count($segments) + 1),
                    blockId: $blockId,
                    kind: $kind,
                    seconds: $parts[$part],
                    endsByClock: false,
                    plainSeconds: $plain[$part],
                    seats: $all($role),
                );
            }
        }
        $work = RunSheet::of($blockId, $cast->spells, $owed, $cast->dose, $touching, count($segments) + 1);
        $segments = [...$segments, ...$work];
        $last = $work === [] ? null : $work[count($work) - 1];

        return $parts['write'] <= 0.0 || $last === null ? $segments : [...$segments, new Segment(
            id: "{$blockId}-".(count($segments) + 1),
            blockId: $blockId,
            kind: SegmentKind::Write,
            seconds: $parts['write'],
            endsByClock: false,
            side: $last->side,
            set: $last->set,
            turn: $last->turn,
            working: $last->working,
            seats: $all(Role::WritesDown),
        )];
    }
}
