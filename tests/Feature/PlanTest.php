<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Player;
use App\Models\RecordLine;
use App\Planning\SquadHistory;
use App\Tenancy\ClubContext;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

final class PlanTest extends FeatureTestCase
{
    public function test_preview_answers_what_the_core_works_out(): void
    {
        // Four players on the spot, a ball each: nothing to lay out, 60 s explaining, 80 s work, four numbers 8 s.
        $answer = $this->preview([$this->drillBlock('sole-taps')])->assertOk();

        $answer->assertJsonPath('blocks.0.partSeconds', ['setUp' => 0, 'explain' => 60, 'work' => 80, 'changeOver' => 0, 'write' => 8]);
        self::assertEqualsWithDelta(148.0, $answer->json('meanSeconds'), 0.01);
        self::assertSame([67, 67], [$answer->json('touches.left'), $answer->json('touches.right')]);
    }

    public function test_the_order_changes_the_clock_through_the_layout(): void
    {
        $together = [$this->drillBlock('drag-back-turn'), $this->drillBlock('inside-cut-turn'), $this->drillBlock('figure-of-eight')];
        $apart = [$together[0], $together[2], $together[1]];

        // Side by side the two boxes stay and the second turn takes 20 s to explain, not 60. Apart, one marker of each box stays
        // under a figure of eight, so 6 of 8 are touched once more, at 5 s: 40 + 30.
        self::assertEqualsWithDelta(
            70.0,
            $this->preview($apart)->json('meanSeconds') - $this->preview($together)->json('meanSeconds'),
            0.01,
        );
    }

    public function test_every_school_of_dose_can_be_planned_kept_and_run(): void
    {
        $pattern = ['sets' => 2, 'restSeconds' => 10, 'sides' => 'each'];
        $doses = [
            ['kind' => 'lengths', 'lengths' => 4, 'andBack' => 1] + $pattern,
            ['kind' => 'collective', 'total' => 100, 'onlyGood' => 0] + $pattern, ['kind' => 'streak', 'goal' => 50] + $pattern,
            ['kind' => 'tries', 'balls' => 5, 'untilHit' => 1] + $pattern, ['kind' => 'free', 'minutes' => 3, 'sides' => 'both'],
        ];
        $blocks = array_map(
            fn (array $dose): array => $this->drillBlock('zigzag-in-out', ['id' => $dose['kind'], 'dose' => $dose]),
            $doses,
        );
        $this->preview($blocks)->assertOk();
        $id = $this->postJson("/api/v1/squads/{$this->squad->id}/sessions", $this->plan($blocks))
            ->assertCreated()
            ->assertJsonPath('blocks.0.dose.andBack', 1)
            ->assertJsonPath('blocks.4.dose.kind', 'free')
            ->json('id');
        $lines = $this->getJson("/api/v1/sessions/{$id}/run")->assertOk()->json('lines');
        self::assertContains('in 4 lengths there and back, 4 yd apart', array_column($lines, 'window'));
        self::assertContains('without a drop, 4 yd apart', array_column($lines, 'window'));
        $this->preview([$this->drillBlock('zigzag-in-out', ['dose' => ['kind' => 'streak', 'goal' => 0] + $pattern])])
            ->assertStatus(422)
            ->assertJsonPath('fields.0', ['path' => 'blocks.0.dose.goal', 'message' => 'The goal must be between 1 and 1000.']);
    }

    public function test_preview_runs_a_fixed_number_of_queries(): void
    {
        $blocks = array_map(
            fn (int $i): array => ['id' => "b{$i}"] + $this->drillBlock(['sole-taps', 'far-foot-open', 'zigzag-in-out'][$i % 3]),
            range(0, 11),
        );
        $this->actingAs($this->coach);
        $count = function (int $players) use ($blocks): int {
            Cache::flush();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->postJson(
                "/api/v1/squads/{$this->squad->id}/preview",
                $this->plan(
                    $blocks,
                    ['comingPlayerIds' => array_slice(array_map(fn (Player $player): int => $player->id, $this->players), 0, $players)],
                ),
            )->assertOk();

            return count(DB::getQueryLog());
        };

        self::assertSame($count(1), $count(4));
        self::assertLessThanOrEqual(8, $count(4));
    }

