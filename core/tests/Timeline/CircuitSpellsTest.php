<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Timeline;

use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\QuotaDose;
use FleetSparrow\Core\Dose\TimedDose;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\CircuitItem;
use FleetSparrow\Core\Drill\CircuitPace;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\CircuitShift;
use FleetSparrow\Core\Timeline\CircuitSpells;
use FleetSparrow\Core\Timeline\CircuitTimes;
use FleetSparrow\Core\Timeline\Roster;
use FleetSparrow\Core\Timeline\Spell;
use FleetSparrow\Core\Timeline\Touching;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Script;
use PHPUnit\Framework\TestCase;

/**
 * A circuit written down stretch by stretch on paper: 30 s a foot, 10 s of rest, 40 s with the right foot; twice, with 25 s between; three
 * players go first, one after them, for whom one of the three begins again; one serves whoever goes first, and one counts.
 */
final class CircuitSpellsTest extends TestCase
{
    public function test_together_item_by_item(): void
    {
        $round = fn (int $set, int $shift): array => [
            ['work', 30.0, true, 'R', $set, 0, $shift], ['work', 30.0, true, 'L', $set, 0, $shift],
            ['rest', 10.0, true, null, $set, 1, $shift], ['work', 40.0, true, 'R', $set, 1, $shift],
        ];
        $between = fn (int $shift): array => ['rest', 25.0, true, null, 1, 0, $shift];
        $spells = self::spells(CircuitPace::Last);
        self::assertSame([
            ...$round(1, 1), $between(1), ...$round(2, 1),
            ['change', 3.0, true, null, null, null, 2],
            ...$round(1, 2), $between(2), ...$round(2, 2),
        ], array_map(self::words(...), $spells));
        // Who goes second waits meanwhile, and the other way round; the server serves the first alone, somebody counts throughout.
        $roles = fn (Spell $spell): array => array_map(fn (int $player): Role => $spell->seats[$player]->role, [1, 2, 3, 9]);
        self::assertSame([Role::Works, Role::Works, Role::Waits, Role::Counts], $roles($spells[0]));
        self::assertSame([Role::Rests, Role::Rests, Role::Waits, Role::Counts], $roles($spells[2]));
        self::assertSame([Role::ChangesOver, Role::ChangesOver, Role::ChangesOver, Role::Counts], $roles($spells[9]));
        self::assertSame([Role::Waits, Role::Waits, Role::Works, Role::Counts], $roles($spells[10]));
        self::assertSame([Role::Serves, Role::Rests, Role::Waits], array_map(fn (int $i): Role => $spells[$i]->seats[8]->role, [0, 2, 10]));
        self::assertEquals([new Seat(Role::Works, ball: 1.0), (new Seat(Role::Works, ball: 1.0))->again(), new Seat(Role::Rests)], [
            $spells[0]->seats[4], $spells[10]->seats[4], $spells[12]->seats[4],
        ]);
        foreach ($spells as $spell) {
            self::assertEqualsCanonicalizing([1, 2, 3, 4, 8, 9], array_keys($spell->seats));
        }
        // One number each, after their last stretch.
        self::assertSame(
            [8 => [1, 2, 4], 18 => [3]],
            array_filter(array_map(fn (Spell $spell): array => $spell->owed, $spells)),
        );
        // Two rounds of 100 s; the own rests are nobody's waiting, the change and the others' circuit are: 3 + 2 × 110 + 25.
        $times = Roster::of($spells, [1, 3, 4, 8]);
        self::assertSame([200.0, 248.0], [$times[1]->ballSeconds, $times[1]->waitingSeconds]);
        self::assertSame([200.0, 248.0], [$times[3]->ballSeconds, $times[3]->waitingSeconds]);
        self::assertSame([400.0, 3.0], [$times[4]->ballSeconds, $times[4]->waitingSeconds]);
        self::assertSame([200.0, 248.0], [$times[8]->servingSeconds, $times[8]->waitingSeconds]);
    }

