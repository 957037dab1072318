<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Builder;

use FleetSparrow\Core\Advice\Remark;
use FleetSparrow\Core\Builder\BuildAnswer;
use FleetSparrow\Core\Builder\BuildRequest;
use FleetSparrow\Core\Builder\HardLimits;
use FleetSparrow\Core\Builder\Lock;
use FleetSparrow\Core\Builder\Needs;
use FleetSparrow\Core\Builder\OptionMaker;
use FleetSparrow\Core\Builder\Phase;
use FleetSparrow\Core\Builder\Proposal;
use FleetSparrow\Core\Builder\Reason;
use FleetSparrow\Core\Builder\Refusal;
use FleetSparrow\Core\Builder\SessionBuilder;
use FleetSparrow\Core\Builder\Weights;
use FleetSparrow\Core\Builder\Wish;
use FleetSparrow\Core\Caution\HeadingProfile;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Plan\Area;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Tests\Drill\BookTest;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Touch\FootMark;
use PHPUnit\Framework\TestCase;

/** Proposals from the real book. */
class BuilderTest extends TestCase
{
    private const SLOTS = [15, 40, 90];

    /** Each theme at one of them, in turn; LongThemes tries each at all. */
    protected const EVERY_SLOT = false;

    /** @var list<Drill> */
    private static array $book = [];

    /** What is dear and the same in every request is worked out once. */
    private static Memo $memo;

    public static function setUpBeforeClass(): void
    {
        self::$memo = new Memo;
        self::$book = array_map(DrillFactory::fromFields(...), BookTest::fields());
    }

    public function test_three_sessions_that_fit_differ_and_say_why(): void
    {
        $answer = self::propose(['theme' => Family::Turning, 'slotMinutes' => 60]);

        self::assertCount(3, $answer->proposals);
        self::assertSame([], $answer->refusals);
        foreach ($answer->proposals as $i => $proposal) {
            self::assertLessThanOrEqual(60 * 60.0, $proposal->evaluation->finish->at(0.8));
            self::assertSame(Phase::WarmUp, $proposal->blocks[0]->phase);
            self::assertSame('recap', $proposal->blocks[count($proposal->blocks) - 1]->block->id);
            self::assertSame(
                [],
                array_merge(
                    ...array_map(
                        fn ($block): array => array_values(
                            array_filter(
                                $block->warnings,
                                fn (Warning $one): bool => in_array($one->code, ['water', 'kit', 'room', 'heading', 'queue'], true),
                            ),
                        ),
                        $proposal->evaluation->blocks,
                    ),
                ),
            );
            foreach ($proposal->blocks as $block) {
                if ($block->phase !== null) {
                    self::assertNotEmpty($block->reasons, $block->title);
                    self::assertSame($block->reasons, self::sorted($block->reasons));
                }
            }
            foreach (array_slice($answer->proposals, 0, $i) as $other) {
                self::assertLessThanOrEqual(count($proposal->slugs()) / 2, count(array_intersect($proposal->slugs(), $other->slugs())));
                self::assertGreaterThanOrEqual($proposal->worth, $other->worth);
            }
        }
        self::assertContains(
            Family::Turning,
            array_map(fn (string $slug): Family => self::drill($slug)->family, $answer->proposals[0]->slugs()),
        );
    }

    public function test_every_theme_has_three_that_differ(): void
    {
        foreach (Family::cases() as $i => $theme) {
            foreach (static::EVERY_SLOT ? self::SLOTS : [self::SLOTS[$i % 3]] as $slot) {
                self::assertThreeThatDiffer($theme, $slot);
            }
        }
    }

    private static function assertThreeThatDiffer(Family $theme, int $slot): void
    {
        $proposals = self::propose(['theme' => $theme, 'slotMinutes' => $slot])->proposals;
        self::assertCount(3, $proposals, "{$theme->value}, {$slot} minutes");
        self::assertSame($proposals, self::byWorth($proposals));
        foreach ([[0, 1], [0, 2], [1, 2]] as [$one, $other]) {
            $fewer = min(count($proposals[$one]->slugs()), count($proposals[$other]->slugs()));
            self::assertLessThanOrEqual(
                max(1, $fewer / 2 + 0.5),
                count(array_intersect($proposals[$one]->slugs(), $proposals[$other]->slugs())),
            );
        }
    }