    public function test_own_numbers_of_a_line_are_read_once_until_the_past_changes(): void
    {
        $this->actingAs($this->coach);
        $readings = function (int $seconds): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            $dose = ['kind' => 'timed', 'workSeconds' => $seconds, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'each'];
            $this->preview([$this->drillBlock('sole-taps', ['dose' => $dose])])->assertOk();

            return count(array_filter(DB::getQueryLog(), static fn (array $one): bool => str_contains($one['query'], 'line_days')));
        };
        app(SquadHistory::class)->changed($this->squad->id);
        self::assertSame([1, 0], [$readings(30), $readings(30)]);
        // Another line, and back.
        self::assertSame([1, 0, 0], [$readings(45), $readings(30), $readings(45)]);
        app(SquadHistory::class)->changed($this->squad->id);
        self::assertSame([1, 1, 0], [$readings(30), $readings(45), $readings(30)]);
    }

    /**
     * @return array<string, array{array<string, mixed>, string, string}> change of the plan or its first block, path, part of the message
     */
    public static function badInput(): array
    {
        $dose = ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 2, 'restSeconds' => 20, 'sides' => 'each'];

        return [
            'negative work' => [['dose' => ['workSeconds' => -30] + $dose], 'blocks.0.dose.workSeconds', 'between 5 and 1800'],
            'absurd work' => [['dose' => ['workSeconds' => 1e9] + $dose], 'blocks.0.dose.workSeconds', 'between 5 and 1800'],
            'unknown feet' => [['dose' => ['sides' => 'three'] + $dose], 'blocks.0.dose.sides', 'Choose the feet'],
            'no stations' => [['stations' => 0], 'blocks.0.stations', 'between 1 and 30'],
            'half a station' => [['stations' => 1.5], 'blocks.0.stations', 'whole number'],
            'a drill that is not there' => [['drillVersionId' => 999999], 'blocks.0.drillVersionId', 'not in the book'],
            'minutes in words' => [['kind' => 'water', 'minutes' => 'two'], 'blocks.0.minutes', 'number'],
            'an hour and a half of water' => [['kind' => 'water', 'minutes' => 90], 'blocks.0.minutes', 'between 0.5 and 60'],
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('badInput')]
    public function test_bad_input_is_said_at_the_field(array $change, string $path, string $message): void
    {
        $fields = $this->preview([$this->drillBlock('sole-taps', $change)])->assertStatus(422)->json('fields');

        self::assertSame($path, $fields[0]['path']);
        self::assertStringContainsString($message, $fields[0]['message']);
    }

    public function test_nobody_and_a_crowd_get_a_sentence(): void
    {
        $this->preview([], ['comingPlayerIds' => []])->assertStatus(422)->assertJsonPath('code', 'plan.nobody');
        Player::query()
            ->toBase()
            ->insert(
                array_map(
                    fn (int $i): array => [
                        'club_id' => $this->coach->club_id,
                        'squad_id' => $this->squad->id,
                        'name' => "P{$i}",
                        'strong_foot' => 'R',
                    ],
                    range(1, 200),
                ),
            );
        Cache::flush();
        $ids = DB::table('players')->where('squad_id', $this->squad->id)->pluck('id')->all();
        $this->preview([], ['comingPlayerIds' => $ids])->assertStatus(422)->assertJsonPath('code', 'plan.too-many');
        $this->preview([], ['slotMinutes' => 0])->assertStatus(422)->assertJsonPath('fields.0.path', 'slotMinutes');
    }

    public function test_players_of_a_block_are_told_when_asked_for(): void
    {
        $blocks = [$this->drillBlock('sole-taps'), $this->drillBlock('far-foot-open')];
        $ids = fn (array $change): array => array_map(
            fn (array $block): array => array_column($block['players'], 'playerId'),
            $this->preview($blocks, $change)->assertOk()->json('blocks'),
        );
        $everybody = array_map(fn (Player $player): int => $player->id, $this->players);

        self::assertSame([[], []], $ids([]));
        self::assertSame([[], $everybody], $ids(['playersOf' => 'far-foot-open']));
        self::assertSame([[], []], $ids(['playersOf' => 'none-of-these']));
        $this->preview($blocks, ['playersOf' => ['sole-taps']])->assertStatus(422)->assertJsonPath('fields.0.path', 'playersOf');
    }

    public function test_the_very_same_is_answered_with_what_was_told_and_nothing_else_is(): void
    {
        $blocks = [$this->drillBlock('sole-taps'), $this->drillBlock('far-foot-open')];
        $first = $this->preview($blocks)->assertOk()->json();
        $key = "told.{$this->squad->id}.plan";
        $kept = Cache::get($key);
        Cache::put($key, ['told' => '{"kept":true}'] + $kept);
        $this->preview($blocks)->assertOk()->assertExactJson(['kept' => true]);

        $ids = array_map(fn (Player $player): int => $player->id, $this->players);
        $changes = [
            'fewer' => fn () => $this->preview($blocks, ['comingPlayerIds' => array_slice($ids, 1)]),
            'slot' => fn () => $this->preview($blocks, ['slotMinutes' => 61]),
            'helpers' => fn () => $this->preview($blocks, ['helpers' => 1]),
            'one looked at' => fn () => $this->preview($blocks, ['playersOf' => 'sole-taps']),
            'kit' => function () use ($blocks): TestResponse {
                $this->squad->update(['balls_owned' => 1]);

                return $this->preview($blocks);
            },
            'foot' => function () use ($blocks): TestResponse {
                $this->putJson("/api/v1/players/{$this->players[0]->id}", ['name' => 'Amina', 'strongFoot' => 'L'])->assertOk();

                return $this->preview($blocks);
            },
        ];
        foreach ($changes as $what => $asked) {
            Cache::put($key, ['told' => '{"kept":true}'] + $kept);
            self::assertCount(count($first['blocks']), $asked()->assertOk()->json('blocks') ?? [], $what);
        }
    }

    public function test_who_comes_changes_or_goes_is_known_at_once(): void
    {
        $block = [
            $this->drillBlock(
                'pull-back-out-v',
                ['dose' => ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'strong']],
            ),
        ];
        $amina = $this->players[0]->id;
        $feet = fn (): array => array_map(
            fn (array $one): array => [$one['playerId'], $one['left'] > 0, $one['right'] > 0],
            $this->preview($block, ['comingPlayerIds' => [$amina, ...DB::table('players')->where('name', 'Tove')->pluck('id')]])
                ->assertOk()
                ->json('players'),
        );
        self::assertSame([[$amina, false, true]], $feet());

        $new = $this->postJson("/api/v1/squads/{$this->squad->id}/players", ['name' => 'Tove', 'strongFoot' => 'L'])
            ->assertCreated()
            ->json('id');
        self::assertSame([[$amina, false, true], [$new, true, false]], $feet());
        $this->putJson("/api/v1/players/{$amina}", ['name' => 'Amina', 'strongFoot' => 'L'])->assertOk();
        self::assertSame([[$amina, true, false], [$new, true, false]], $feet());
        $this->actingAs($this->coach)->deleteJson("/api/v1/players/{$new}")->assertNoContent();
        self::assertSame([[$amina, true, false]], $feet());
    }

    public function test_another_clubs_players_are_not_counted_in(): void
    {
        $this->preview([$this->drillBlock('sole-taps')], ['comingPlayerIds' => [$this->players[0]->id, $this->otherPlayer->id]])
            ->assertOk()->assertJsonPath('blocks.0.stations', 1);
    }

    public function test_keeping_a_plan_raises_its_version_and_keeps_block_names(): void
    {
        $sessionId = $this->keptSession();
        $water = ['id' => 'sip', 'kind' => 'water', 'title' => 'Water', 'minutes' => 2];
        $answer = $this->putJson(
            "/api/v1/sessions/{$sessionId}",
            $this->plan([$water, $this->drillBlock('drag-back-turn')], ['comingPlayerIds' => [$this->players[1]->id]]),
            ['If-Match' => '"1"'],
        )->assertOk();

        $answer->assertHeader('ETag', '"2"')->assertJsonPath('version', 2)->assertJsonPath('comingPlayerIds', [$this->players[1]->id]);
        self::assertSame(['sip', 'drag-back-turn'], array_column($answer->json('blocks'), 'id'));
        $this->getJson("/api/v1/sessions/{$sessionId}")
            ->assertOk()
            ->assertJsonPath('startsAt', '2026-03-12T18:00')
            ->assertJsonPath('blocks', $answer->json('blocks'));
        self::assertSame('2026-03-12 17:00:00', DB::table('training_sessions')->where('id', $sessionId)->value('starts_at_utc'));
    }

    public function test_a_stale_write_gets_the_current_plan_and_changes_nothing(): void
    {
        $sessionId = $this->keptSession();
        $this->putJson("/api/v1/sessions/{$sessionId}", $this->plan([], ['title' => 'First']), ['If-Match' => '"1"'])->assertOk();

        $this->putJson("/api/v1/sessions/{$sessionId}", $this->plan([], ['title' => 'Second']), ['If-Match' => '"1"'])
            ->assertStatus(412)
            ->assertJsonPath('code', 'stale-version')
            ->assertJsonPath('current.title', 'First')
            ->assertJsonPath('current.version', 2);
        $this->putJson("/api/v1/sessions/{$sessionId}", $this->plan([]))->assertStatus(428);
        self::assertSame('First', DB::table('training_sessions')->where('id', $sessionId)->value('title'));
    }

    public function test_a_refused_plan_leaves_the_kept_one_whole(): void
    {
        $sessionId = $this->keptSession();
        $this->putJson(
            "/api/v1/sessions/{$sessionId}",
            $this->plan([$this->drillBlock('sole-taps', ['stations' => 0])]),
            ['If-Match' => '"1"'],
        )->assertStatus(422);

        $this->getJson("/api/v1/sessions/{$sessionId}")->assertJsonPath('version', 1)->assertJsonPath('blocks.0.id', 'drag-back-turn');
    }

    public function test_keeping_opens_the_record_lines_of_its_doses(): void
    {
        $this->keptSession('far-foot-open');

        self::assertSame(4, RecordLine::query()->where('drill_slug', 'far-foot-open')->count());
    }

    public function test_today_shows_the_next_session_worked_out(): void
    {
        $sessionId = $this->keptSession();
        $answer = $this->getJson("/api/v1/squads/{$this->squad->id}/today")->assertOk();

        $answer->assertJsonPath('next.id', $sessionId)
            ->assertJsonPath('next.problem', null)
            ->assertJsonPath('last', null)
            ->assertJsonPath('stale', []);
        self::assertGreaterThan(0, $answer->json('next.evaluation.meanSeconds'));
        $this->putJson("/api/v1/sessions/{$sessionId}/attendance", ['comingPlayerIds' => []])->assertOk();
        $this->getJson("/api/v1/squads/{$this->squad->id}/today")
            ->assertOk()
            ->assertJsonPath('next.evaluation', null)
            ->assertSee('Nobody is coming yet');
    }

    public function test_today_names_the_families_not_met_for_a_while(): void
    {
        $sessionId = $this->keptSession();
        $this->putJson(
            "/api/v1/sessions/{$sessionId}/run",
            ['startedAt' => '2026-03-12T17:00:00Z', 'finishedAt' => '2026-03-12T18:00:00Z'],
        )->assertOk();
        foreach ([
            '2026-04-02' => [],
            '2026-04-03' => [['family' => 'turning', 'lastOn' => '2026-03-12', 'days' => 22]],
        ] as $day => $stale) {
            $this->travelTo("{$day} 12:00:00");
            $this->getJson("/api/v1/squads/{$this->squad->id}/today")->assertOk()->assertJsonPath('stale', $stale);
        }
    }

    public function test_known_is_what_was_done_in_the_three_sessions_before_that_day(): void
    {
        $explain = fn (string $slug, string $day): float => (float) $this
            ->preview([$this->drillBlock($slug)], ['startsAt' => "{$day}T18:00"])->assertOk()->json('blocks.0.partSeconds.explain');
        foreach (['2026-03-03', '2026-03-05', '2026-03-10'] as $i => $day) {
            $this->trainOn($day, coming: [0], values: [10 + $i]);
        }
        $last = (int) $this->postJson(
            "/api/v1/squads/{$this->squad->id}/sessions",
            $this->plan([$this->drillBlock('sole-taps'), $this->drillBlock('zigzag-in-out')], ['startsAt' => '2026-03-12T18:00']),
        )->assertCreated()->json('id');
        DB::table('session_blocks')->where('training_session_id', $last)->where('block_key', 'zigzag-in-out')
            ->update(['was_skipped' => true]);
        $this->putJson(
            "/api/v1/sessions/{$last}/run",
            ['startedAt' => '2026-03-12T17:00:00Z', 'finishedAt' => '2026-03-12T18:00:00Z'],
        )->assertOk();

        self::assertGreaterThan($explain('sole-taps', '2026-03-17'), $explain('sole-taps', '2026-03-12'), 'That very day it was new.');
        self::assertSame($explain('zigzag-in-out', '2026-03-12'), $explain('zigzag-in-out', '2026-03-17'), 'What was skipped is new.');
        self::assertGreaterThan($explain('drag-back-turn', '2026-03-12'), $explain('drag-back-turn', '2026-03-03'));
        foreach (['2026-03-17', '2026-03-19'] as $day) {
            $this->trainOn($day, coming: [0], values: [12]);
        }
        self::assertSame($explain('sole-taps', '2026-03-24'), $explain('sole-taps', '2026-03-19'), 'Third from last.');
        $this->trainOn('2026-03-24', coming: [0], values: [12]);
        self::assertSame($explain('sole-taps', '2026-03-12'), $explain('sole-taps', '2026-03-26'), 'Four sessions ago: new again.');
    }

    /**
     * @param  list<array<string, mixed>>  $blocks
     * @param  array<string, mixed>  $change
     */
    private function preview(array $blocks, array $change = []): TestResponse
    {
        return $this->actingAs($this->coach)->postJson("/api/v1/squads/{$this->squad->id}/preview", $this->plan($blocks, $change));
    }

    public function test_a_session_goes_into_a_calendar_in_utc_without_a_child_s_name(): void
    {
        $id = $this->keptSession();
        $file = (string) $this->actingAs($this->assistant)
            ->get("/api/v1/sessions/{$id}/calendar")
            ->assertOk()
            ->assertHeader('Content-Type', 'text/calendar; charset=utf-8')
            ->getContent();

        // RFC 5545: lines end in CRLF, times in UTC end in Z. 18:00 in Copenhagen in March is 17:00.
        self::assertStringContainsString("BEGIN:VCALENDAR\r\nVERSION:2.0\r\n", $file);
        self::assertStringContainsString("DTSTART:20260312T170000Z\r\n", $file);
        self::assertStringContainsString("DTEND:20260312T180000Z\r\n", $file);
        self::assertStringContainsString('SUMMARY:Turning (Heron Quay U12)', $file);
        self::assertStringContainsString('LOCATION:By the boat shed', $file);
        self::assertStringNotContainsString('Amina', $file);
    }

    public function test_a_session_over_its_slot_brings_cuts_that_make_it_shorter(): void
    {
        $path = "/api/v1/squads/{$this->squad->id}/preview";
        $plan = $this->plan(
            [$this->drillBlock('sole-taps'), $this->drillBlock('drag-back-turn'), $this->drillBlock('gate-pass')],
            ['slotMinutes' => 10],
        );
        $before = $this->actingAs($this->coach)->postJson($path, $plan)->assertOk();
        $cut = $before->json('cuts.0');

        self::assertSame('rest', $cut['kind']);
        foreach ($plan['blocks'] as $i => $block) {
            if ($block['id'] === $cut['blockId']) {
                $plan['blocks'][$i]['dose'] = $cut['dose'];
            }
        }
        self::assertEqualsWithDelta(
            $before->json('meanSeconds') - $cut['freedSeconds'],
            $this->postJson($path, $plan)->assertOk()->json('meanSeconds'),
            1.0,
        );
        $this->postJson($path, ['slotMinutes' => 120] + $plan)->assertJsonPath('cuts', []);
    }

    public function test_a_header_is_barred_by_age_with_its_source(): void
    {
        $warnings = fn (): array => $this->actingAs($this->coach)->postJson(
            "/api/v1/squads/{$this->squad->id}/preview",
            $this->plan([$this->drillBlock('head-soft-ball')]),
        )->assertOk()->json('blocks.0.warnings');
        self::assertSame([], array_filter($warnings(), fn (array $one): bool => str_contains($one['sentence'], 'header')));
        $this->app->make(ClubContext::class)->actFor($this->squad->club_id);
        $this->squad->update(['age_group' => 'U10']);
        $first = $warnings()[0];
        self::assertStringContainsString('No heading (The FA 2020; may have changed, your local rules come first).', $first['sentence']);
        self::assertSame('take-out', $first['cure']['kind']);
    }
}