    public function test_at_own_pace_a_round_is_one_stretch(): void
    {
        $shift = fn (int $shift): array => [
            ['work', 110.0, false, null, 1, null, $shift], ['rest', 25.0, true, null, 2, null, $shift],
            ['work', 110.0, false, null, 2, null, $shift],
        ];
        self::assertSame(
            [...$shift(1), ['change', 3.0, true, null, null, null, 2], ...$shift(2)],
            array_map(self::words(...), self::spells(CircuitPace::Own)),
        );
    }

    public function test_at_own_pace_who_is_through_waits_for_the_slowest(): void
    {
        [$script, $quota, $pace] = [Script::fromText('a.in a.out'), QuotaDose::of(10, 0.0, DoseSides::Right), Pace::of(4.0, 0.6, 6.0)];
        $item = new CircuitItem('item', $script, $quota, $pace, 0.0, null, null, null);
        $dose = CircuitDose::of([$item], 1, 0.0, CircuitPace::Own);
        $times = new CircuitTimes($dose, new Memo);
        [$spell] = CircuitSpells::of($dose, $times, [new CircuitShift(range(1, 14))], [], isCounted: false);
        self::assertSame($times->whole(14)->mean(), $spell->seconds);
        $own = $times->alone()->mean();
        self::assertGreaterThan($own, $spell->seconds);
        self::assertEqualsWithDelta([$own, $spell->seconds - $own], [
            $spell->seconds * $spell->seats[1]->ball,
            $spell->seconds * $spell->seats[1]->wait,
        ], 1e-9);
    }

    public function test_touches_of_each_foot(): void
    {
        // A rep of 4 s is two touches with the foot it is done with: 7.5 reps a foot and 10 with the right, twice.
        $players = [
            1 => new PlanPlayer(1, StrongFoot::Right),
            2 => new PlanPlayer(2, StrongFoot::Left),
            3 => new PlanPlayer(3, StrongFoot::Right),
            4 => new PlanPlayer(4, StrongFoot::Right),
        ];
        foreach ([CircuitPace::Last, CircuitPace::Own] as $pace) {
            $dose = self::dose($pace);
            $touching = new Touching(Drills::soleTaps(), $dose, null, $players, [], new Memo);
            $spells = self::spells($pace);
            foreach ($touching->of($spells) as $player => $tally) {
                $feet = [$tally->contactsOf(FootMark::Left), $tally->contactsOf(FootMark::Right)];
                $circuits = $player === 4 ? 2.0 : 1.0;
                self::assertEqualsWithDelta([30.0 * $circuits, 70.0 * $circuits], $feet, 1e-9, "player {$player}, {$pace->value}");
            }
            $work = array_values(array_filter($spells, fn (Spell $spell): bool => $spell->shift === 1));
            $of = array_map($touching->perWorker(...), $work);
            self::assertEqualsWithDelta([30.0, 70.0], [array_sum(array_column($of, 0)), array_sum(array_column($of, 1))], 1e-9);
        }
    }

    /** @return list<Spell> */
    private static function spells(CircuitPace $pace): array
    {
        $dose = self::dose($pace);

        $shifts = [new CircuitShift([1, 2, 4], [8]), new CircuitShift([3], again: [4])];

        return CircuitSpells::of($dose, new CircuitTimes($dose, new Memo), $shifts, [9], isCounted: true);
    }

    private static function dose(CircuitPace $pace): CircuitDose
    {
        $item = fn (TimedDose $dose, float $restSeconds): CircuitItem => new CircuitItem(
            'item', Script::fromText('a.in a.out'), $dose, Pace::of(4.0, 0.6, 6.0), $restSeconds, null, null, null,
        );

        return CircuitDose::of([
            $item(TimedDose::of(30.0, 1, 0.0, DoseSides::Each), 10.0),
            $item(TimedDose::of(40.0, 1, 0.0, DoseSides::Right), 5.0),
        ], 2, 25.0, $pace);
    }

    /** @return list<mixed> */
    private static function words(Spell $spell): array
    {
        return [$spell->kind->value, $spell->seconds, $spell->endsByClock, $spell->side, $spell->set, $spell->item, $spell->shift];
    }
}
