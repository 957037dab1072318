<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Advice;

use FleetSparrow\Core\Advice\Rating;
use FleetSparrow\Core\Advice\Remark;
use FleetSparrow\Core\Advice\RubricRule;
use FleetSparrow\Core\Caution\HeadingLimit;
use FleetSparrow\Core\Caution\HeadingProfile;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\Counted;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\TestCase;

/** Each rule of the rubric met and missed by one session that is otherwise as it should be. */
final class SecondCoachTest extends TestCase
{
    public function test_a_session_as_it_should_be_is_left_alone(): void
    {
        $rating = self::rated(self::good());
        self::assertSame([], array_map(static fn (Remark $one): string => $one->sentence, $rating->remarks));
        self::assertSame(1.0, $rating->score());
        self::assertSame([], self::rated([])->remarks);
    }

    public function test_what_is_missed_is_said_with_its_number_and_its_cure(): void
    {
        $good = self::good();
        $first = ['first' => self::drill('first', counted: null)] + $good;
        self::assertSame(
            ['8 numbers are asked for in the first drill.', 'No number there: let them warm up.'],
            self::said($first, 'no-early-numbers'),
        );

        self::assertSame('No live opponent in 3 drills.', self::said(array_diff_key($good, ['game' => 1]), 'live-opponent')[0]);
        self::assertSame('The last of 4 drills is no play.', self::said(['game' => $good['game']] + $good, 'ends-with-play')[0]);
        self::assertStringStartsWith('Nobody is asked what the 4 drills', self::said(array_diff_key($good, ['talk' => 1]), 'recap')[0]);
        $uncounted = ['count' => self::drill('count')] + $good;
        self::assertSame('No number in 4 drills.', self::said(array_replace($good, $uncounted), 'number-to-beat')[0]);

        // Twenty minutes of one thing, where twelve-year-olds bear fifteen: a minute of telling and 15 · 70 + 14 · 10 = 1,190 s.
        $long = self::drill('long', ['kind' => 'timed', 'workSeconds' => 70, 'sets' => 15, 'restSeconds' => 10, 'sides' => 'alternating']);
        $tooLong = 'Sole taps takes 20:50; 15:00 is long enough.';
        self::assertSame($tooLong, self::said(['long' => $long] + $good, 'short-enough', slot: 90)[0]);
        // A game may last; a duel of two is a drill.
        foreach ([2 => false, 3 => true] as $workers => $isGame) {
            $live = ['workers' => $workers, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'live'];
            $free = ['kind' => 'free', 'minutes' => 20, 'sides' => 'both'];
            $duel = self::drill('duel', $free, ['opposition' => 'live', 'organisation' => $live]);
            self::assertSame($isGame, self::rated(['duel' => $duel] + $good, slot: 90)->meets(RubricRule::ShortEnough), "{$workers}");
        }

        // 60:00 less 28:58 is 31:02, 51.7 %.
        self::assertSame('51% of the slot is used; 28:58 are left.', self::said($good, 'slot-used', slot: 60)[0]);
        self::assertStringContainsString('over the slot or later.', self::said($good, 'in-time', slot: 25)[0]);
        $right = ['kind' => 'timed', 'workSeconds' => 60, 'sets' => 7, 'restSeconds' => 10, 'sides' => 'right'];
        // Each foot 660 s ÷ 0.9 s; the right 420 s more, two touches in 0.9 s: 733 of 2,400.
        self::assertSame(
            'The left foot has 31% of the touches.',
            self::said(['right' => self::drill('right', $right, ['script' => 'a.in a.out'])] + $good, 'both-feet', slot: 45)[0],
        );
        self::assertStringStartsWith('Passing has 0:00 of', self::said($good, 'theme-trained', theme: Family::Passing)[0]);
        self::assertSame('What is played live is not passing.', self::said($good, 'theme-played', theme: Family::Passing)[0]);
        self::assertStringEndsWith('Use fewer stations, or bottles for the rest.', self::said($good, 'kit-there', kit: 10)[0]);
    }

    public function test_who_waits_longer_than_they_work_is_said_where(): void
    {
        // Eight at one box, one ball: seven goes of others for each own.
        $dose = ['kind' => 'timed', 'workSeconds' => 45, 'sets' => 6, 'restSeconds' => 0, 'sides' => 'alternating'];
        $rating = self::rated(['queue' => self::drill('queue', $dose, stations: 1)] + self::good(), slot: 90);
        self::assertFalse($rating->meets(RubricRule::NobodyWaits));
        self::assertFalse($rating->meets(RubricRule::BallFromTheStart));
        self::assertSame('queue', $rating->said()[0]->blockId);
        // At work 6 × 45 s, twice 300 s, 2 × 30 s and the game's eight minutes.
        self::assertSame('Somebody waits 35:02 and works 23:30.', $rating->said()[0]->sentence);
    }

    public function test_three_lines_at_most_the_weightiest_first(): void
    {
        $rating = self::rated(['only' => self::drill('only')], slot: 60);
        self::assertCount(3, $rating->said());
        $weights = array_map(static fn (Remark $one): int => $one->rule->weight(), $rating->remarks);
        self::assertSame($weights, array_reverse(self::growing($weights)));
        self::assertGreaterThan(3, count($rating->remarks));
        $missed = array_sum($weights);
        self::assertEqualsWithDelta(1.0 - $missed / 41.0, $rating->score(), 1e-12);
    }

