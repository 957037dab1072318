<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Drill;

use FleetSparrow\Core\Caution\HeadingProfile;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\ServiceManner;
use FleetSparrow\Core\Shared\StrongFoot;
use PHPUnit\Framework\TestCase;

/** Ten kinds of session that coaches really run, put together from the book; what each needs stands in a field, not in a sentence. */
final class SessionsFromTheBookTest extends TestCase
{
    public function test_one_solo_passing_evening_ten_by_ten(): void
    {
        $plan = self::plan(
            1,
            [
                'warm-up-circuit-three',
                2,
                self::timed('shoulder-drop-marker', 60),
                self::timed('step-over-push', 60),
                'wall-race-near',
                'wall-race-middle',
                'wall-race-far',
                'targets-with-roles',
            ],
        );

        self::assertCount(8, $plan->blocks);
        self::assertSame(60.0, $plan->blocks[2]->partSeconds['work']);
        // Slow, then fast: a length each, there and back.
        self::assertSame('learn match', self::drill('slow-out-fast-back')->doseFrom(null)->fields()['tempos']);
        foreach (['near' => 3.0, 'middle' => 5.5, 'far' => 8.0] as $line => $metres) {
            $drill = self::drill("wall-race-{$line}");
            // To the wall and back from a distance that is stated.
            self::assertEqualsWithDelta(2 * $metres, $drill->layout->ballPath()?->lengthMetres, 1e-9);
            self::assertSame(['quota', 10], [$drill->doseFrom(null)->kind(), $drill->doseFrom(null)->fields()['good']]);
            self::assertSame(
                ['time-for-work', 'poor-one', 'again'],
                [$drill->rule?->kind->value, $drill->rule?->fault?->value, $drill->rule?->faultCost->value],
            );
        }
        $targets = self::drill('targets-with-roles');
        self::assertSame(['dribble', 'move', 'pass'], $targets->demands->targetRoles);
        self::assertCount(6, $targets->layout->balls());
    }

    public function test_two_partners_by_question(): void
    {
        $plan = self::plan(
            14,
            [
                'good-pass-by-question',
                'move-turn-and-return',
                'hunt-call-a-name',
                'chest-and-return',
                'thigh-volley-planted',
                'volley-from-hands',
            ],
        );
        $asked = self::drill('good-pass-by-question');
        $hunt = self::drill('hunt-call-a-name');

        self::assertCount(3, $asked->teaching->questions[0]->hopedFor);
        self::assertTrue($asked->teaching->judgesQuality);
        self::assertSame(
            ['hunt', 'name'],
            [$hunt->organisation->pattern->value, $hunt->demands->calling?->kind->value],
        );
        // Worker and server swap: 14 players, seven stations of one and one are two turns.
        self::assertSame([7, 2], [$plan->blocks[1]->stations, $plan->blocks[1]->turns]);
    }

    public function test_three_five_corners_of_thirty_seconds(): void
    {
        $corners = ['figure-of-eight', 'turns-never-twice', 'receive-through-target', 'six-balls-outside-in', 'quick-feet-box'];
        foreach (['figure-of-eight', 'turns-never-twice', 'receive-through-target'] as $slug) {
            self::assertSame(
                30.0,
                self::drill($slug)
                    ->doseFrom(['kind' => 'timed', 'workSeconds' => 30, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'both'])
                    ->clockedSetSeconds(),
            );
        }
        self::plan(5, array_map(fn (string $slug): array => self::timed($slug, 30), $corners));

        self::assertSame(
            ['marker-touched', 'rep-void'],
            [self::drill('figure-of-eight')->rule?->fault?->value, self::drill('figure-of-eight')->rule?->faultCost->value],
        );
        self::assertEqualsCanonicalizing(
            ['line-crossed', 'never-twice'],
            array_column(self::drill('turns-never-twice')->rule->countsIf ?? [], 'value'),
        );
        self::assertSame('exactly 2 touches', self::drill('receive-through-target')->demands->touches?->words());
        self::assertCount(6, self::drill('six-balls-outside-in')->layout->balls());
        self::assertNull(self::drill('quick-feet-box')->rule);
        // Two of the corners need somebody to watch and count.
        self::assertCount(2, array_filter($corners, fn (string $slug): bool => self::drill($slug)->organisation->needsCounter));
    }

