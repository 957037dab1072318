<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Player;
use App\Models\TrainingSession;
use App\Tenancy\ClubContext;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** What a plan goes by beside its blocks, what a run leaves behind for the next plan, and sessions that are proposed. */
final class PlannerTest extends FeatureTestCase
{
    public function test_what_is_barred_is_kept_only_with_a_reason_that_stays_with_its_name(): void
    {
        $this->squad->update(['age_group' => 'U11']);
        $plan = $this->plan([$this->drillBlock('sole-taps'), $this->drillBlock('head-soft-ball')]);
        $sentence = $this->preview($plan)->assertOk()->json('blocks.1.warnings.0.sentence');
        self::assertStringContainsString('No heading (The FA 2020', $sentence);
        self::assertTrue($this->preview($plan)->json('blocks.1.warnings.0.isBarred'));

        $this->keep($plan)
            ->assertStatus(422)
            ->assertJsonPath('fields.0', ['path' => 'blocks.1.override', 'message' => "{$sentence} Take it out, or say why it stands."]);
        self::assertSame(0, TrainingSession::query()->withoutGlobalScopes()->count());

        $with = [
            'overrides' => [['blockId' => 'head-soft-ball', 'code' => 'heading', 'reason' => 'A balloon, and the federation was asked.']],
        ] + $plan;
        $kept = $this->keep($with)->assertCreated()->json();
        $expected = [
            [
                'blockId' => 'head-soft-ball',
                'code' => 'heading',
                'reason' => 'A balloon, and the federation was asked.',
                'by' => 'coach',
                'on' => '2026-03-10',
                'sentence' => $sentence,
            ],
        ];
        self::assertSame($expected, $kept['overrides']);

        // Kept again by somebody else, on another day, it is still the first one's word.
        $this->travelTo('2026-03-11 12:00:00');
        $again = $this->actingAs($this->lead)->putJson("/api/v1/sessions/{$kept['id']}", $with, ['If-Match' => '"1"'])->assertOk()->json();
        self::assertSame($expected, $again['overrides']);
        // The caution gone, its reason goes too.
        $without = $this->putJson(
            "/api/v1/sessions/{$kept['id']}",
            ['blocks' => [$this->drillBlock('sole-taps')]] + $with,
            ['If-Match' => '"2"'],
        )
            ->assertOk()
            ->json();
        self::assertSame([], $without['overrides']);
    }

    public function test_who_may_do_what_helpers_and_heat_are_kept_and_planned_by(): void
    {
        [$amina, $bo] = $this->players;
        $plan = [
            'helpers' => 1,
            'may' => [['playerId' => $bo->id, 'may' => 'serves-only']],
            'isHot' => true,
            'temperatureCelsius' => 31,
            'humidityPercent' => 60,
        ] + $this->plan([$this->drillBlock('far-foot-open')]);
        $worked = $this->preview($plan)->assertOk()->json();
        $shares = array_column($worked['players'], null, 'playerId');

        self::assertSame([0, 0], [$shares[$bo->id]['left'], $shares[$bo->id]['right']]);
        self::assertGreaterThan(0, $shares[$amina->id]['left']);
        self::assertSame('heat', $worked['warnings'][0]['code']);
        // 0.567·31 + 0.393·(0.6·6.105·exp(535.37 ÷ 268.7)) + 3.94.
        self::assertStringContainsString('Wet-bulb globe 32.1 °C', $worked['warnings'][0]['sentence']);
        self::assertTrue($worked['warnings'][0]['isBarred']);

        $this->keep($plan)->assertStatus(422)->assertJsonPath('fields.0.path', 'overrides');
        $kept = $this->keep(['temperatureCelsius' => 20] + $plan)->assertCreated()->json();
        self::assertSame(
            [1, [['playerId' => $bo->id, 'may' => 'serves-only']], true, 20, 60],
            [$kept['helpers'], $kept['may'], $kept['isHot'], $kept['temperatureCelsius'], $kept['humidityPercent']],
        );
        $everybody = $this->putJson(
            "/api/v1/sessions/{$kept['id']}",
            ['may' => []] + ['temperatureCelsius' => 20] + $plan,
            ['If-Match' => '"1"'],
        )
            ->assertOk()
            ->json();
        self::assertSame([], $everybody['may']);
        // The squad's own lines.
        $this->squad->update(['heat_stop_celsius' => 35]);
        self::assertFalse($this->preview($plan)->json('warnings.0.isBarred'));
    }