    public function test_what_the_profile_forbids_weighs_most(): void
    {
        $heads = self::drill('heads', null, ['script' => '-.head^', 'family' => 'juggling']);
        $heading = HeadingProfile::NoHeading->limitFor(AgeGroup::of('U12'));
        $rating = self::rated(['heads' => $heads] + self::good(), slot: 40, heading: $heading);
        self::assertSame(RubricRule::NothingBarred, $rating->said()[0]->rule);
    }

    public function test_one_alone_needs_no_opponent(): void
    {
        $alone = array_diff_key(self::good(), ['game' => 1]);
        self::assertTrue(self::rated($alone, players: 1)->meets(RubricRule::LiveOpponent));
        self::assertTrue(self::rated($alone, players: 1)->meets(RubricRule::EndsWithPlay));
        foreach ([RubricRule::LiveOpponent, RubricRule::EndsWithPlay] as $rule) {
            self::assertFalse(self::rated($alone, players: 2)->meets($rule));
        }
    }

    public function test_numbers_in_the_first_drill_are_early_where_another_follows(): void
    {
        $drills = ['first' => self::drill('first', counted: null), 'second' => self::drill('second')];
        self::assertFalse(self::rated($drills)->meets(RubricRule::NoEarlyNumbers));
        self::assertTrue(self::rated(array_slice($drills, 0, 1))->meets(RubricRule::NoEarlyNumbers));
    }

    public function test_the_theme_is_what_has_most_time_where_none_is_said(): void
    {
        // Half a minute of passing, half an hour of ball mastery.
        $passing = self::drill('pass', ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'right'], [
            'family' => 'passing',
        ]);
        $good = ['pass' => $passing] + self::good();
        self::assertTrue(self::rated($good)->meets(RubricRule::ThemeTrained));
        self::assertFalse(self::rated($good, theme: Family::Passing)->meets(RubricRule::ThemeTrained));
    }

    /** @return array<string, Block> taps, two drills of which one is counted, water, a game, a talk: about 31 minutes of 35 */
    private static function good(): array
    {
        $long = ['kind' => 'timed', 'workSeconds' => 60, 'sets' => 5, 'restSeconds' => 10, 'sides' => 'alternating'];

        return [
            'first' => self::drill('first', $long),
            'second' => self::drill('second', $long),
            'water' => Block::ofMinutes('water', BlockKind::Water, 2.0),
            'count' => self::drill('count', null, counted: null),
            'game' => self::drill('game', ['kind' => 'free', 'minutes' => 8, 'sides' => 'both'], [
                'opposition' => 'live',
                'organisation' => ['workers' => 6, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'live'],
                'script' => '(?.in)x+',
                'scoring' => null,
            ]),
            'talk' => Block::ofMinutes('talk', BlockKind::Talk, 2.0),
        ];
    }

    /**
     * @param  array<string, mixed>|null  $dose
     * @param  array<string, mixed>  $change
     */
    private static function drill(
        string $id,
        ?array $dose = null,
        array $change = [],
        ?string $counted = 'nothing',
        ?int $stations = null,
    ): Block {
        $drill = self::fields(['slug' => $id] + $change);

        return Block::ofDrill($id, $drill, $drill->doseFrom($dose), Tempo::Steady, $stations, counted: Counted::named($counted));
    }

    /** @param  array<string, mixed>  $change */
    private static function fields(array $change): Drill
    {
        return DrillFactory::fromFields($change + Drills::fields());
    }

    /**
     * @param  array<string, Block>  $blocks
     * @return array{string, string} sentence and cure
     */
    private static function said(
        array $blocks,
        string $rule,
        int $slot = 35,
        ?Family $theme = null,
        ?int $kit = null,
    ): array {
        foreach (self::rated($blocks, slot: $slot, theme: $theme, kit: $kit)->remarks as $remark) {
            if ($remark->rule->value === $rule) {
                return [$remark->sentence, $remark->cure];
            }
        }
        self::fail("Nothing is said of {$rule}.");
    }

    /** @param  array<string, Block>  $blocks */
    private static function rated(
        array $blocks,
        int $slot = 35,
        int $players = 8,
        ?Family $theme = null,
        ?int $kit = null,
        ?HeadingLimit $heading = null,
    ): Rating {
        $people = array_map(
            static fn (int $i): PlanPlayer => new PlanPlayer($i, StrongFoot::Right, age: AgeGroup::of('U12')),
            range(1, $players),
        );
        $context = PlanContext::of($people, [], new ClockRules, new KitOwned(markers: $kit), heading: $heading);

        return PlanEvaluator::evaluate(array_values($blocks), $context, $slot * 60.0, $theme)->rating ?? Rating::of([]);
    }

    /**
     * @param  list<int>  $numbers
     * @return list<int>
     */
    private static function growing(array $numbers): array
    {
        sort($numbers);

        return $numbers;
    }

    public function test_the_rubric_in_the_docs_is_the_one_that_rates(): void
    {
        $docs = (string) file_get_contents(dirname(__DIR__, 3).'/docs/rubric.md');
        $rows = array_map(
            static fn (RubricRule $rule): string => "| {$rule->words()} | {$rule->weight()} |",
            RubricRule::cases(),
        );
        preg_match_all('/^\| (?!rule|-).*$/m', $docs, $found);
        self::assertSame($rows, $found[0]);
    }
}