    public function test_four_two_old_sessions_joined(): void
    {
        $joined = ['combo-pull-back-step-over', 'combo-across-drop', 'combo-open-roll-cut', 'combo-chest-behind'];
        $plan = self::plan(8, $joined);
        foreach ($joined as $i => $slug) {
            $drill = self::drill($slug);
            self::assertSame(
                ['reps', 5, 'each'],
                [
                    $drill->doseFrom(null)->fields()['kind'],
                    $drill->doseFrom(null)->fields()['reps'],
                    $drill->doseFrom(null)->fields()['sides'],
                ],
            );
            self::assertStringStartsWith('*look *look ', $drill->script->text());
            self::assertCount(3, $drill->composition->parts);
            self::assertSame(2, $plan->blocks[$i]->turns);
        }
        self::assertSame(
            ['thrown', ServiceManner::Soft],
            [self::drill('combo-chest-behind')->organisation->service->value, self::drill('combo-chest-behind')->organisation->manner],
        );
    }

    public function test_five_one_player_one_coach_four_colours(): void
    {
        $plan = self::plan(1, ['one-colour', 'colours-in-order', 'front-and-behind', 'number-board-behind']);
        foreach (['one-colour', 'colours-in-order', 'front-and-behind', 'number-board-behind'] as $slug) {
            self::assertTrue(self::drill($slug)->organisation->coachServes, $slug);
            self::assertCount(4, self::drill($slug)->layout->markers());
        }
        self::assertSame(
            [1, 3],
            [self::drill('one-colour')->demands->calling?->inOrder, self::drill('colours-in-order')->demands->calling?->inOrder],
        );
        [$front, $behind] = self::drill('front-and-behind')->demands->calling->rules ?? [];
        self::assertSame(['front', 'at most 2 touches', 'any'], [$front->place, $front->touches?->words(), $front->foot->value]);
        self::assertSame(
            ['behind', 'at most 3 touches', 'far', true, true],
            [$behind->place, $behind->touches?->words(), $behind->foot->value, $behind->openBody, $behind->move],
        );
        self::assertTrue(self::drill('number-board-behind')->demands->calling?->twoWay);
        self::assertSame(1, $plan->blocks[0]->turns);
    }

    public function test_six_fourteen_players_ninety_minutes(): void
    {
        $plan = self::plan(
            14,
            [
                'facing-lines-movement',
                'rectangle-round',
                'rectangle-other-way',
                'rectangle-straight-diagonal',
                'rectangle-two-balls',
                3,
                'pattern-held-defender',
                'theme-game-two-touch',
                5,
            ],
        );

        self::assertSame('movement', self::drill('facing-lines-movement')->demands->calling?->kind->value);
        self::assertSame(
            [0, 1],
            [
                self::drill('rectangle-round')->layout->parameters()['clockwise'],
                self::drill('rectangle-other-way')->layout->parameters()['clockwise'],
            ],
        );
        self::assertSame(
            [1, 2],
            [count(self::drill('rectangle-round')->layout->balls()), count(self::drill('rectangle-two-balls')->layout->balls())],
        );
        self::assertSame('held-then-let-go', self::drill('pattern-held-defender')->demands->opposition->value);
        $game = self::drill('theme-game-two-touch');
        self::assertSame([true, 2, 2], [$game->demands->keepsTheme, $game->demands->touches?->least, $game->organisation->keepers]);
        self::assertLessThan(90 * 60, $plan->finish->at(0.5));
    }

    public function test_seven_twelve_windows_in_a_row(): void
    {
        $circuit = self::drill('twelve-windows');

        self::assertSame(360.0, self::plan(6, ['twelve-windows'])->blocks[0]->partSeconds['work']);
        self::assertCount(12, $circuit->composition->items);
        self::assertCount(7, array_filter($circuit->composition->items, fn ($item): bool => $item->rule !== null));
        self::assertCount(5, array_filter($circuit->composition->items, fn ($item): bool => $item->dose->fields()['sides'] === 'each'));
    }

