<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Player;
use App\Models\Squad;
use App\Models\User;
use App\Planning\SquadHistory;
use App\Queries\LadderQuery;
use App\Tenancy\ClubContext;
use Closure;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** What a season says: its touches, its advice, its board; and that it ends. */
final class SeasonTest extends FeatureTestCase
{
    /** @return array<string, float> of one player and drill */
    private function entry(int $player, string $drill = 'drag-back-turn'): array
    {
        $row = (array) DB::table('ledger_entries')->where('player_id', $player)->where('drill_slug', $drill)->first();

        return array_map(floatval(...), array_intersect_key($row, array_flip([
            'estimated_left', 'estimated_right', 'counted_left', 'counted_right',
        ])));
    }

    public function test_what_was_counted_takes_the_place_of_what_was_estimated_also_when_it_is_mended_later(): void
    {
        $session = $this->trainOn('2026-03-03', coming: [0, 1], values: [11, 12]);
        [$amina, $kofi] = [$this->players[0]->id, $this->players[3]->id];
        // Drag back and away with the sole, once a rep each foot has a touch; one of three sets a side was counted, eleven reps of it.
        $before = $this->entry($amina);
        $reps = array_sum($before) - $before['counted_right'] - $before['counted_left'];
        self::assertSame(22.0, $before['counted_right'] + $before['counted_left']);
        self::assertGreaterThan(0.0, $reps);

        $line = (string) DB::table('marks')->where('player_id', $amina)->value('line_key');
        $this->send([$this->mark($session, $line, 900, [
            'value' => 14, 'supersedesUuids' => [DB::table('marks')->where('player_id', $amina)->value('uuid')], 'reason' => 'A slip.',
        ])])->assertOk()->assertJsonPath('results.0.status', 'accepted');
        $after = $this->entry($amina);
        self::assertSame(28.0, $after['counted_right'] + $after['counted_left']);
        self::assertSame($before['estimated_left'], $after['estimated_left']);

        // A void try was done, and nobody counted it: the whole drill is an estimate again.
        $this->send([$this->mark($session, $line, 901, [
            'isVoid' => true, 'supersedesUuids' => ['00000000-0000-4000-8000-000000000900'], 'reason' => 'Hands.',
        ])])->assertOk();
        self::assertSame(0.0, $this->entry($amina)['counted_right']);
        self::assertGreaterThan($after['estimated_right'], $this->entry($amina)['estimated_right']);

        self::assertSame(0, DB::table('ledger_entries')->where('player_id', $kofi)->count(), 'Who was not there touched nothing.');
        // Added up it is the session's load, which was kept as planned, where nothing was counted.
        $loads = (float) DB::table('session_loads')->where('player_id', $amina)->value('touches');
        $ledger = (float) DB::table('ledger_entries')->where('player_id', $amina)->selectRaw(
            'sum(estimated_left + estimated_right + estimated_unknown + estimated_other) as total',
        )->value('total');
        self::assertEqualsWithDelta($loads, $ledger, 0.2);
    }

    public function test_where_numbers_were_written_down_a_block_was_done_however_fast_somebody_pressed_on(): void
    {
        $plan = $this->plan([$this->drillBlock('drag-back-turn'), $this->drillBlock('far-foot-open')], ['startsAt' => '2026-03-10T18:00']);
        $session = (int) $this->actingAs($this->coach)->postJson("/api/v1/squads/{$this->squad->id}/sessions", $plan)->json('id');
        $this->send([$this->mark($session, $this->lineKey($session, $this->players[0]->id), 1)])->assertOk();
        $this->putJson("/api/v1/sessions/{$session}/run", [
            'startedAt' => '2026-03-10T18:00:00Z',
            'finishedAt' => '2026-03-10T18:02:00Z',
            'parts' => array_map(fn (array $one): array => [
                'segmentId' => $one['id'], 'part' => $one['kind'], 'blockId' => $one['blockId'], 'actualSeconds' => 0,
                'plannedSeconds' => $one['plainSeconds'] ?? $one['seconds'], 'expectedSeconds' => $one['seconds'],
            ], $this->getJson("/api/v1/sessions/{$session}/run")->json('segments')),
        ])->assertOk();

        self::assertSame(
            ['drag-back-turn' => 0, 'far-foot-open' => 1],
            DB::table('session_blocks')->where('training_session_id', $session)->pluck('was_skipped', 'block_key')->all(),
        );
        self::assertSame(['drag-back-turn'], DB::table('ledger_entries')->distinct()->pluck('drill_slug')->all());
        $this->getJson("/api/v1/sessions/{$session}/actual")->assertOk()->assertJsonPath('blocks.*.wasSkipped', [false, true]);
    }