    /** @return array<string, array{array<string, mixed>, string, string}> */
    public static function badInput(): array
    {
        return [
            'too many helpers' => [['helpers' => 21], 'helpers', 'from 0 to 20'],
            'helpers in words' => [['helpers' => 'two'], 'helpers', 'from 0 to 20'],
            'a player who may something else' => [['may' => [['playerId' => 1, 'may' => 'fly']]], 'may.0.may', 'Choose one of'],
            'a temperature there is not' => [
                ['temperatureCelsius' => 90, 'humidityPercent' => 50],
                'temperatureCelsius',
                'between −20 and 55',
            ],
            'humidity in words' => [['humidityPercent' => 'damp'], 'humidityPercent', 'per cent'],
            'a reason without words' => [
                ['overrides' => [['blockId' => null, 'code' => 'heat', 'reason' => '  ']]],
                'overrides.0.reason',
                'letters',
            ],
            'a slot of 0' => [['slotMinutes' => 0], 'slotMinutes', 'between 10 and 240'],
            'a slot of 600' => [['slotMinutes' => 600], 'slotMinutes', 'between 10 and 240'],
            'a round without a name' => [['blocks' => [['together' => 'a b']]], 'blocks.0.together', 'letters, digits and hyphens'],
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('badInput')]
    public function test_what_cannot_be_is_refused_where_it_stands(array $change, string $path, string $part): void
    {
        $block = ($change['blocks'][0] ?? []) + $this->drillBlock('sole-taps');
        $fields = $this->preview(['blocks' => [$block]] + $change + $this->plan([]))->assertStatus(422)->json('fields');

        self::assertSame($path, $fields[0]['path'] ?? null);
        self::assertStringContainsString($part, $fields[0]['message']);
    }

    public function test_a_run_leaves_its_times_behind_and_the_next_plan_goes_by_them(): void
    {
        $plan = $this->plan([$this->drillBlock('drag-back-turn')], ['startsAt' => '2026-03-10T18:00', 'laidBefore' => false]);
        $session = $this->keep($plan)->assertCreated()->json('id');
        $segments = $this->getJson("/api/v1/sessions/{$session}/run")->assertOk()->json('segments');
        $judged = array_values(array_filter($segments, fn (array $one): bool => $one['plainSeconds'] !== null));
        self::assertSame(['set-up', 'explain'], array_column($judged, 'kind'));
        $parts = array_map(
            fn (array $one): array => [
                'segmentId' => $one['id'],
                'part' => $one['kind'],
                'plannedSeconds' => $one['plainSeconds'],
                'actualSeconds' => 2 * $one['plainSeconds'],
            ],
            $judged,
        );
        // Every stretch is kept; only the judged ones teach.
        $parts[] = [
            'segmentId' => 'work-1', 'part' => 'work', 'plannedSeconds' => 30, 'actualSeconds' => 90, 'blockId' => 'drag-back-turn',
            'expectedSeconds' => 30, 'pausedSeconds' => 4, 'frozenSeconds' => 12.5,
        ];
        // What is left over of a helper's laying out is nobody's to be judged by.
        $parts[] = ['segmentId' => 'left-over', 'part' => 'set-up', 'plannedSeconds' => 0, 'actualSeconds' => 500];
        $close = fn () => $this->putJson(
            "/api/v1/sessions/{$session}/run",
            ['startedAt' => '2026-03-10T17:00:00Z', 'finishedAt' => '2026-03-10T17:30:00Z', 'parts' => $parts],
        )->assertOk();
        $close();
        $close();
        self::assertSame(4, DB::table('run_parts')->count());
        $work = DB::table('run_parts')->where('part', 'work')->first(['block_key', 'expected_seconds', 'paused_seconds', 'frozen_seconds']);
        self::assertEquals(['drag-back-turn', 30, 4, 12.5], array_values((array) $work));
        self::assertSame(4, DB::table('session_loads')->where('training_session_id', $session)->count());

        // (1 · 2 + 3) ÷ 4 of the minute a new drill takes, of the 20 s of a known one.
        $next = $this->plan([$this->drillBlock('drag-back-turn')]);
        self::assertEquals(25, $this->preview($next)->json('blocks.0.partSeconds.explain'));
        self::assertStringEndsWith('Times 1.25, from your last 1 block.', $this->preview($next)->json('blocks.0.how.1'));
        // Only tried: the drill is as new as before, and nothing is learned; and back.
        $tried = fn (bool $isOnly) => $this->putJson(
            "/api/v1/sessions/{$session}/recap",
            ['answers' => '', 'howHard' => null, 'onlyTried' => $isOnly],
        )->assertOk();
        $tried(true);
        self::assertEquals(60, $this->preview($next)->json('blocks.0.partSeconds.explain'));
        self::assertStringEndsNotWith('block.', $this->preview($next)->json('blocks.0.how.1'));
        $tried(false);
        self::assertEquals(25, $this->preview($next)->json('blocks.0.partSeconds.explain'));
        // Another coach has times of their own.
        self::assertEquals(
            20,
            $this->actingAs($this->lead)
                ->postJson("/api/v1/squads/{$this->squad->id}/preview", $next)
                ->json('blocks.0.partSeconds.explain'),
        );
        $this->actingAs($this->coach)
            ->putJson(
                "/api/v1/sessions/{$session}/run",
                [
                    'startedAt' => '2026-03-10T17:00:00Z',
                    'parts' => [['segmentId' => 'x', 'part' => 'lunch', 'plannedSeconds' => 0, 'actualSeconds' => -1]],
                ],
            )
            ->assertStatus(422);
    }

    public function test_pairs_follow_the_sessions_that_were_run(): void
    {
        $pairs = fn (array $worked): array => array_map(fn (array $group): array => $group['workers'], $worked['blocks'][0]['groups']);
        $seen = [];
        foreach (['10', '12', '14'] as $day) {
            $plan = $this->plan([$this->drillBlock('far-foot-open')], ['startsAt' => "2026-03-{$day}T18:00"]);
            $seen[] = $pairs($this->preview($plan)->json());
            $this->closed($this->keep($plan)->assertCreated()->json('id'), "2026-03-{$day}");
        }
        // Four players have three rounds in which nobody meets twice.
        self::assertCount(6, array_unique(array_map(fn (array $pair): string => implode('-', $pair), array_merge(...$seen))));
    }

    public function test_headers_of_past_sessions_count_within_the_rolling_weeks(): void
    {
        $one = $this->drillBlock(
            'head-soft-ball',
            ['dose' => ['kind' => 'reps', 'reps' => 1, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'both']],
        );
        $session = $this->keep($this->plan([$one], ['startsAt' => '2026-03-10T18:00']))->assertCreated()->json('id');
        $this->closed($session, '2026-03-10');
        self::assertGreaterThan(0, (float) DB::table('session_loads')->where('training_session_id', $session)->max('headers'));

        $codes = fn (string $day): array => array_column(
            $this->preview($this->plan([$one], ['startsAt' => "{$day}T18:00"]))->json('blocks.0.warnings'),
            'code',
        );
        // The FA 2020, U12: one session with headers in 28 days.
        self::assertContains('heading', $codes('2026-04-06'));
        self::assertNotContains('heading', $codes('2026-04-07'));
    }

    public function test_days_are_the_clubs_own_and_not_those_of_utc(): void
    {
        DB::table('clubs')->where('id', $this->squad->club_id)->update(['time_zone' => 'America/Los_Angeles']);
        // Six in the evening of the tenth there is two in the morning of the eleventh in UTC.
        $session = $this->keep($this->plan([$this->drillBlock('far-foot-open')], ['startsAt' => '2026-03-10T18:00']))
            ->assertCreated()
            ->json('id');
        $this->actingAs($this->coach)
            ->putJson("/api/v1/sessions/{$session}/run", ['startedAt' => '2026-03-11T01:00:00Z', 'finishedAt' => '2026-03-11T01:50:00Z'])
            ->assertOk();
        $pairs = fn (string $day): array => array_column(
            $this->preview($this->plan([$this->drillBlock('far-foot-open')], ['startsAt' => "{$day}T18:00"]))->json('blocks.0.groups'),
            'workers',
        );
        $last = fn (string $before): mixed => $this->getJson(
            "/api/v1/squads/{$this->squad->id}/drills/far-foot-open/last-time?before={$before}",
        )->json('last.on');

        // On its own day it is not yet the past; on the next it is, and the pairs change.
        self::assertNotSame($pairs('2026-03-10'), $pairs('2026-03-11'));
        self::assertSame([null, '2026-03-10'], [$last('2026-03-10'), $last('2026-03-11')]);
        $reasons = array_column(
            array_merge(
                [],
                ...array_column(
                    $this->propose(['theme' => 'first-touch', 'startsAt' => '2026-03-11T18:00'])->json('proposals.0.blocks'),
                    'reasons',
                ),
            ),
            'words',
        );
        self::assertNotContains('First touch is new this season.', $reasons);
    }

    public function test_three_sessions_are_proposed_and_what_is_taken_can_be_kept(): void
    {
        $answer = $this->propose(['theme' => 'turning'])->assertOk()->json();

        self::assertSame(['turning', 60], [$answer['theme'], $answer['slotMinutes']]);
        self::assertCount(3, $answer['proposals']);
        $blocks = array_map(
            fn (array $block, int $i): array => array_intersect_key(
                $block,
                array_flip(['kind', 'title', 'minutes', 'drillVersionId', 'dose', 'tempo', 'stations', 'counted']),
            ) + ['id' => "b{$i}"],
            $answer['proposals'][0]['blocks'],
            array_keys($answer['proposals'][0]['blocks']),
        );
        $kept = $this->keep($this->plan($blocks))->assertCreated()->json();
        self::assertSame(array_column($answer['proposals'][0]['blocks'], 'title'), array_column($kept['blocks'], 'title'));
        // What is shown is what the plan then comes to.
        self::assertSame(
            $answer['proposals'][0]['evaluation']['eightInTenSeconds'],
            $this->preview($this->plan($blocks))->json('eightInTenSeconds'),
        );
    }

    public function test_impossible_wishes_are_answered_with_a_reason_and_something_that_works(): void
    {
        $said = fn (array $change): array => array_map(
            fn (array $one): string => "{$one['reason']} {$one['instead']}",
            $this->propose($change)->assertOk()->json('refusals'),
        );

        self::assertSame('Nobody is coming yet. Built for the whole squad of 4.', $said(['comingPlayerIds' => []])[0]);
        self::assertSame('A session lasts 10 to 240 minutes. Built for 10 minutes.', $said(['slotMinutes' => 0])[0]);
        self::assertSame('A session lasts 10 to 240 minutes. Built for 240 minutes.', $said(['slotMinutes' => 600])[0]);
        $this->squad->update(['heading_profile' => 'no-heading']);
        self::assertStringContainsString(
            'has headers. No heading (the club\'s own rule)',
            $said(['locks' => [['drill' => 'head-soft-ball', 'family' => null]]])[0],
        );
        $this->squad->update(['markers_owned' => 0, 'balls_owned' => 0]);
        self::assertNotSame([], $said([]));
        foreach ([
            ['theme' => 'tactics'],
            ['wish' => 'a miracle'],
            ['slotMinutes' => 'long'],
            ['locks' => [['drill' => 7]]],
            ['seed' => -1],
        ] as $bad) {
            $this->propose($bad)->assertStatus(422);
        }
    }

    public function test_proposals_know_the_season_and_join_its_last_two_sessions(): void
    {
        foreach (['09' => 'drag-back-turn', '10' => 'gate-pass'] as $day => $slug) {
            $this->closed(
                $this->keep($this->plan([$this->drillBlock($slug)], ['startsAt' => "2026-03-{$day}T18:00"]))->assertCreated()->json('id'),
                "2026-03-{$day}",
            );
        }
        $answer = $this->propose(['wish' => 'join-two', 'startsAt' => '2026-03-12T18:00'])->assertOk()->json();
        foreach ($answer['proposals'] as $proposal) {
            self::assertContains('gate-pass', array_column($proposal['blocks'], 'drill'));
            self::assertContains('drag-back-turn', array_column($proposal['blocks'], 'drill'));
        }
        $again = $this->propose(['theme' => 'turning', 'startsAt' => '2026-03-12T18:00'])->json('proposals.0.blocks');
        self::assertNotSame(
            [],
            array_filter(
                array_column(array_merge([], ...array_column($again, 'reasons')), 'words'),
                fn (string $words): bool => str_contains($words, 'was in none of the 2 sessions so far'),
            ),
        );
        $this->actingAs($this->stranger)
            ->postJson("/api/v1/squads/{$this->squad->id}/proposals", ['slotMinutes' => 60, 'comingPlayerIds' => []])
            ->assertNotFound();
    }

    public function test_last_time_says_when_by_how_many_and_the_numbers(): void
    {
        $session = $this->keptSession();
        $line = $this->lineKey($session, $this->players[0]->id);
        $this->send(
            [
                $this->mark($session, $line, 1),
                $this->mark($session, $line, 2, ['tryNumber' => 2, 'value' => 14]),
                $this->mark($session, $line, 3, ['tryNumber' => 3, 'value' => 30, 'isVoid' => true]),
                // Disputed, it is no number to look back at.
                $this->mark(
                    $session,
                    $line,
                    4,
                    ['tryNumber' => 4, 'value' => 40, 'isDisputed' => true, 'reason' => 'The ball left the box.'],
                ),
            ],
            $this->coach,
        );
        $last = fn (string $before): mixed => $this->getJson(
            "/api/v1/squads/{$this->squad->id}/drills/drag-back-turn/last-time?before={$before}",
        )->assertOk()->json('last');
        self::assertNull($last('2026-03-20'));
        $this->closed($session, '2026-03-12');

        self::assertNull($last('2026-03-12'));
        $done = $last('2026-03-13');
        self::assertSame(['Turning', '2026-03-12', 4, 'timed'], [$done['title'], $done['on'], $done['players'], $done['dose']['kind']]);
        self::assertSame(
            [['playerId' => $this->players[0]->id, 'side' => 'R', 'value' => 14, 'unit' => $done['numbers'][0]['unit']]],
            $done['numbers'],
        );
        $this->getJson("/api/v1/squads/{$this->squad->id}/drills/drag-back-turn/last-time?before=yesterday")->assertStatus(422);
    }

    private function closed(int $session, string $day): void
    {
        $this->actingAs($this->coach)
            ->putJson("/api/v1/sessions/{$session}/run", ['startedAt' => "{$day}T17:00:00Z", 'finishedAt' => "{$day}T17:50:00Z"])
            ->assertOk();
        $this->app->make(ClubContext::class)->leave();
    }

    /** @param  array<string, mixed>  $plan */
    private function keep(array $plan): TestResponse
    {
        return $this->actingAs($this->coach)->postJson("/api/v1/squads/{$this->squad->id}/sessions", $plan);
    }

    /** @param  array<string, mixed>  $plan */
    private function preview(array $plan): TestResponse
    {
        return $this->actingAs($this->coach)->postJson("/api/v1/squads/{$this->squad->id}/preview", $plan);
    }

    /** @param  array<string, mixed>  $change */
    private function propose(array $change): TestResponse
    {
        return $this->actingAs($this->coach)->postJson(
            "/api/v1/squads/{$this->squad->id}/proposals",
            $change + ['slotMinutes' => 60, 'comingPlayerIds' => array_map(fn (Player $player): int => $player->id, $this->players)],
        );
    }
}
