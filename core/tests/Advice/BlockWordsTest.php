<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Advice;

use FleetSparrow\Core\Advice\Bearable;
use FleetSparrow\Core\Advice\WaterWarnings;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Way\QueueToFinish;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\OwnNumbers;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What is said of a block: how its figures came about, and what is wrong with it. */
final class BlockWordsTest extends TestCase
{
    private const SET_UP = [
        'Set-up: of the markers 8 are laid; 8 touched at 5 s each. It is laid before the start.',
        'Explaining: 60 s, new or not done lately.',
    ];

    /** @return iterable<string, array{array<string, mixed>, list<string>}> */
    public static function doses(): iterable
    {
        yield 'by the clock' => [
            ['dose' => ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 2, 'restSeconds' => 20, 'sides' => 'alternating']],
            ['A rep is 0.9 s, so touches are estimated, not counted.'],
        ];
        yield 'a quota, whose chance is rounded' => [
            ['goodChance' => 0.625, 'dose' => ['kind' => 'quota', 'good' => 10, 'restSeconds' => 15, 'sides' => 'each']],
            [
                'A rep is 0.9 s, so touches are estimated, not counted.',
                // Ten good ones at 0.625 have six misses at the median: three times 10 × 0.9 + 6 × 5.9 = 44.4 s, up to the half minute.
                'A go that lasts is stopped after 2:30: what was reached then is written.',
                'Chance of a good one: the drill\'s own 63%, weighed as 10 tries, and the others\' tries; 1 of 2 players have tries '
                    .'of their own. Each side ends with its slowest worker.',
            ],
        ];
        yield 'a race' => [
            ['dose' => ['kind' => 'race', 'reps' => 4, 'sets' => 3, 'restSeconds' => 25, 'sides' => 'both']],
            ['A rep is 0.9 s, so touches are estimated, not counted.', 'Each go ends with its slowest worker.'],
        ];
    }

    /**
     * @param  array<string, mixed>  $drill
     * @param  list<string>  $how
     */
    #[DataProvider('doses')]
    public function test_how_the_figures_came_about(array $drill, array $how): void
    {
        self::assertSame([...self::SET_UP, ...$how], self::block($drill)->how);
    }

    public function test_a_round_says_when_there_are_too_few_to_count(): void
    {
        $said = static fn (int $counted, int $helpers): array => self::round(
            array_map(static fn (int $i): bool => $i < $counted, range(0, 2)),
            $helpers,
        );
        self::assertSame([], $said(1, 0));
        self::assertSame(['2 stations need somebody to watch and count, and there is one grown-up.'], $said(2, 0));
        self::assertSame([], $said(2, 1));
        self::assertSame(['3 stations need somebody to watch and count, and there are 2 grown-ups.'], $said(3, 1));
    }

    public function test_too_few_markers_are_cured_by_as_many_stations_as_there_are_markers_for(): void
    {
        $cures = static fn (int $markers): array => array_map(
            static fn (Warning $one): ?string => $one->cure?->words,
            self::block([], new KitOwned($markers))->warnings,
        );
        self::assertSame([], $cures(8));
        self::assertSame(['Make it one station'], $cures(7));
        // Not even one.
        self::assertSame([null], $cures(3));
    }

    public function test_talk_is_no_work_to_be_thirsty_of(): void
    {
        $block = self::block([]);
        self::assertSame([600.0, []], WaterWarnings::of(BlockKind::Talk, $block, 600.0, 20.0));
        // Nobody gets thirsty from being told something: it is said where the next work begins.
        self::assertSame([1500.0, []], WaterWarnings::of(BlockKind::Talk, $block, 1500.0, 20.0));
        self::assertSame([600.0 + $block->work->mean(), []], WaterWarnings::of(BlockKind::Drill, $block, 600.0, 20.0));
        self::assertSame([0.0, []], WaterWarnings::of(BlockKind::Water, $block, 600.0, 20.0));
    }

    public function test_what_children_bear_goes_by_their_age(): void
    {
        self::assertSame(
            [12.0, 15.0, 15.0, 20.0, 15.0],
            array_map(Bearable::minutes(...), [10, 11, 14, 15, null]),
        );
    }

    public function test_who_queues_alone_is_held_up_by_nobody(): void
    {
        self::assertSame(15.0, (new QueueToFinish(2, 12.0, 3.0))->secondsPerRep(new Crew(1), 12.0));
        self::assertSame(22.5, (new QueueToFinish(2, 12.0, 3.0))->secondsPerRep(new Crew(3), 12.0));
    }

    /** @param  array<string, mixed>  $fields */
    private static function block(array $fields, KitOwned $kit = new KitOwned): BlockEvaluation
    {
        $drill = DrillFactory::fromFields($fields + ['scoring' => null] + Drills::fields());
        assert($drill->dose !== null);

        return PlanEvaluator::evaluate([Block::ofDrill('a', $drill, $drill->dose, Tempo::Steady, null)], self::two($kit))->blocks[0];
    }

    /**
     * @param  list<bool>  $needCounter  of stations at the same time, whether somebody must count there
     * @return list<string>
     */
    private static function round(array $needCounter, int $helpers): array
    {
        $blocks = [];
        foreach ($needCounter as $i => $needsCounter) {
            $fields = ['slug' => "at-{$i}", 'scoring' => null] + Drills::fields();
            $fields['organisation'] += $needsCounter ? ['needsCounter' => true] : [];
            $drill = DrillFactory::fromFields($fields);
            assert($drill->dose !== null);
            $blocks[] = Block::ofDrill("b{$i}", $drill, $drill->dose, Tempo::Steady, null, together: 'round');
        }
        $players = array_map(static fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), range(1, 6));
        $context = PlanContext::of($players, [], new ClockRules, helpers: max(0, $helpers));
        $warnings = PlanEvaluator::evaluate($blocks, $context)->blocks[0]->warnings;

        return array_map(static fn (Warning $one): string => $one->sentence, $warnings);
    }

    private static function two(KitOwned $kit): PlanContext
    {
        return PlanContext::of(
            players: [
                new PlanPlayer(1, StrongFoot::Right, numbers: ['sole-taps' => OwnNumbers::of(made: 9, missed: 3, seconds: 0.0, days: 0)]),
                new PlanPlayer(2, StrongFoot::Right),
            ],
            knownDrills: [],
            rules: new ClockRules,
            kit: $kit,
        );
    }
}