    public function test_the_worth_of_a_proposal_is_the_written_objective_worked_out_from_its_evaluation(): void
    {
        $needs = new Needs(
            familyDaysAgo: ['turning' => 10, 'dribbling' => 3],
            records: ['outside-hook-race' => 5],
            lastTime: ['drag-back-turn'],
        );
        foreach ([Family::Turning, Family::Passing, Family::Dribbling] as $theme) {
            foreach (self::propose(['theme' => $theme, 'slotMinutes' => 60, 'needs' => $needs])->proposals as $proposal) {
                $w = new Weights;
                $worth = 0.0;
                $drills = [];
                foreach ($proposal->blocks as $i => $block) {
                    $worked = $proposal->evaluation->blocks[$i];
                    if ($block->block->drill === null || $block->block->dose === null) {
                        continue;
                    }
                    $drill = $block->block->drill;
                    $ago = $needs->familyDaysAgo[$drill->family->value] ?? 21;
                    $weaker = $both = 0.0;
                    foreach (self::context()->players as $player) {
                        $left = $worked->touches[$player->id]->contactsOf(FootMark::Left);
                        $right = $worked->touches[$player->id]->contactsOf(FootMark::Right);
                        $weaker += $player->strongFoot === StrongFoot::Right ? $left : $right;
                        $both += $left + $right;
                    }
                    $scripts = array_map(fn (Drill $one): string => $one->script->text(), array_column($drills, 0));
                    $kinds = array_column($drills, 1);
                    $worth += $w->stale * min(1, $ago / 21)
                        + $w->foot * 0.4 * ($both > 0 ? 2 * min($weaker / $both, 1 - $weaker / $both) : 0)
                        + $w->target * ($block->phase === Phase::Challenge ? ($needs->records[$drill->slug] ?? 0) / 12 : 0)
                        + $w->repeat * ($block->phase === Phase::Technique && in_array($drill->slug, $needs->lastTime, true) ? 1 : 0)
                        + $w->theme * ($drill->family === $theme ? 1 : ($block->phase === Phase::Game
                            ? ($drill->demands->keepsTheme ? 0.6 : 0.3) : 0))
                        + (in_array($block->phase, [Phase::WarmUp, Phase::Duel, Phase::Game], true)
                            // None of them was done before, so all are as fresh as can be; whose turn it is comes by lot.
                            ? $w->fresh + $w->turn * hexdec(hash('crc32b', "1 60 {$theme->value} 12 {$drill->slug}")) / 0xFFFFFFFF
                            : 0)
                        + ($w->work + ($drill->family === $theme ? $w->themeTime : 0)) * $worked->work->mean() / 3600
                        + $w->variety * ((in_array($drill->script->text(), $scripts, true) ? 0 : 0.5) + (in_array(
                            $block->block->dose->kind(),
                            $kinds,
                            true,
                        ) ? 0 : 0.5))
                        + $w->sharedLayout * ($drills !== [] && $worked->laying?->setUp->touched() === 0 ? 1 : 0)
                        - $w->setUp * $worked->partSeconds['setUp'] / 3600
                        + ($w->ballTime * array_sum(
                            array_map(fn (PlayerTime $time): float => $time->ballSeconds, $worked->times),
                        ) - $w->waiting * array_sum(
                            // What there is to lay out counts by itself.
                            array_map(
                                fn (PlayerTime $time): float => $time->waitingSeconds - $worked->partSeconds['setUp'],
                                $worked->times,
                            ),
                        )) / 12 / 3600;
                    $drills[] = [$drill, $block->block->dose->kind()];
                }
                self::assertEqualsWithDelta($worth, $proposal->worth, 1e-6);
            }
        }
    }