    public function test_a_session_from_before_there_was_a_ledger_is_added_up_by_a_rebuild(): void
    {
        $this->trainOn('2026-03-03', coming: [0, 1], values: [11, 12]);
        $rows = fn (): array => DB::table('ledger_entries')->orderBy('player_id')->orderBy('drill_slug')->get()
            ->map(fn ($row): array => (array) $row)->all();
        $before = $rows();
        DB::table('ledger_entries')->delete();

        Artisan::call('sparrow:rebuild');

        self::assertSame($before, $rows());
        self::assertNotSame([], $before);
    }

    public function test_a_player_s_page_tells_touches_attendance_and_the_next_number(): void
    {
        $this->trainOn('2026-03-03', coming: [0, 1], values: [11, 12]);
        $this->trainOn('2026-03-05', coming: [0], values: [13]);
        $this->trainOn('2026-03-09', coming: [1], values: [12]);

        $page = $this->page($this->players[0]);
        self::assertSame(['came' => 2, 'of' => 3], $page['attendance']);
        ['all' => $all, 'counted' => $counted, 'estimated' => $estimated] = $page['touches'];
        self::assertSame($all['total'], $counted['total'] + $estimated['total']);
        self::assertSame($all['total'], $all['left'] + $all['right'] + $all['unknown'] + $all['other']);
        // Weeks are rounded each for itself.
        $weeks = array_sum(array_column(array_column($page['touches']['weeks'], 'touches'), 'total'));
        self::assertEqualsWithDelta($all['total'], $weeks, 4);
        self::assertSame('14 reps, own record 13, and one.', collect($page['story'])->firstWhere('kind', 'next')['says']);
        self::assertSame(2, $page['lines'][0]['slope']['days']);
        self::assertSame('too-few', $page['lines'][0]['verdict']['trend']);
    }

    public function test_advice_is_taken_or_not_and_that_is_remembered(): void
    {
        $this->trainOn('2026-03-03', coming: [0], values: [30]);
        $this->trainOn('2026-03-05', coming: [0], values: [30]);
        $player = $this->players[0];
        // The left foot has no number yet: nothing to say yes to.
        self::assertSame('stay', $this->advised($player)['advice']);
        DB::table('line_days')->insert(array_map(fn (string $day): array => [
            'club_id' => $this->squad->club_id, 'player_id' => $player->id, 'line_key' => $this->leftLine(), 'on_day' => $day,
            'best' => 30, 'median' => 30, 'tries' => 1, 'open_tries' => 0,
        ], ['2026-03-03', '2026-03-05']));
        $this->forget();

        $advice = $this->advised($player);
        self::assertSame(['up', 1], [$advice['advice'], $advice['rung']]);
        $path = "/api/v1/players/{$player->id}/advice/turns-over-the-line";
        $answer = fn (string $said, string $why, ?User $by = null): TestResponse => $this->actingAs($by ?? $this->coach)
            ->putJson($path, ['answer' => $said, 'why' => $why]);
        $answer('no', 'What it was last week.')->assertStatus(422)->assertJsonPath('fields.0.path', 'why');
        $answer('no', $advice['why'], $this->assistant)->assertForbidden();
        $answer('perhaps', $advice['why'])->assertStatus(422)->assertJsonPath('fields.0.path', 'answer');
        $answer('no', $advice['why'])->assertNoContent();

        self::assertSame(['held', 0], [$this->advised($player)['advice'], $this->advised($player)['rung']]);
        // Nothing asks any more, so there is nothing to answer.
        $answer('yes', $advice['why'])->assertStatus(422);
        // The plan hears it too: the next rung is nobody's next any more.
        $this->app->make(ClubContext::class)->actFor($this->squad->club_id);
        $places = collect($this->app->make(LadderQuery::class)->ladders($this->squad))->first(
            fn (array $one): bool => $one['ladder']->slug === 'turns-over-the-line',
        )['places'];
        self::assertSame(0, $places[$player->id]->rung);
    }