    public function test_eight_one_marker_one_server(): void
    {
        $drill = self::drill('one-marker-one-server');
        $items = $drill->composition->items;

        // Ten items of 45 s and nine rests of 15, twice because the two swap, in 3 s.
        $work = self::plan(2, ['one-marker-one-server'])->blocks[0]->partSeconds['work'];
        self::assertEqualsWithDelta(2 * (10 * 45 + 9 * 15) + 3, $work, 1e-9);
        self::assertSame(['arrival', false], [$drill->demands->sideSetBy->value, $drill->organisation->serverMoves]);
        self::assertSame('exactly 2 touches, 3 while learning', $items[0]->touches?->words());
        self::assertSame(ServiceManner::BadOnPurpose, $items[2]->manner);
        // The header is an item of its own, with a soft ball, barred by age where the profile says so.
        $header = self::drill('head-soft-ball');
        self::assertSame('soft', $header->demands->ball->value);
        self::assertTrue(HeadingProfile::TheFa2020->limitFor(AgeGroup::of('U11'))->isBarred);
        self::assertFalse(HeadingProfile::TheFa2020->limitFor(AgeGroup::of('U12'))->isBarred);
    }

    public function test_nine_good_ones_only(): void
    {
        $drill = self::drill('wall-seven-good');
        $items = $drill->composition->items;

        self::assertCount(7, $items);
        foreach ($items as $item) {
            self::assertSame(
                ['quota', 10, 'each'],
                [$item->dose->fields()['kind'], $item->dose->fields()['good'], $item->dose->fields()['sides']],
            );
        }
        self::assertSame([3, 3], [$items[5]->touches?->most, $items[6]->touches?->most]);
        // How long today: random, because poor ones are owed.
        self::assertGreaterThan(0.0, self::plan(1, ['wall-seven-good'])->blocks[0]->work->variance());
    }

    public function test_ten_called_colours_with_hand_service(): void
    {
        self::plan(2, ['colour-and-volley', 'thigh-volley-planted']);
        $called = self::drill('colour-and-volley');

        self::assertSame(
            [45.0, 'worker', 'colour'],
            [$called->doseFrom(null)->clockedSetSeconds(), $called->demands->sideSetBy->value, $called->demands->calling?->kind->value],
        );
        self::assertTrue($called->rule?->inHalves);
        self::assertSame('*throw a.thigh^!first a*plant a.in^!pass *catch', self::drill('thigh-volley-planted')->script->text());
    }

    /** @param  list<string|int|array{string, array<string, mixed>}>  $blocks  a drill, a drill with its dose, or minutes of water */
    private static function plan(int $players, array $blocks): PlanEvaluation
    {
        $built = [];
        foreach ($blocks as $i => $block) {
            if (is_int($block)) {
                $built[] = Block::ofMinutes("b{$i}", BlockKind::Water, (float) $block);

                continue;
            }
            $drill = self::drill(is_string($block) ? $block : $block[0]);
            $built[] = Block::ofDrill("b{$i}", $drill, $drill->doseFrom(is_string($block) ? null : $block[1]), Tempo::Steady, null);
        }
        $feet = [StrongFoot::Right, StrongFoot::Left, StrongFoot::Both];

        return PlanEvaluator::evaluate(
            $built,
            PlanContext::of(
                array_map(fn (int $i): PlanPlayer => new PlanPlayer($i, $feet[$i % 3]), range(1, $players)),
                [],
                new ClockRules,
            ),
        );
    }

    /** @return array{string, array<string, mixed>} */
    private static function timed(string $slug, int $seconds): array
    {
        return [$slug, ['kind' => 'timed', 'workSeconds' => $seconds, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'alternating']];
    }

    private static function drill(string $slug): Drill
    {
        foreach (BookTest::fields() as $fields) {
            if ($fields['slug'] === $slug) {
                return DrillFactory::fromFields($fields);
            }
        }
        throw new \LogicException("{$slug} is not in the book.");
    }
}
