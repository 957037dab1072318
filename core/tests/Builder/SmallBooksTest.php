<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Builder;

use FleetSparrow\Core\Builder\BuildRequest;
use FleetSparrow\Core\Builder\HardLimits;
use FleetSparrow\Core\Builder\Needs;
use FleetSparrow\Core\Builder\Objective;
use FleetSparrow\Core\Builder\Option;
use FleetSparrow\Core\Builder\OptionMaker;
use FleetSparrow\Core\Builder\Phase;
use FleetSparrow\Core\Builder\Refusal;
use FleetSparrow\Core\Builder\Sequence;
use FleetSparrow\Core\Builder\SessionBuilder;
use FleetSparrow\Core\Builder\Weights;
use FleetSparrow\Core\Builder\Wish;
use FleetSparrow\Core\Caution\Weather;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Plan\Area;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drill\BookTest;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The search held against trying everything, on books small enough for that. */
class SmallBooksTest extends TestCase
{
    protected const BOOKS = 32;

    public function test_is_as_good_as_trying_everything_on_small_books(): void
    {
        $chance = new Randomizer(new Mt19937(11));
        [$exact, $memo, $all] = [0, new Memo, array_map(DrillFactory::fromFields(...), BookTest::fields())];
        for ($case = 0; $case < static::BOOKS; $case++) {
            $book = array_slice($chance->shuffleArray($all), 0, $chance->getInt(5, 8));
            $theme = Family::cases()[$chance->getInt(0, 8)];
            $request = self::request($book, $theme, $chance->getInt(14, 60), $chance->getInt(2, 12), $memo);
            $answer = SessionBuilder::propose($request);
            // Where nothing of the theme can be done it is built on another, which is said.
            self::assertCount($answer->theme === $theme ? 0 : 1, array_filter(
                $answer->refusals,
                fn (Refusal $one): bool => str_starts_with($one->wish, 'a session on'),
            ));
            $best = self::bestOfAll($request, $answer->theme);
            $found = $answer->proposals[0] ?? null;
            if ($best === null) {
                self::assertNull($found, "Case {$case}.");

                continue;
            }
            self::assertNotNull($found, "Case {$case}.");
            self::assertGreaterThanOrEqual($best - 0.02 * abs($best), $found->worth, "Case {$case}.");
            self::assertLessThanOrEqual($best + 1e-6, $found->worth, "Case {$case}.");
            $exact += $found->worth > $best - 1e-6 ? 1 : 0;
        }
        // Nearly always the best itself; where nothing fits, nothing was to be found.
        self::assertGreaterThanOrEqual(0.9 * static::BOOKS, $exact);
    }

    /** Every drill and dose in every part, within the slot and without a drill twice. */
    private static function bestOfAll(BuildRequest $request, Family $theme): ?float
    {
        $limits = new HardLimits($request);
        $maker = new OptionMaker($request, $theme, $request->weights, $limits);
        $objective = new Objective(
            $request->weights,
            $request->context->rules,
            $request->slotMinutes * 60.0,
            20.0,
            $request->slotMinutes >= 20,
        );
        $sequences = [$objective->nothing()];
        foreach (Phase::within($request->slotMinutes * 60.0, count($request->context->players)) as $phase) {
            [$choices, $onTheme] = [[], []];
            foreach ($request->book as $drill) {
                $own = $phase->suits($drill) && $limits->why($drill) === null ? $maker->own($phase, $drill) : null;
                $choices = $own === null ? $choices : [...$choices, $own, ...$maker->variants($phase, $own)];
                $onTheme = $own === null || $drill->family !== $theme ? $onTheme : [...$onTheme, $drill->slug];
            }
            if ($phase === Phase::Technique && count($onTheme) >= 3) {
                $choices = array_values(array_filter($choices, fn (Option $one): bool => in_array($one->drill->slug, $onTheme, true)));
            }
            $choices = $choices === [] || $phase->isOptional() ? [...$choices, null] : $choices;
            $longer = [];
            foreach ($sequences as $so) {
                $before = count($longer);
                foreach ($choices as $choice) {
                    $next = $choice instanceof Option && in_array($choice->drill->slug, $so->slugs, true)
                        ? null
                        : $objective->with($so, $choice);
                    if ($next !== null && $objective->fits($next)) {
                        $longer[] = $next;
                    }
                }
                // A part for which nothing fits any more is left out.
                if (count($longer) === $before) {
                    $longer[] = $objective->with($so, null);
                }
            }
            $sequences = $longer;
        }
        $sequences = array_filter($sequences, fn (Sequence $one): bool => $one->slugs !== []);

        return $sequences === [] ? null : max(array_map(fn (Sequence $one): float => $one->value, $sequences));
    }

    /** @param  list<Drill>  $book */
    private static function request(array $book, Family $theme, int $slotMinutes, int $players, Memo $memo): BuildRequest
    {
        $foot = static fn (int $id): StrongFoot => $id % 3 === 0 ? StrongFoot::Left : StrongFoot::Right;
        $context = PlanContext::of(
            players: array_map(static fn (int $id): PlanPlayer => new PlanPlayer($id, $foot($id)), range(1, $players)),
            knownDrills: [],
            rules: new ClockRules,
            kit: new KitOwned(60, 15, 2, 2),
            area: new Area(Length::of(30.0, LengthUnit::Yard), Length::of(20.0, LengthUnit::Yard), LengthUnit::Yard),
            weather: Weather::mild(),
            memo: $memo,
        );

        return new BuildRequest(
            book: $book,
            context: $context,
            slotMinutes: $slotMinutes,
            theme: $theme,
            wish: Wish::Anything,
            needs: new Needs,
            locks: [],
            bans: [],
            joined: null,
            seen: [],
            seed: 1,
            weights: new Weights,
            underAge: null,
        );
    }
}