    public function test_the_board_tells_each_cell_against_the_own_past(): void
    {
        $this->trainOn('2026-02-03', coming: [0, 1], values: [11, 12]);
        $this->trainOn('2026-02-10', coming: [0], values: [13]);
        $board = $this->actingAs($this->coach)->getJson("/api/v1/squads/{$this->squad->id}")->assertOk();
        $line = $board->json('lines.0.key');

        $board->assertJsonPath('players.0.came', 2)->assertJsonPath('players.3.came', 0)->assertJsonPath('players.3.of', 2)
            ->assertJsonPath("cells.{$this->players[0]->id}.{$line}.best", 13)
            ->assertJsonPath("cells.{$this->players[0]->id}.{$line}.isFresh", true)
            // The tenth of March is 28 days after the last.
            ->assertJsonPath("cells.{$this->players[0]->id}.{$line}.isStale", true)
            ->assertJsonPath("cells.{$this->players[1]->id}.{$line}.isFresh", false);
    }

    public function test_the_season_adds_up_weeks_families_and_load(): void
    {
        foreach (['2026-02-03', '2026-02-10', '2026-02-17', '2026-02-24', '2026-03-03', '2026-03-09'] as $i => $day) {
            $this->trainOn($day, coming: [0, 1], values: [11 + $i, 12]);
        }
        $this->squad->forceFill(['season_starts_on' => '2026-02-02'])->save();
        $season = $this->actingAs($this->coach)->getJson("/api/v1/squads/{$this->squad->id}/season")->assertOk()->json();

        self::assertSame(6, $season['sessions']);
        self::assertCount(6, $season['weeks']);
        $turning = collect($season['families'])->firstWhere('family', 'turning');
        self::assertSame([1, 2, 3, 4, 5, 6], array_column($turning['weeks'], 'week'));
        // Two numbers of two players a week.
        self::assertSame([2, 2, 2, 2, 2, 2], array_column($turning['weeks'], 'marks'));
        // Everybody touched the same in every week: the last seven days are as the four weeks before.
        self::assertEqualsWithDelta(1.0, $season['load']['touches'], 0.25);
        self::assertNull($season['nextSessionId']);
        $plays = $this->getJson("/api/v1/squads/{$this->squad->id}/what-if")->assertOk()->json('plays');
        self::assertSame(['as-it-goes', 'other-foot-evening', 'two-weeks-away', 'one-evening-fewer'], array_column($plays, 'what'));
        self::assertGreaterThan($plays[0]['weakerShare']['middle'], $plays[1]['weakerShare']['middle']);
    }

    public function test_a_season_ends_stays_readable_and_can_be_let_go_on(): void
    {
        $this->squad->forceFill(['season_starts_on' => '2026-01-05'])->save();
        $this->trainOn('2026-02-03', coming: [0], values: [15]);
        $path = "/api/v1/squads/{$this->squad->id}/seasons";
        $this->actingAs($this->coach)->postJson($path, ['name' => '', 'endsOn' => '2026-02-30'])->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'name')->assertJsonPath('fields.1.path', 'endsOn');
        $this->postJson($path, ['name' => 'Winter', 'endsOn' => '2026-03-11'])->assertStatus(422);
        $this->postJson($path, ['name' => 'Winter', 'endsOn' => '2026-01-04'])->assertStatus(422);
        $id = (int) $this->postJson($path, ['name' => 'Winter', 'endsOn' => '2026-02-28'])->assertCreated()->json('id');
        $this->trainOn('2026-03-03', coming: [0], values: [12]);

