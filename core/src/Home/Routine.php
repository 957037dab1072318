<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

use FleetSparrow\Core\Book\DrillFacts;
use FleetSparrow\Core\Book\DrillFilter;
use FleetSparrow\Core\Book\DrillIndex;
use FleetSparrow\Core\Dose\Alone;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Layout\Kind\OnTheSpot;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Touch\Purpose;
use FleetSparrow\Core\Touch\Surface;
use FleetSparrow\Core\Touch\Tally;

/**
 * A week at home, out of the drill book: what that player needs first, what fits the place, most of it the same every day and most of it
 * as last week. Chosen in one fixed order, so that the same asks give the same week.
 *
 * Short routines several times a week are common practice, no source; the weights below are this tool's own.
 */
final readonly class Routine
{
    private const RUNG = 3.0;

    private const TARGET = 2.0;

    private const BEHIND = 1.5;

    private const STALE = 1.5;

    /** Most of last week's drills stay, and few change. */
    private const AS_LAST_WEEK = 2.5;

    private const OF_A_FAMILY = 2;

    /** To read the next one and get ready. */
    private const PAUSE_MINUTES = 0.5;

    private const WATER_AFTER_MINUTES = 10.0;

    private const WATER_MINUTES = 1.0;

    /** High volumes of striking are no children's work, with the other leg least of all. */
    private const STRIKING_DRILLS = 1;

    /**
     * @param  list<RoutineDay>  $days
     * @param  string  $refusal  why there is nothing to do; empty where there is
     */
    private function __construct(public array $days, public string $refusal = '')
    {
    }

    /** @param  array<string, Drill>  $drills  by slug */
    public static function of(
        array $drills,
        DrillIndex $index,
        HomePlace $place,
        HomeNeeds $needs,
        HomeSchool $school,
        ?AgeGroup $ageGroup,
    ): self {
        $fitting = $index->fitting(new DrillFilter(
            equipment: $place->hasWall ? ['wall', 'target'] : ['target'],
            people: $place->hasHelper ? 'pair' : 'alone',
            minutes: (float) $place->minutes,
            ageGroup: $ageGroup,
        ));
        $scored = [];
        foreach ($fitting as $facts) {
            $drill = $drills[$facts->slug] ?? null;
            if ($drill?->dose !== null && ! $drill->dose instanceof CircuitDose && self::isAllowed($drill, $facts, $place, $needs)) {
                $scored[] = ['drill' => $drill, 'facts' => $facts] + self::worth($drill, $needs, $school);
            }
        }
        usort($scored, static fn (array $a, array $b): int => [$b['worth'], $a['drill']->slug] <=> [$a['worth'], $b['drill']->slug]);
        $items = self::chosen($scored, $place, $needs);
        if ($items === []) {
            return new self([], "Nothing in the book fits {$place->space->words()}".($place->isQuiet ? ', quietly' : '')
                .'. More room, a wall or somebody to serve would help.');
        }

        return new self(self::week($items, $drills, $place, $school));
    }

    private static function isAllowed(Drill $drill, DrillFacts $facts, HomePlace $place, HomeNeeds $needs): bool
    {
        $tally = Tally::of($drill->script);
        $isLoud = str_contains($drill->script->text(), '^') || $tally->contactsFor(Purpose::Shot) > 0.0 || isset($facts->equipment['wall']);

        return self::hasRoom($drill, $facts, $place->space)
            && ($needs->mayHead || $tally->contactsWith(Surface::Head) <= 0.0)
            && ! ($place->isQuiet && $isLoud);
    }

    /** What is done on the spot has room anywhere, where nobody stands beside; a ball in the air has not. */
    private static function hasRoom(Drill $drill, DrillFacts $facts, HomeSpace $space): bool
    {
        if ($drill->layout->kind() === OnTheSpot::KIND && ! str_contains($drill->script->text(), '^')) {
            return true;
        }
        [$width, $depth] = $space->millimetres();
        $room = [$facts->widthMillimetres, $facts->depthMillimetres];

        return min($room) <= min($width, $depth) && max($room) <= max($width, $depth);
    }

    /** @return array{worth: float, reasons: list<string>} */
    private static function worth(Drill $drill, HomeNeeds $needs, HomeSchool $school): array
    {
        [$worth, $reasons, $slug] = [0.0, [], $drill->slug];
        if (isset($needs->rungs[$slug])) {
            $worth += self::RUNG;
            $reasons[] = "the rung to work on: {$needs->rungs[$slug]}";
        }
        if (isset($needs->targets[$slug])) {
            $worth += $school === HomeSchool::Records ? 2.0 * self::TARGET : self::TARGET;
            $reasons[] = "a number to beat: {$needs->targets[$slug]}";
        }
        if (isset($needs->behind[$slug])) {
            $worth += $school === HomeSchool::OtherFootDay ? 2.0 * self::BEHIND : self::BEHIND;
            $reasons[] = "the other foot is at {$needs->behind[$slug]} in 100";
        }
        if (isset($needs->staleFamilies[$drill->family->value])) {
            $worth += self::STALE;
            $reasons[] = "{$drill->family->words()} not met for {$needs->staleFamilies[$drill->family->value]} days";
        }
        if (in_array($slug, $needs->lastWeek, true)) {
            $worth += self::AS_LAST_WEEK;
            $reasons[] = 'as last week';
        }
        if ($school === HomeSchool::GoodOnes && $drill->dose?->kind() === 'quota') {
            $worth += self::TARGET;
            $reasons[] = 'only good ones count';
        }

        return ['worth' => $worth, 'reasons' => $reasons === [] ? ["{$drill->family->words()}, fits the place"] : $reasons];
    }

    /**
     * @param  list<array{drill: Drill, facts: DrillFacts, worth: float, reasons: list<string>}>  $scored  the worthiest first
     * @return list<RoutineItem> as many as fit
     */
    private static function chosen(array $scored, HomePlace $place, HomeNeeds $needs): array
    {
        [$items, $families, $striking] = [[], [], 0];
        foreach ($scored as ['drill' => $drill, 'facts' => $facts, 'reasons' => $reasons]) {
            $family = $drill->family->value;
            $isStriking = Tally::of($drill->script)->contactsFor(Purpose::Shot) > 0.0;
            $with = self::total([...array_map(static fn (RoutineItem $one): float => $one->minutes, $items), $facts->minutes ?? 0.0]);
            if ($drill->dose === null || $with > $place->minutes || ($families[$family] ?? 0) >= self::OF_A_FAMILY
                || ($isStriking && $striking >= self::STRIKING_DRILLS)) {
                continue;
            }
            $families[$family] = ($families[$family] ?? 0) + 1;
            $striking += $isStriking ? 1 : 0;
            $items[] = new RoutineItem(
                $drill->slug,
                $drill->name,
                $drill->family,
                $drill->dose,
                $facts->minutes ?? 0.0,
                $reasons,
                $needs->targets[$drill->slug] ?? null,
            );
        }

        return $items;
    }

    /**
     * @param  non-empty-list<RoutineItem>  $items
     * @param  array<string, Drill>  $drills
     * @return list<RoutineDay>
     */
    private static function week(array $items, array $drills, HomePlace $place, HomeSchool $school): array
    {
        $days = [];
        // In the middle of the week, so that both feet have days before and after.
        $otherFoot = $school === HomeSchool::OtherFootDay && $place->days > 1 ? intdiv($place->days, 2) + 1 : 0;
        for ($day = 1; $day <= $place->days; $day++) {
            $own = $day === $otherFoot ? self::withOtherFoot($items, $drills) : [];
            $own = $own === [] ? $items : $own;
            $days[] = new RoutineDay(
                $day,
                $own !== $items,
                $own,
                self::total(array_map(static fn (RoutineItem $one): float => $one->minutes, $own)),
            );
        }

        return $days;
    }

    /**
     * The same with the other foot alone, as far as a drill can be done so; no striking.
     *
     * @param  list<RoutineItem>  $items
     * @param  array<string, Drill>  $drills
     * @return list<RoutineItem>
     */
    private static function withOtherFoot(array $items, array $drills): array
    {
        $own = [];
        foreach ($items as $item) {
            $drill = $drills[$item->drill];
            $dose = Tally::of($drill->script)->contactsFor(Purpose::Shot) > 0.0 ? null : self::weaker($drill, $item->dose);
            if ($dose !== null) {
                $own[] = new RoutineItem(
                    $item->drill,
                    $item->name,
                    $item->family,
                    $dose,
                    Alone::meanSeconds($dose, $drill->pace(Tempo::Steady), new Memo) / 60.0,
                    $item->reasons,
                    null,
                );
            }
        }

        return $own;
    }

    private static function weaker(Drill $drill, Dose $dose): ?Dose
    {
        if ($dose->sides() !== DoseSides::Each) {
            return null;
        }
        try {
            return $drill->doseFrom(['sides' => DoseSides::Weaker->value] + $dose->fields());
        } catch (CoreException) {
            return null;
        }
    }

    /**
     * @param  list<float>  $minutes  of the items
     */
    private static function total(array $minutes): float
    {
        $work = array_sum($minutes) + self::PAUSE_MINUTES * max(0, count($minutes) - 1);

        return $work + ($work > self::WATER_AFTER_MINUTES ? self::WATER_MINUTES : 0.0);
    }
}