    /** On small books every choice of drills and doses is tried: what is proposed is within two parts in a hundred of the best. */
    public function test_the_same_request_has_the_same_answer_and_asking_again_shows_others(): void
    {
        $slugs = fn (BuildAnswer $answer): array => array_map(fn (Proposal $one): array => $one->slugs(), $answer->proposals);
        $first = $slugs(self::propose(['theme' => Family::Passing]));

        self::assertSame($first, $slugs(self::propose(['theme' => Family::Passing])));
        foreach ($slugs(self::propose(['theme' => Family::Passing, 'seen' => $first])) as $again) {
            foreach ($first as $seen) {
                self::assertLessThanOrEqual(count($again) / 2, count(array_intersect($again, $seen)));
            }
        }
    }

    public function test_needs_turn_the_choice(): void
    {
        $first = fn (Needs $needs): array => self::propose(['theme' => Family::Turning, 'needs' => $needs])->proposals[0]->slugs();
        $plain = $first(new Needs);
        $turns = array_values(
            array_filter(
                self::$book,
                fn (Drill $drill): bool => $drill->family === Family::Turning && Phase::Technique->suits($drill) && ! in_array(
                    $drill->slug,
                    $plain,
                    true,
                ),
            ),
        );
        $wanted = $turns[0]->slug;

        self::assertContains($wanted, $first(new Needs(nextRungs: [$wanted => 12])));
        self::assertContains($wanted, $first(new Needs(lastTime: [$wanted], nextRungs: [$wanted => 4])));
        // Without a theme the family that was not met for longest is it.
        $allLately = array_fill_keys(array_column(Family::cases(), 'value'), 1);
        self::assertSame(Family::Juggling, self::propose(['needs' => new Needs(familyDaysAgo: ['juggling' => 40] + $allLately)])->theme);
    }

    public function test_a_lagging_foot_is_made_up_for_and_a_session_that_leaves_one_behind_says_so(): void
    {
        $rightOnly = array_values(
            array_filter(self::$book, fn (Drill $drill): bool => ($drill->dose?->fields()['sides'] ?? '') === 'right'),
        );
        self::assertNotSame([], $rightOnly);
        $answer = self::propose(['book' => $rightOnly, 'slotMinutes' => 60]);
        self::assertStringContainsString('The left foot has', implode(' ', array_map(
            static fn (Remark $one): string => $one->sentence,
            $answer->proposals[0]->evaluation->rating->remarks ?? [],
        )));
        $value = fn (
            ?float $lately,
            string $slug,
        ): float => (new OptionMaker(
            $request = self::request(['needs' => new Needs(weakerShare: $lately)]),
            Family::Turning,
            new Weights,
            new HardLimits($request),
        ))->own(
            Phase::Technique,
            self::drill($slug),
        )?->terms['foot'] ?? -1.0;
        // Nobody lags: both feet alike are worth most. Three in ten: the weaker foot's share counts in full.
        self::assertEqualsWithDelta(0.4, $value(0.5, 'drag-back-turn'), 1e-9);
        self::assertEqualsWithDelta(1.0, $value(0.3, 'drag-back-turn'), 1e-9);
    }

    public function test_locks_are_kept_bans_are_out_and_both_at_once_is_said(): void
    {
        $answer = self::propose(['theme' => Family::Passing, 'locks' => [Lock::drill('figure-of-eight')], 'bans' => ['box-free-dribble']]);
        foreach ($answer->proposals as $proposal) {
            self::assertContains('figure-of-eight', $proposal->slugs());
            self::assertNotContains('box-free-dribble', $proposal->slugs());
        }
        $both = self::propose(['locks' => [Lock::drill('figure-of-eight')], 'bans' => ['figure-of-eight']]);
        self::assertSame('The lock holds; take it away to keep the drill out.', $both->refusals[0]->instead);
        self::assertContains('figure-of-eight', $both->proposals[0]->slugs());

        $family = self::propose(['theme' => Family::Passing, 'locks' => [Lock::family('juggling')]]);
        foreach ($family->proposals as $proposal) {
            self::assertContains(Family::Juggling, array_map(fn (string $slug): Family => self::drill($slug)->family, $proposal->slugs()));
        }
    }