        $now = $this->page($this->players[0]);
        // The record stands on; the days of last season are behind.
        self::assertSame([['on' => '2026-02-03', 'value' => 15], 1], [$now['lines'][0]['record'], count($now['lines'][0]['days'])]);
        self::assertSame('2026-03-01', $now['season']['from']);
        $then = $this->page($this->players[0], $id);
        self::assertSame(['Winter', '2026-02-03'], [$then['season']['name'], $then['lines'][0]['days'][0]['on']]);
        self::assertNull($then['lines'][0]['target'] === null ? null : collect($then['story'])->firstWhere('kind', 'next'));
        $this->getJson("/api/v1/players/{$this->players[0]->id}?season=999999")->assertNotFound();
        $this->actingAs($this->neighbour)->getJson("/api/v1/squads/{$this->squad->id}/season?season={$id}")->assertNotFound();

        $this->actingAs($this->coach)->deleteJson("{$path}/999999")->assertStatus(422);
        $this->deleteJson("{$path}/{$id}")->assertNoContent();
        self::assertCount(2, $this->page($this->players[0])['lines'][0]['days']);
    }

    public function test_numbers_of_what_was_not_planned_are_counted_touches(): void
    {
        $session = $this->trainOn('2026-03-03', coming: [0, 1], values: [11, 12]);
        [$amina, $bo] = [$this->players[0]->id, $this->players[1]->id];
        $line = $this->lineKey($session, $amina);
        $day = (int) $this->postJson("/api/v1/squads/{$this->squad->id}/paper-days", ['on' => '2026-03-05', 'playerIds' => [$amina]])
            ->assertOk()->json('sessionId');
        $counted = fn (int $player, int $of): float => (float) DB::table('ledger_entries')->where('player_id', $player)
            ->where('training_session_id', $of)->selectRaw('sum(counted_left + counted_right) as touches')->value('touches');
        $before = $this->page($this->players[0])['touches'];

        // Two touches a rep: fourteen reps from paper are 28.
        $this->send([$this->mark($day, $line, 970, ['value' => 14])])->assertJsonPath('results.0.status', 'accepted');
        self::assertSame(28.0, $counted($amina, $day));
        $after = $this->page($this->players[0])['touches'];
        self::assertSame($before['counted']['total'] + 28, $after['counted']['total']);
        self::assertSame($before['estimated'], $after['estimated']);

        // And mended, they are as many as it says then.
        $this->send([$this->mark($day, $line, 971, [
            'value' => 10, 'supersedesUuids' => ['00000000-0000-4000-8000-000000000970'], 'reason' => 'A slip.',
        ])])->assertOk();
        self::assertSame(20.0, $counted($amina, $day));

        // Left out when the run was closed, and its number comes late: an entry of its own, and none is estimated.
        $gone = DB::table('ledger_entries')->where(['player_id' => $bo, 'drill_slug' => 'drag-back-turn'])->delete();
        self::assertSame(1, $gone);
        $this->send([$this->mark($session, $this->lineKey($session, $bo, 'L'), 972, ['playerId' => $bo, 'value' => 9])])->assertOk();
        // Twelve reps of the one foot and nine of the other, a touch of each foot a rep.
        self::assertSame([0.0, 0.0, 21.0, 21.0], array_values($this->entry($bo)));

        // While a run goes on nothing is kept yet: what was planned comes with its end.
        $open = $this->keptSession();
        $this->send([$this->mark($open, $this->lineKey($open, $amina), 973, ['value' => 9])])->assertOk();
        self::assertSame(0, DB::table('ledger_entries')->where('training_session_id', $open)->count());

        // A paper day of before: a rebuild adds its entry.
        DB::table('ledger_entries')->where('training_session_id', $day)->delete();
        Artisan::call('sparrow:rebuild');
        self::assertSame(20.0, $counted($amina, $day));

        $kept = DB::table('ledger_entries')->orderBy('training_session_id')->orderBy('player_id')->orderBy('drill_slug')->get();
        Artisan::call('sparrow:rebuild');
        self::assertEquals(
            $kept,
            DB::table('ledger_entries')->orderBy('training_session_id')->orderBy('player_id')->orderBy('drill_slug')->get(),
        );
    }

    public function test_numbers_from_paper_hang_on_the_session_of_the_day_or_on_one_of_their_own(): void
    {
        $session = $this->trainOn('2026-03-03', coming: [0], values: [15]);
        $line = (string) DB::table('marks')->value('line_key');
        $paper = fn (string $on, array $players): TestResponse => $this->actingAs($this->coach)->postJson(
            "/api/v1/squads/{$this->squad->id}/paper-days",
            ['on' => $on, 'playerIds' => $players],
        );
        $paper('2026-03-03', [$this->players[0]->id, $this->players[1]->id])->assertOk()->assertJsonPath('sessionId', $session)
            ->assertJsonPath("tries.{$this->players[0]->id}.{$line}", 1);
        self::assertTrue((bool) DB::table('attendances')->where('training_session_id', $session)
            ->where('player_id', $this->players[1]->id)->value('coming'), 'Whoever has a number was there.');

        // A leap day of a year ago is none; 2024 had one.
        $paper('2025-02-29', [$this->players[0]->id])->assertStatus(422)->assertJsonPath('fields.0.path', 'on');
        $made = (int) $paper('2024-02-29', [$this->players[0]->id])->assertOk()->json('sessionId');
        $this->send([$this->mark($made, $line, 700, ['value' => 9])])->assertOk()->assertJsonPath('results.0.status', 'accepted');
        self::assertSame('2024-02-29', DB::table('line_days')->where('best', 9)->value('on_day'));
        // The day the clocks go forward has 23 hours, and is one day.
        self::assertNotSame($made, $spring = (int) $paper('2025-03-30', [$this->players[0]->id])->assertOk()->json('sessionId'));
        self::assertSame($spring, (int) $paper('2025-03-30', [$this->players[1]->id])->assertOk()->json('sessionId'));
        self::assertNotSame($spring, (int) $paper('2025-03-31', [$this->players[1]->id])->assertOk()->json('sessionId'));

        $paper('2026-03-11', [$this->players[0]->id])->assertStatus(422);
        $paper('2026-03-03', [])->assertStatus(422);
        $paper('2026-03-03', [$this->otherPlayer->id])->assertNotFound();
    }

    public function test_a_player_moves_to_another_squad_with_every_number(): void
    {
        $session = $this->trainOn('2026-03-03', coming: [0], values: [15]);
        $to = Squad::query()->create(['name' => 'Heron Quay U13', 'age_group' => 'U13']);
        $this->app->make(ClubContext::class)->leave();
        $player = $this->players[0];
        $path = "/api/v1/players/{$player->id}/squad";
        // Not a squad of this coach, and not one of another club.
        $this->actingAs($this->coach)->putJson($path, ['squadId' => $to->id])->assertStatus(422);
        $this->putJson($path, ['squadId' => $this->otherSquad->id])->assertStatus(422);
        $to->staff()->attach($this->coach->id, ['role' => 'coach', 'club_id' => $to->club_id]);
        $this->putJson($path, ['squadId' => $to->id])->assertOk()->assertJsonPath('name', 'Amina');

        $page = $this->page($player);
        self::assertSame([$to->id, 15], [$page['squadId'], $page['lines'][0]['record']['value']]);
        self::assertSame(['came' => 1, 'of' => 1], $page['attendance']);
        // A number of a session they came to can still be mended.
        $line = (string) DB::table('marks')->value('line_key');
        $this->send([$this->mark($session, $line, 800, [
            'value' => 16, 'supersedesUuids' => [DB::table('marks')->value('uuid')], 'reason' => 'A slip.',
        ])])->assertJsonPath('results.0.status', 'accepted');
        // One of the same name there is said first.
        Player::query()->withoutGlobalScope('club')->insert([
            'club_id' => $to->club_id, 'squad_id' => $to->id, 'name' => 'Bo', 'strong_foot' => 'R',
        ]);
        $this->putJson("/api/v1/players/{$this->players[1]->id}/squad", ['squadId' => $to->id])->assertStatus(422)
            ->assertJsonPath('fields.0.message', 'Heron Quay U13 has a player of that name. Add an initial first.');
    }

    /** @return array<string, mixed> */
    private function page(Player $player, ?int $season = null): array
    {
        return $this->actingAs($this->coach->fresh() ?? $this->coach)
            ->getJson("/api/v1/players/{$player->id}".($season === null ? '' : "?season={$season}"))->assertOk()->json();
    }

    public function test_a_week_at_home_is_kept_and_the_next_one_keeps_most_of_it(): void
    {
        $this->trainOn('2026-03-03', coming: [0], values: [15]);
        $path = "/api/v1/players/{$this->players[0]->id}/routine";
        $first = $this->actingAs($this->coach)->getJson($path)->assertOk()->assertJsonPath('keptOn', null)->assertJsonCount(3, 'days');
        foreach (['minutes' => 25, 'days' => 8, 'space' => 'stadium', 'wall' => 'maybe', 'school' => 'none'] as $wish => $value) {
            $this->getJson("{$path}?{$wish}={$value}")->assertStatus(422)->assertJsonPath('fields.0.path', $wish);
        }
        $wishes = ['minutes' => 12, 'days' => 2, 'space' => 'hallway', 'quiet' => 'yes'] + $first->json('wishes');
        $this->actingAs($this->assistant)->putJson($path, $wishes)->assertForbidden();
        $kept = $this->actingAs($this->coach)->putJson($path, $wishes)->assertOk()->assertJsonPath('keptOn', '2026-03-10');
        self::assertLessThanOrEqual(12, $kept->json('days.0.minutes'));

        // What is not asked is as it was kept, and so are the drills.
        $next = $this->getJson($path)->assertOk()->assertJsonPath('wishes.space', 'hallway')->assertJsonCount(2, 'days');
        $slugs = fn (TestResponse $answer): array => array_column($answer->json('days.0.items'), 'drill');
        self::assertSame([], array_diff($slugs($kept), $slugs($next)));
        self::assertContains('as last week', $next->json('days.0.items.0.reasons'));
        $this->actingAs($this->stranger)->getJson($path)->assertNotFound();
    }

    public function test_what_is_kept_line_by_line_says_what_is_read_anew(): void
    {
        resolve(SquadHistory::class)->changed($this->squad->id);
        $session = $this->trainOn('2026-03-03', coming: [0, 1], values: [11, 12]);
        [$amina, $bo] = [$this->players[0], $this->players[1]];
        $line = $this->lineKey($session, $amina->id);
        $other = $this->leftLine() === $line
            ? (string) DB::table('record_lines')->where('drill_slug', 'drag-back-turn')->where('side', 'R')
                ->value('line_key')
            : $this->leftLine();
        $pages = fn (): array => [
            $this->getJson("/api/v1/squads/{$this->squad->id}")->assertOk()->json(),
            $this->getJson("/api/v1/players/{$amina->id}")->assertOk()->json(),
            $this->getJson("/api/v1/players/{$bo->id}")->assertOk()->json(),
        ];
        $pages();
        $numbers = [
            'a number more' => [$this->mark($session, $line, 950, ['value' => 19, 'tryNumber' => 2])],
            'on another line' => [$this->mark($session, $other, 951, ['value' => 8])],
            'mended, and it was the other foot' => [$this->mark($session, $line, 952, [
                'value' => 9, 'tryNumber' => 3, 'reason' => 'The other foot.',
                'supersedesUuids' => ['00000000-0000-4000-8000-000000000951'],
            ])],
            'void' => [$this->mark($session, $line, 953, [
                'isVoid' => true, 'supersedesUuids' => ['00000000-0000-4000-8000-000000000950'], 'reason' => 'Hands.',
            ])],
        ];
        $changes = array_map(
            fn (array $marks): Closure => fn (): TestResponse => $this->send($marks)->assertJsonPath('results.0.status', 'accepted'),
            $numbers,
        ) + [
            'who was there after all' => fn (): TestResponse => $this->putJson("/api/v1/sessions/{$session}/attendance", [
                'comingPlayerIds' => [$bo->id],
            ]),
            'a pass looked at closely' => fn (): TestResponse => $this->postJson("/api/v1/sessions/{$session}/looks", ['looks' => [[
                'uuid' => '00000000-0000-4000-8000-0000000000aa', 'playerId' => $amina->id, 'drillSlug' => 'drag-back-turn',
                'lookedAt' => '2026-03-03T18:10:00Z', 'isAccurate' => true, 'isRightPace' => true, 'isClean' => true,
            ]]]),
            'another number to beat' => fn (): TestResponse => $this->putJson(
                "/api/v1/squads/{$this->squad->id}/drills/drag-back-turn/target",
                ['school' => 'fixed', 'number' => 40],
            ),
        ];
        $before = $pages();
        foreach ($changes as $what => $change) {
            $change()->assertOk();
            $kept = $pages();
            self::assertNotEquals($before, $kept, $what);
            Cache::flush();
            self::assertEquals($before = $pages(), $kept, $what);
        }
    }

    public function test_a_page_after_a_number_asks_few_queries(): void
    {
        resolve(SquadHistory::class)->changed($this->squad->id);
        $session = $this->trainOn('2026-03-03', coming: [0, 1], values: [11, 12]);
        $paths = ["/api/v1/players/{$this->players[0]->id}", "/api/v1/squads/{$this->squad->id}"];
        $asked = function (string $path): int {
            $this->app->forgetScopedInstances();
            DB::flushQueryLog();
            DB::enableQueryLog();
            $this->getJson($path)->assertOk();
            DB::disableQueryLog();

            return count(DB::getQueryLog());
        };
        array_map($asked, $paths);
        $this->send([$this->mark($session, $this->lineKey($session, $this->players[0]->id), 960, ['value' => 19, 'tryNumber' => 2])]);

        // One more of each is the sign-in.
        self::assertLessThanOrEqual(14, $asked($paths[0]));
        self::assertLessThanOrEqual(9, $asked($paths[1]));
        self::assertLessThanOrEqual(6, $asked($paths[0]), 'nothing came in since');
    }

    public function test_a_number_has_the_lines_it_touches_made_anew_and_no_others(): void
    {
        $history = resolve(SquadHistory::class);
        resolve(ClubContext::class)->actFor($this->squad->club_id);
        $squad = fn (): Squad => Squad::query()->findOrFail($this->squad->id);
        $asked = [];
        $make = static function (?array $keys) use (&$asked): array {
            $asked[] = $keys;

            return array_fill_keys($keys ?? ['a', 'b'], count($asked));
        };
        // Nothing has happened yet: as good as never kept.
        self::assertSame(['a' => 1, 'b' => 1], $history->lines($squad())->remember('test', $make));
        $history->changed($this->squad->id);
        self::assertSame(['a' => 2, 'b' => 2], $history->lines($squad())->remember('test', $make));
        self::assertSame(['a' => 2, 'b' => 2], $history->lines($squad())->remember('test', $make));
        $history->changed($this->squad->id, ['b', 'c']);
        self::assertEquals(['a' => 2, 'b' => 3, 'c' => 3], $history->lines($squad())->remember('test', $make));
        $history->changed($this->squad->id, []);
        self::assertEquals(['a' => 2, 'b' => 3, 'c' => 3], $history->lines($squad())->remember('test', $make));
        $history->changed($this->squad->id);
        self::assertSame(['a' => 4, 'b' => 4], $history->lines($squad())->remember('test', $make));
        self::assertEquals([null, null, ['b', 'c'], null], array_map(
            static fn (?array $keys): ?array => $keys === null ? null : array_values(array_intersect(['a', 'b', 'c'], $keys)),
            $asked,
        ));
    }

    /** @return array<string, mixed> the ladder of turns, as the player's page has it */
    private function advised(Player $player): array
    {
        return (array) collect($this->page($player)['ladders'])->firstWhere('slug', 'turns-over-the-line');
    }

    private function leftLine(): string
    {
        return (string) DB::table('record_lines')->where('drill_slug', 'drag-back-turn')->where('side', 'L')->value('line_key');
    }

    private function forget(): void
    {
        DB::table('squads')->update(['past_key' => 'another', 'lines_key' => 'another', 'aside_key' => 'another']);
    }
}
