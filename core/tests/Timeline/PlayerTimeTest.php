<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Timeline;

use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\Roster;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Timeline\Spell;
use PHPUnit\Framework\TestCase;

/** The longest wait is the longest unbroken run of it, over spells, within a block, and from one block to the next. */
final class PlayerTimeTest extends TestCase
{
    public function test_waits_are_unbroken_until_somebody_works_or_rests(): void
    {
        // 5 s and 10 s of waiting, work, 20 s, rest, 3 s of changing over, 4 s.
        $time = self::spent([
            [5.0, Role::Waits], [10.0, Role::ChangesOver], [30.0, Role::Works], [20.0, Role::Waits], [8.0, Role::Rests],
            [3.0, Role::ChangesOver], [4.0, Role::Waits],
        ]);
        self::assertSame([42.0, 20.0, 15.0, 7.0], [$time->waitingSeconds, $time->longestWaitSeconds, $time->leads, $time->trails]);
        // Nothing but waiting both leads and trails.
        $all = self::spent([[5.0, Role::Waits], [10.0, Role::Waits]]);
        self::assertSame([15.0, 15.0, 15.0], [$all->longestWaitSeconds, $all->leads, $all->trails]);
        $none = self::spent([[5.0, Role::Works]]);
        self::assertSame([0.0, 0.0, 0.0], [$none->longestWaitSeconds, $none->leads, $none->trails]);
    }

    public function test_who_waits_for_half_of_a_stretch_waits_half_of_it_at_a_time_and_in_a_queue_from_turn_to_turn(): void
    {
        $spell = fn (float $gap): Spell => new Spell(
            kind: SegmentKind::Work,
            seconds: 20.0,
            endsByClock: true,
            seats: [1 => new Seat(Role::Works, ball: 0.5, wait: 0.5, gapSeconds: $gap)],
        );
        self::assertSame(10.0, Roster::of([$spell(0.0)], [1])[1]->longestWaitSeconds);
        self::assertSame(2.0, Roster::of([$spell(4.0)], [1])[1]->longestWaitSeconds);
    }

    public function test_laying_out_goes_before_and_writing_down_after(): void
    {
        $time = (new PlayerTime(30.0, 5.0, 12.0, longestWaitSeconds: 8.0, leads: 3.0, trails: 4.0))->within(7.0, 5.0);
        // Explaining lies between laying out and the work.
        self::assertSame([24.0, 9.0, 7.0, 9.0], [$time->waitingSeconds, $time->longestWaitSeconds, $time->leads, $time->trails]);
        self::assertSame([30.0, 5.0], [$time->ballSeconds, $time->servingSeconds]);
        self::assertSame(20.0, (new PlayerTime(longestWaitSeconds: 8.0))->within(20.0, 5.0)->longestWaitSeconds);
        self::assertSame(8.0, (new PlayerTime(longestWaitSeconds: 8.0))->within(1.0, 5.0)->longestWaitSeconds);
    }

    public function test_one_block_after_another_is_one_wait_where_they_meet(): void
    {
        $first = new PlayerTime(10.0, 1.0, 9.0, longestWaitSeconds: 5.0, leads: 2.0, trails: 4.0);
        $second = new PlayerTime(20.0, 2.0, 8.0, longestWaitSeconds: 6.0, leads: 3.0, trails: 1.0);
        self::assertEquals(new PlayerTime(30.0, 3.0, 17.0, longestWaitSeconds: 7.0, leads: 2.0, trails: 1.0), $first->plus($second));
        self::assertSame(6.0, $second->plus($first)->longestWaitSeconds);
    }

    public function test_a_share_of_a_visit_waits_no_longer_at_a_time_for_beginning_again(): void
    {
        $time = new PlayerTime(10.0, 4.0, 6.0, longestWaitSeconds: 5.0, leads: 3.0, trails: 2.0);
        self::assertEquals(new PlayerTime(20.0, 8.0, 12.0, longestWaitSeconds: 5.0, leads: 3.0, trails: 2.0), $time->times(2.0));
        self::assertEquals(new PlayerTime(5.0, 2.0, 3.0, longestWaitSeconds: 2.5, leads: 1.5, trails: 1.0), $time->times(0.5));
    }

    /** @param  list<array{float, Role}>  $spells */
    private static function spent(array $spells): PlayerTime
    {
        return Roster::of(array_map(static fn (array $one): Spell => new Spell(
            kind: SegmentKind::Work,
            seconds: $one[0],
            endsByClock: true,
            seats: [1 => new Seat($one[1], ball: $one[1] === Role::Works ? 1.0 : 0.0)],
        ), $spells), [1])[1];
    }
}