    public function test_a_lock_that_a_caution_forbids_says_why_and_what_would_work(): void
    {
        $answer = self::propose(
            ['locks' => [Lock::drill('head-soft-ball')], 'heading' => HeadingProfile::TheFa2020->limitFor(AgeGroup::of('U11'))],
        );

        self::assertStringStartsWith(
            self::drill('head-soft-ball')->name.' has headers. No heading (The FA 2020',
            $answer->refusals[0]->reason,
        );
        self::assertStringEndsWith('would work.', $answer->refusals[0]->instead);
        self::assertCount(3, $answer->proposals);
        foreach ($answer->proposals as $proposal) {
            self::assertNotContains('head-soft-ball', $proposal->slugs());
        }
    }

    public function test_every_impossible_wish_has_a_reason_and_the_nearest_thing_that_works(): void
    {
        $said = fn (array $change): array => array_map(
            fn (Refusal $one): array => [$one->reason, $one->instead],
            self::propose($change)->refusals,
        );

        self::assertSame(['A session lasts 10 to 240 minutes.', 'Built for 10 minutes.'], $said(['slotMinutes' => 0])[0]);
        self::assertSame(['A session lasts 10 to 240 minutes.', 'Built for 240 minutes.'], $said(['slotMinutes' => 600])[0]);
        self::assertSame('There is no such drill to choose from.', $said(['locks' => [Lock::drill('no-such-drill')]])[0][0]);
        $four = array_map(Lock::drill(...), ['sole-taps', 'drag-back-turn', 'figure-of-eight', 'gate-pass']);
        self::assertSame(
            'The 2 parts of a session of 15 minutes are all taken by other locks.',
            $said(['slotMinutes' => 15, 'locks' => $four])[0][0],
        );
        self::assertSame(
            'What is locked does not end within 10 minutes in eight cases of ten.',
            $said(['slotMinutes' => 10, 'locks' => [Lock::drill('wall-seven-good'), Lock::drill('one-marker-one-server')]])[0][0],
        );
        self::assertSame('No part of the session has anything of it to choose from.', $said(['locks' => [Lock::family('tactics')]])[0][0]);
        self::assertSame(
            'Every drill there is has been banned.',
            $said(['bans' => array_map(fn (Drill $one): string => $one->slug, self::$book)])[0][0],
        );
        // No balls and no markers: what is left is said, and is no empty answer where anything can be done.
        $bare = self::propose(['kit' => new KitOwned(0, 0, 0)]);
        foreach ($bare->proposals as $proposal) {
            foreach ($proposal->slugs() as $slug) {
                self::assertSame([[], []], [self::drill($slug)->layout->markers(), self::drill($slug)->layout->balls()]);
            }
        }
        self::assertNotSame([], $bare->refusals);
    }

    public function test_limits_are_limits(): void
    {
        $limits = fn (array $change): HardLimits => new HardLimits(self::request($change));

        self::assertNull($limits([])->why(self::drill('sole-taps')));
        self::assertStringContainsString(
            'does not fit',
            (string) $limits(
                ['area' => new Area(Length::of(1.0, LengthUnit::Metre), Length::of(1.0, LengthUnit::Metre), LengthUnit::Metre)],
            )->why(self::drill('zigzag-in-out')),
        );
        self::assertStringContainsString(
            'the squad has 1',
            (string) $limits(['kit' => new KitOwned(1, 20, 2)])->why(self::drill('zigzag-in-out')),
        );
        self::assertStringContainsString(
            'needs 5 players and there are 4',
            (string) $limits(['players' => 4])->why(self::drill('rectangle-round')),
        );
        self::assertNull($limits(['players' => 5])->why(self::drill('rectangle-round')));
        self::assertStringContainsString(
            'needs a wall',
            (string) $limits(['wish' => Wish::RainyCorner])->why(self::drill('wall-two-touch')),
        );
        $old = array_values(array_filter(self::$book, fn (Drill $drill): bool => $drill->demands->fromAge->under > 8))[0];
        self::assertStringContainsString('is meant for', (string) $limits(['underAge' => 8])->why($old));
        self::assertNull($limits(['underAge' => $old->demands->fromAge->under])->why($old));
        $needy = array_values(array_filter(self::$book, fn (Drill $drill): bool => $drill->demands->needs !== []))[0];
        self::assertStringContainsString('first.', (string) $limits(['needs' => new Needs(movesMet: [])])->why($needy));
        self::assertNull($limits(['needs' => new Needs(movesMet: $needy->demands->needs)])->why($needy));
        self::assertNull($limits(['needs' => new Needs(drillDaysAgo: [$needy->slug => 9], movesMet: [])])->why($needy));
    }

