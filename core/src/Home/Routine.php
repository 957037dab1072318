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
use FleetSparrow\Core\Drill\CompositionKind;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\StandIn;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Layout\Kind\OnTheSpot;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Touch\Purpose;
use FleetSparrow\Core\Touch\Surface;
use FleetSparrow\Core\Touch\Tally;

/**
 * A week at home, out of the drill book: what the coach chose, what that player needs, what fits the place, most of it the same every day
 * and most of it as last week. Chosen in one fixed order, so that the same asks give the same week.
 *
 * Short routines several times a week are common practice, no source; the weights below are this tool's own.
 *
 * @phpstan-type Fitting array{drill: Drill, dose: Dose, links: int|null, minutes: float, worth: float, reasons: list<string>}
 */
final readonly class Routine
{
    /** More than all else together: the coach said so. */
    private const WANTED = 100.0;

    private const RUNG = 3.0;

    private const TARGET = 2.0;

    private const BEHIND = 1.5;

    private const STALE = 1.5;

    /** Most of last week's drills stay, and few change. */
    private const AS_LAST_WEEK = 2.5;

    private const OF_A_FAMILY = 2;

    /** Where minutes are left that nothing else fills. */
    private const OF_A_FAMILY_AT_MOST = 3;

    /** To read the next one and get ready. */
    public const PAUSE_MINUTES = 0.5;

    public const WATER_AFTER_MINUTES = 10.0;

    public const WATER_MINUTES = 1.0;

    /** High volumes of striking are no children's work, with the other leg least of all. */
    private const STRIKING_DRILLS = 1;

    /**
     * @param  list<RoutineDay>  $days
     * @param  string  $refusal  why there is nothing to do; empty where there is
     * @param  list<string>  $left  names of drills the coach chose that do not fit the place or the minutes
     */
    private function __construct(public array $days, public string $refusal = '', public array $left = [])
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
        if (! $place->kit->hasBall()) {
            return new self([], 'Everything in the book is done with a ball, and any ball will do to begin with. Markers are not needed: '
                .'socks or bottles do.');
        }
        $fitting = $index->fitting(new DrillFilter(
            equipment: [...($place->kit->hasMarkers() ? ['target'] : []), ...($place->wall === HomeWall::None ? [] : ['wall'])],
            markers: $place->kit->hasMarkers() ? null : 0,
            minutes: (float) $place->minutes,
            ageGroup: $ageGroup,
        ));
        $scored = [];
        foreach ($fitting as $facts) {
            $drill = $drills[$facts->slug] ?? null;
            if ($drill?->dose === null || $facts->minutes === null || in_array($drill->slug, $needs->unwanted, true)) {
                continue;
            }
            $links = $needs->mayHead ? null : self::linksWithoutHeading($drill);
            if (self::isAllowed($links === null ? $drill : $drill->upTo($links), $facts, $place, $needs)) {
                $scored[] = ['drill' => $drill, 'dose' => $drill->dose, 'links' => $links, 'minutes' => $facts->minutes]
                    + self::worth($drill, $needs, $school);
            }
        }
        usort($scored, static fn (array $a, array $b): int => [$b['worth'], $a['drill']->slug] <=> [$a['worth'], $b['drill']->slug]);
        $items = self::chosen($scored, $place, $needs);
        if ($items === []) {
            return new self([], "Nothing in the book fits {$place->words()}. More room, a wall or somebody to serve would help.");
        }
        $slugs = array_map(static fn (RoutineItem $item): string => $item->drill->slug, $items);
        $left = array_map(static fn (string $slug): string => $drills[$slug]->name ?? $slug, array_diff($needs->wanted, $slugs));

        return new self(self::week($items, $place, $school), '', array_values($left));
    }

    /** How many links of a build-up do without the head; null where all do, or it is no build-up. */
    private static function linksWithoutHeading(Drill $drill): ?int
    {
        if ($drill->composition->kind !== CompositionKind::BuildUp) {
            return null;
        }
        foreach ($drill->composition->parts as $i => $link) {
            if (Tally::of($link->script)->contactsWith(Surface::Head) > 0.0) {
                return max(1, $i);
            }
        }

        return null;
    }

    /** @param  Drill  $drill  with the links that are done */
    private static function isAllowed(Drill $drill, DrillFacts $facts, HomePlace $place, HomeNeeds $needs): bool
    {
        $tally = Tally::of($drill->script);
        $isInTheAir = str_contains($drill->script->text(), '^');
        $isAtWall = isset($facts->equipment['wall']);
        $isLoud = $isInTheAir || $tally->contactsFor(Purpose::Shot) > 0.0 || ($isAtWall && $place->wall === HomeWall::Wall);
        $isForCouch = ! $isInTheAir && $drill->layout->footprint()->depthMillimetres <= HomeWall::COUCH_MILLIMETRES;

        return self::hasRoom($drill, $facts, $place->space)
            && ($drill->organisation->isForOne() || ($place->hasHelper && $facts->people === 'pair'))
            && ($needs->mayHead || $tally->contactsWith(Surface::Head) <= 0.0)
            && ($facts->equipment['ball'] ?? 1) <= self::ballsAtHome($drill)
            && (! $isAtWall || $place->wall === HomeWall::Wall || $isForCouch)
            && ! ($place->isQuiet && $isLoud);
    }

    /** There is one; where the drill says that it may be fetched between goes, it does for all. */
    private static function ballsAtHome(Drill $drill): int
    {
        $forBall = array_filter($drill->teaching->standIns, static fn (StandIn $one): bool => $one->for === 'ball');

        return $forBall === [] ? 1 : PHP_INT_MAX;
    }

    /**
     * What is done on the spot has room anywhere, where nobody stands beside; a ball in the air has not. A wall is its own edge: nothing
     * is kept free behind it or beside.
     */
    private static function hasRoom(Drill $drill, DrillFacts $facts, HomeSpace $space): bool
    {
        if ($drill->layout->kind() === OnTheSpot::KIND && ! str_contains($drill->script->text(), '^')) {
            return true;
        }
        [$width, $depth] = $space->millimetres();
        $bare = $drill->layout->footprint();
        $room = isset($facts->equipment['wall'])
            ? [$bare->widthMillimetres, $bare->depthMillimetres]
            : [$facts->widthMillimetres, $facts->depthMillimetres];

        return min($room) <= min($width, $depth) && max($room) <= max($width, $depth);
    }

    /** @return array{worth: float, reasons: list<string>} */
    private static function worth(Drill $drill, HomeNeeds $needs, HomeSchool $school): array
    {
        [$worth, $reasons, $slug] = [0.0, [], $drill->slug];
        if (in_array($slug, $needs->wanted, true)) {
            $worth += self::WANTED;
            $reasons[] = 'chosen by the coach';
        }
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
     * @param  list<Fitting>  $scored  the worthiest first
     * @return list<RoutineItem> as many as fit
     */
    private static function chosen(array $scored, HomePlace $place, HomeNeeds $needs): array
    {
        [$items, $families, $striking] = [[], [], 0];
        foreach ([self::OF_A_FAMILY, self::OF_A_FAMILY_AT_MOST] as $most) {
            foreach ($scored as ['drill' => $drill, 'dose' => $dose, 'links' => $links, 'minutes' => $minutes, 'reasons' => $reasons]) {
                $family = $drill->family->value;
                $isStriking = Tally::of($drill->script)->contactsFor(Purpose::Shot) > 0.0;
                $isWanted = in_array($drill->slug, $needs->wanted, true);
                $item = new RoutineItem($drill, $dose, $links, $minutes, $reasons, $needs->targets[$drill->slug] ?? null);
                if (isset($items[$drill->slug])
                    || self::minutes([...array_values($items), $item]) > $place->minutes
                    || (! $isWanted && ($families[$family] ?? 0) >= $most)
                    || ($isStriking && $striking >= self::STRIKING_DRILLS)) {
                    continue;
                }
                $families[$family] = ($families[$family] ?? 0) + 1;
                $striking += $isStriking ? 1 : 0;
                $items[$drill->slug] = $item;
            }
        }

        return array_values($items);
    }

    /**
     * @param  non-empty-list<RoutineItem>  $items
     * @return list<RoutineDay>
     */
    private static function week(array $items, HomePlace $place, HomeSchool $school): array
    {
        $days = [];
        // In the middle of the week, so that both feet have days before and after.
        $otherFoot = $school === HomeSchool::OtherFootDay && $place->days > 1 ? intdiv($place->days, 2) + 1 : 0;
        for ($day = 1; $day <= $place->days; $day++) {
            $own = $day === $otherFoot ? self::withOtherFoot($items) : [];
            $own = $own === [] ? $items : $own;
            $days[] = new RoutineDay($day, $own !== $items, $own, self::minutes($own));
        }

        return $days;
    }

    /**
     * The same with the other foot alone, as far as a drill can be done so; no striking.
     *
     * @param  list<RoutineItem>  $items
     * @return list<RoutineItem>
     */
    private static function withOtherFoot(array $items): array
    {
        [$own, $memo] = [[], new Memo];
        foreach ($items as $item) {
            $drill = $item->drill;
            $dose = Tally::of($drill->script)->contactsFor(Purpose::Shot) > 0.0 ? null : self::weaker($drill, $item->dose);
            if ($dose !== null) {
                $minutes = Alone::meanSeconds($dose, $drill->pace(Tempo::Steady), $memo) / 60.0;
                $own[] = new RoutineItem($drill, $dose, $item->links, $minutes, $item->reasons, null);
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

    /** @param  list<RoutineItem>  $items */
    private static function minutes(array $items): float
    {
        $work = array_sum(array_map(static fn (RoutineItem $one): float => $one->minutes, $items))
            + self::PAUSE_MINUTES * max(0, count($items) - 1);

        return $work + ($work > self::WATER_AFTER_MINUTES ? self::WATER_MINUTES : 0.0);
    }
}