    public function test_ready_wishes_do_what_they_say(): void
    {
        $rainy = self::propose(
            [
                'wish' => Wish::RainyCorner,
                'players' => 2,
                'slotMinutes' => 30,
                'area' => new Area(Length::ofMetres(5.0), Length::ofMetres(5.0), LengthUnit::Metre),
            ],
        );
        self::assertNotSame([], $rainy->proposals);
        foreach ($rainy->proposals as $proposal) {
            foreach ($proposal->slugs() as $slug) {
                self::assertSame([], self::drill($slug)->layout->walls());
                self::assertLessThanOrEqual(
                    5000,
                    max(
                        self::drill($slug)->layout->footprint()->widthMillimetres,
                        self::drill($slug)->layout->footprint()->depthMillimetres,
                    ),
                );
            }
        }
        $share = function (Wish $wish): float {
            [$weaker, $all] = [0.0, 0.0];
            $proposal = self::propose(['wish' => $wish, 'theme' => Family::Turning])->proposals[0];
            foreach (self::context()->players as $player) {
                $tally = $proposal->evaluation->touches[$player->id];
                $weaker += $tally->contactsOf($player->strongFoot === StrongFoot::Right ? FootMark::Left : FootMark::Right);
                $all += $tally->contactsOf(FootMark::Left) + $tally->contactsOf(FootMark::Right);
            }

            return $weaker / $all;
        };
        self::assertGreaterThan(0.6, $share(Wish::WeakerFoot));
        self::assertGreaterThan(0.4, $share(Wish::Anything));
        $setUp = fn (Wish $wish): float => array_sum(
            array_map(
                fn ($block): float => $block->partSeconds['setUp'] ?? 0.0,
                self::propose(['wish' => $wish, 'theme' => Family::Dribbling])->proposals[0]->evaluation->blocks,
            ),
        );
        self::assertLessThanOrEqual($setUp(Wish::Anything), $setUp(Wish::SharedLayout));
        $joined = self::propose(
            ['wish' => Wish::JoinTwo, 'joined' => [['drag-back-turn', 'sole-taps'], ['combo-pull-back-step-over', 'gate-pass']]],
        );
        foreach ($joined->proposals as $proposal) {
            self::assertNotSame([], array_intersect($proposal->slugs(), ['drag-back-turn', 'sole-taps']));
            self::assertNotSame([], array_intersect($proposal->slugs(), ['combo-pull-back-step-over', 'gate-pass']));
        }
        self::assertSame(
            'No drill was done in it.',
            self::propose(['wish' => Wish::JoinTwo, 'joined' => [[], ['gate-pass']]])->refusals[0]->reason,
        );
    }

    public function test_in_the_heat_there_is_water_more_often(): void
    {
        $waters = fn (bool $isHot): int => count(
            array_filter(
                self::propose(['theme' => Family::Passing, 'isHot' => $isHot])->proposals[0]->evaluation->blocks,
                fn ($block): bool => $block->segments !== [] && $block->segments[0]->kind === SegmentKind::Water,
            ),
        );

        self::assertGreaterThan($waters(false), $waters(true));
    }

    /**
     * @param  list<Proposal>  $proposals
     * @return list<Proposal>
     */
    private static function byWorth(array $proposals): array
    {
        usort($proposals, fn (Proposal $a, Proposal $b): int => $b->worth <=> $a->worth);

        return $proposals;
    }

    public function test_what_is_kept_from_one_request_to_the_next_changes_no_answer(): void
    {
        $told = fn (BuildAnswer $answer): array => array_map(
            fn (Proposal $one): array => [$one->worth, $one->slugs(), $one->evaluation->finish->values],
            $answer->proposals,
        );
        $few = array_slice(self::$book, 0, 40);
        $asked = ['book' => $few, 'theme' => Family::BallMastery, 'slotMinutes' => 30, 'players' => 6];
        $first = new Memo;
        $fresh = $told(self::propose($asked + ['memo' => $first]));
        $kept = new Memo($first->asked());
        self::assertSame($fresh, $told(self::propose($asked + ['memo' => $kept])));
        self::assertFalse($kept->isFuller(), 'Nothing was worked out anew.');
        // For others, with less, elsewhere, in one's own way: each is another question.
        $corner = new Area(Length::ofMetres(9.0), Length::ofMetres(9.0), LengthUnit::Metre);
        foreach ([['players' => 5], ['kit' => new KitOwned(60, 3, 2, 2)], ['area' => $corner]] as $change) {
            $other = $change + $asked;
            $memo = new Memo($first->asked());
            self::assertSame($told(self::propose($other + ['memo' => new Memo])), $told(self::propose($other + ['memo' => $memo])));
            self::assertTrue($memo->isFuller());
        }
        $taps = array_search('sole-taps', array_column(BookTest::fields(), 'slug'), true);
        $own = [...$few, DrillFactory::fromFields(['slug' => 'slow-taps'] + BookTest::fields()[$taps])];
        $first = new Memo;
        self::propose(['book' => $own, 'memo' => $first] + $asked);
        $own[40] = DrillFactory::fromFields(['slug' => 'slow-taps', 'secondsPerRep' => 9.0] + BookTest::fields()[$taps]);
        $memo = new Memo($first->asked());
        self::propose(['book' => $own, 'memo' => $memo] + $asked);
        self::assertTrue($memo->isFuller(), 'A drill that was changed is worked out anew.');
    }

    /**
     * @param  list<Reason>  $reasons
     * @return list<Reason>
     */
    private static function sorted(array $reasons): array
    {
        usort($reasons, fn (Reason $a, Reason $b): int => $b->points <=> $a->points);

        return $reasons;
    }

    /** @param  array<string, mixed>  $change */
    private static function propose(array $change): BuildAnswer
    {
        return SessionBuilder::propose(self::request($change));
    }

    /** @param  array<string, mixed>  $change */
    private static function request(array $change): BuildRequest
    {
        return new BuildRequest(
            $change['book'] ?? self::$book,
            self::context($change),
            $change['slotMinutes'] ?? 60,
            $change['theme'] ?? null,
            $change['wish'] ?? Wish::Anything,
            $change['needs'] ?? new Needs,
            $change['locks'] ?? [],
            $change['bans'] ?? [],
            $change['joined'] ?? null,
            $change['seen'] ?? [],
            1,
            new Weights,
            $change['underAge'] ?? null,
        );
    }

    /** @param  array<string, mixed>  $change */
    private static function context(array $change = []): PlanContext
    {
        return PlanContext::of(
            array_map(
                fn (int $i): PlanPlayer => new PlanPlayer($i, $i % 3 === 0 ? StrongFoot::Left : StrongFoot::Right),
                range(1, $change['players'] ?? 12),
            ),
            [],
            new ClockRules,
            $change['kit'] ?? new KitOwned(60, 15, 2, 2),
            $change['area'] ?? new Area(Length::of(30.0, LengthUnit::Yard), Length::of(20.0, LengthUnit::Yard), LengthUnit::Yard),
            $change['heading'] ?? null,
            weather: \FleetSparrow\Core\Caution\Weather::of($change['isHot'] ?? false, null),
            memo: $change['memo'] ?? self::$memo,
        );
    }

    private static function drill(string $slug): Drill
    {
        return array_values(array_filter(self::$book, fn (Drill $drill): bool => $drill->slug === $slug))[0];
    }
}
