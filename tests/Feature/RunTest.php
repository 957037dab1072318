<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Player;
use App\Tenancy\ClubContext;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

final class RunTest extends FeatureTestCase
{
    public function test_the_pack_says_who_works_when_and_what_is_asked(): void
    {
        $sessionId = $this->keptSession();
        $pack = $this->getJson("/api/v1/sessions/{$sessionId}/run")->assertOk()->json();
        $work = array_values(array_filter($pack['segments'], fn (array $segment): bool => $segment['kind'] === 'work'));

        // Two pairs, each with one ball: set by set the first of each pair and then the second, right foot first.
        self::assertSame([...array_fill(0, 6, 'R'), ...array_fill(0, 6, 'L')], array_column($work, 'side'));
        self::assertSame([1, 1, 2, 2, 3, 3, 1, 1, 2, 2, 3, 3], array_column($work, 'set'));
        self::assertEquals(30, $work[0]['seconds']);
        $ids = array_map(fn ($player): int => $player->id, $this->players);
        self::assertCount(2, $work[0]['working']);
        self::assertEqualsCanonicalizing($ids, [...$work[0]['working'], ...$work[1]['working']]);
        // The best of the sets is written, once a foot, after the last of them.
        self::assertSame([0, 0, 0, 0, 2, 2, 0, 0, 0, 0, 2, 2], array_map(fn (array $one): int => count($one['asks']), $work));
        self::assertEqualsCanonicalizing($work[4]['working'], array_column($work[4]['asks'], 'playerId'));
        self::assertNotSame($work[4]['asks'], $work[10]['asks']);
        self::assertArrayHasKey($work[4]['asks'][0]['lineKey'], $pack['lines']);
        self::assertSame('higher', $pack['lines'][$work[4]['asks'][0]['lineKey']]['better']);
    }

    public function test_the_weaker_foot_is_each_players_own(): void
    {
        $sessionId = $this->keptSession('juggle-other-foot');
        $pack = $this->getJson("/api/v1/sessions/{$sessionId}/run")->assertOk()->json();
        $work = collect($pack['segments'])->first(fn (array $one): bool => $one['asks'] !== []);
        $sideOf = fn (string $name): string => $pack['lines'][collect($work['asks'])->firstWhere(
            'playerId',
            collect($pack['players'])->firstWhere('name', $name)['id'],
        )['lineKey']]['side'];

        self::assertSame(['weaker', 'L', 'R'], [$work['side'], $sideOf('Amina'), $sideOf('Elif')]);
    }

    public function test_the_pack_has_a_table_for_fewer_and_more_and_a_line_for_either_foot(): void
    {
        $sessionId = $this->keptSession('juggle-other-foot');
        $ids = array_map(fn ($player): int => $player->id, $this->players);
        $this->putJson("/api/v1/sessions/{$sessionId}/attendance", ['comingPlayerIds' => array_slice($ids, 1)])->assertOk();
        $pack = $this->getJson("/api/v1/sessions/{$sessionId}/run")->assertOk()->json();

        self::assertSame([$ids[0]], array_column($pack['others'], 'id'));
        // Up to three more than planned: of the squad, or guests.
        self::assertSame([1, 2, 3, 4, 5, 6], array_column($pack['tables'], 'size'));
        $asks = collect($pack['tables'][3]['segments'])->first(fn (array $one): bool => $one['asks'] !== [])['asks'];
        self::assertEqualsCanonicalizing([1, 2, 3, 4], array_column($asks, 'place'));
        self::assertSame(['L', 'R', 'L'], array_map(fn (string $foot): string => $asks[0]['byFoot'][$foot]['side'], ['R', 'L', 'both']));
        self::assertEmpty(array_diff(array_column($asks[0]['byFoot'], 'lineKey'), array_keys($pack['lines'])));
    }

    public function test_the_pack_says_who_may_not_work_in_what_so_that_nobody_is_seated_there_anew(): void
    {
        $club = $this->app->make(ClubContext::class);
        $club->actFor($this->squad->club_id);
        foreach (['Ada', 'Ben', 'Cato', 'Dara'] as $name) {
            $this->players[] = Player::query()->create(['squad_id' => $this->squad->id, 'name' => $name, 'strong_foot' => 'R']);
        }
        $club->leave();
        $ids = array_map(fn ($player): int => $player->id, $this->players);
        $few = ['kind' => 'reps', 'reps' => 2, 'sets' => 1, 'restSeconds' => 20, 'sides' => 'both'];
        $plan = $this->plan([
            $this->drillBlock('sole-taps'),
            $this->drillBlock('head-soft-ball', ['dose' => $few]),
            ['id' => 'w', 'kind' => 'water', 'title' => 'Water', 'minutes' => 2],
            ['id' => 'g', 'kind' => 'game', 'title' => 'Game', 'minutes' => 10],
        ], ['may' => [
            ['playerId' => $ids[0], 'may' => 'serves-only'],
            ['playerId' => $ids[1], 'may' => 'no-heading'],
        ]]);
        $sessionId = (int) $this->actingAs($this->coach)
            ->postJson("/api/v1/squads/{$this->squad->id}/sessions", $plan)
            ->assertCreated()
            ->json('id');
        $pack = $this->getJson("/api/v1/sessions/{$sessionId}/run")->assertOk()->json();

        self::assertSame(
            ['sole-taps' => [$ids[0]], 'head-soft-ball' => [$ids[0], $ids[1]], 'w' => [], 'g' => [$ids[0]]],
            array_column($pack['blocks'], 'mayNot', 'id'),
        );
        // Of eight four may leave, and two may not work in one of the blocks: as few as two may be seated in it.
        self::assertSame(2, min(array_column($pack['tables'], 'size')));
    }

    public function test_who_was_there_is_kept_as_the_phone_says(): void
    {
        $sessionId = $this->keptSession();
        $ids = array_map(fn ($player): int => $player->id, $this->players);
        $this->putJson("/api/v1/sessions/{$sessionId}/attendance", ['comingPlayerIds' => array_slice($ids, 1)])->assertOk();
        $this->putJson("/api/v1/sessions/{$sessionId}/run", [
            'startedAt' => '2026-03-12T18:00:00Z', 'finishedAt' => '2026-03-12T19:00:00Z', 'presentIds' => array_slice($ids, 0, 2),
        ])->assertOk();

        $came = $this->getJson("/api/v1/sessions/{$sessionId}")->assertOk()->json('comingPlayerIds');
        self::assertEqualsCanonicalizing(array_slice($ids, 0, 2), $came);
        self::assertEqualsCanonicalizing(
            array_slice($ids, 0, 2),
            DB::table('session_loads')->where('training_session_id', $sessionId)->pluck('player_id')->map(intval(...))->all(),
        );
    }

    public function test_whoever_was_not_at_work_in_a_block_has_nothing_of_it_in_the_season(): void
    {
        $plan = $this->plan([$this->drillBlock('sole-taps'), $this->drillBlock('drag-back-turn')], ['startsAt' => '2026-03-10T18:00']);
        $sessionId = (int) $this->actingAs($this->coach)->postJson("/api/v1/squads/{$this->squad->id}/sessions", $plan)->json('id');
        [$hurt, $well] = array_map(fn ($player): int => $player->id, array_slice($this->players, 0, 2));
        $run = ['startedAt' => '2026-03-10T18:00:00Z', 'finishedAt' => '2026-03-10T18:40:00Z'];
        $missed = fn (mixed $players): array => $run + ['missed' => [['blockId' => 'drag-back-turn', 'playerIds' => $players]]];
        $this->putJson("/api/v1/sessions/{$sessionId}/run", $missed('all'))->assertUnprocessable();
        $this->putJson("/api/v1/sessions/{$sessionId}/run", $missed([$hurt]))->assertOk();

        $entries = fn (int $player): array => DB::table('ledger_entries')->where('training_session_id', $sessionId)
            ->where('player_id', $player)->orderBy('drill_slug')->pluck('ball_seconds', 'drill_slug')->all();
        self::assertSame(['sole-taps'], array_keys($entries($hurt)));
        self::assertSame(['drag-back-turn', 'sole-taps'], array_keys($entries($well)));
        self::assertSame($entries($well)['sole-taps'], $entries($hurt)['sole-taps']);
        $touches = DB::table('session_loads')->where('training_session_id', $sessionId)->pluck('touches', 'player_id');
        self::assertGreaterThan(0.0, (float) $touches[$hurt]);
        self::assertGreaterThan((float) $touches[$hurt], (float) $touches[$well]);
        $together = DB::table('session_groups')->where('training_session_id', $sessionId)->where('block_key', 'drag-back-turn');
        self::assertNotContains($hurt, $together->pluck('player_id')->map(intval(...))->all());
        self::assertContains($hurt, $this->getJson("/api/v1/sessions/{$sessionId}")->json('comingPlayerIds'));
        // What was closed stays closed, and nothing is worked out anew.
        $this->putJson("/api/v1/sessions/{$sessionId}/run", $run)->assertOk();
        $this->artisan('sparrow:rebuild')->assertSuccessful();
        self::assertSame(['sole-taps'], array_keys($entries($hurt)));
    }

    public function test_what_came_of_the_plan_is_told_and_what_was_skipped_counts_as_not_done(): void
    {
        $plan = $this->plan([$this->drillBlock('drag-back-turn'), $this->drillBlock('sole-taps')], ['startsAt' => '2026-03-10T18:00']);
        $sessionId = (int) $this->actingAs($this->coach)->postJson("/api/v1/squads/{$this->squad->id}/sessions", $plan)->json('id');
        $this->getJson("/api/v1/sessions/{$sessionId}/actual")->assertOk()->assertExactJson(
            ['plannedSeconds' => 0, 'actualSeconds' => 0, 'blocks' => []],
        );
        $parts = array_map(fn (array $one): array => [
            'segmentId' => $one['id'], 'part' => $one['kind'], 'blockId' => $one['blockId'],
            'plannedSeconds' => $one['plainSeconds'] ?? $one['seconds'], 'expectedSeconds' => $one['seconds'],
            'actualSeconds' => $one['blockId'] === 'sole-taps' ? 0 : $one['seconds'],
            'frozenSeconds' => $one['id'] === 'drag-back-turn-2' ? 75 : 0,
        ], $this->getJson("/api/v1/sessions/{$sessionId}/run")->json('segments'));
        $this->putJson("/api/v1/sessions/{$sessionId}/run", [
            'startedAt' => '2026-03-10T18:00:00Z', 'finishedAt' => '2026-03-10T18:40:00Z', 'parts' => $parts,
            'calls' => [
                ['blockId' => $parts[0]['blockId'], 'place' => 0, 'answer' => 'hit'],
                ['blockId' => $parts[0]['blockId'], 'place' => 0],
                ['blockId' => $parts[0]['blockId'], 'place' => 1, 'answer' => 'slow'],
            ],
        ])->assertOk();

        $this->getJson("/api/v1/sessions/{$sessionId}/actual")->assertOk()
            ->assertJsonPath('blocks.*.blockId', ['drag-back-turn', 'sole-taps'])
            ->assertJsonPath('blocks.*.words', ['1:15 over, most of all frozen to coach.', 'Skipped: it counts as not done.'])
            ->assertJsonPath('blocks.1.wasSkipped', true)
            ->assertJsonPath('blocks.*.calls', [['called' => 3, 'hit' => 1, 'slow' => 1], null]);
        // The next plan tells what was skipped as new, and what was done as known; nobody had its touches.
        $next = fn (string $slug): mixed => $this->preview($this->plan([$this->drillBlock($slug)]))->json('blocks.0.how.1');
        self::assertStringStartsWith('Explaining: 60 s, new', $next('sole-taps'));
        self::assertStringStartsWith('Explaining: 20 s', $next('drag-back-turn'));
        $alone = $this->preview($this->plan([$this->drillBlock('drag-back-turn')]))->json('players.0');
        self::assertEqualsWithDelta(
            $alone['left'] + $alone['right'] + $alone['other'],
            (float) DB::table('session_loads')->where(
                ['training_session_id' => $sessionId, 'player_id' => $alone['playerId']],
            )->value('touches'),
            2.0,
        );
    }

    public function test_one_step_harder_and_easier_are_those_of_the_drills_ladder(): void
    {
        $steps = fn (string $slug): array => $this->getJson("/api/v1/sessions/{$this->keptSession($slug)}/run")
            ->assertOk()->json('blocks.0');
        $names = fn (string $slug): string => $this->versionOf($slug)->name;
        $first = $steps('drag-back-turn');
        self::assertSame([null, $names('inside-cut-turn').' (another surface)'], [$first['easier'], $first['harder']]);
        $middle = $steps('inside-cut-turn');
        self::assertSame($names('drag-back-turn').' (the surface before)', $middle['easier']);
        self::assertSame($names('turns-never-twice').' (a different one each time)', $middle['harder']);
        $none = $steps('gate-pass');
        self::assertSame([null, null], [$none['easier'], $none['harder']]);
    }

    public function test_nobody_coming_is_said_in_a_sentence(): void
    {
        $sessionId = $this->keptSession();
        $this->putJson("/api/v1/sessions/{$sessionId}/attendance", ['comingPlayerIds' => []])->assertOk();
        $this->getJson("/api/v1/sessions/{$sessionId}/run")->assertStatus(422)->assertJsonPath('code', 'plan.nobody');
    }

    public function test_times_of_any_other_type_are_refused_at_their_field(): void
    {
        $sessionId = $this->keptSession();
        foreach ([[[]], ['a' => 1], 7, true, -1e308, 'soon', null] as $wrong) {
            $this->putJson("/api/v1/sessions/{$sessionId}/run", ['startedAt' => $wrong, 'finishedAt' => '2026-03-12T18:00:00Z'])
                ->assertStatus(422)
                ->assertJsonPath('fields.0.path', 'startedAt');
        }
        $this->putJson("/api/v1/sessions/{$sessionId}/run", ['startedAt' => '2026-03-12T18:00:00Z', 'finishedAt' => [[]], 'parts' => 'x'])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'finishedAt');
    }

    public function test_closing_twice_keeps_the_first_times(): void
    {
        $sessionId = $this->keptSession();
        $this->putJson("/api/v1/sessions/{$sessionId}/run", ['startedAt' => '2026-03-12T17:01:00Z', 'finishedAt' => '2026-03-12T18:01:00Z'])
            ->assertOk()
            ->assertJsonPath('isRun', true);
        $this->putJson(
            "/api/v1/sessions/{$sessionId}/run",
            ['startedAt' => '2026-03-12T19:00:00Z', 'finishedAt' => '2026-03-12T20:00:00Z'],
        )->assertOk();
        $this->assertDatabaseHas(
            'training_sessions',
            ['id' => $sessionId, 'run_started_at_utc' => '2026-03-12 17:01:00', 'run_finished_at_utc' => '2026-03-12 18:01:00'],
        );
        $this->putJson(
            "/api/v1/sessions/{$sessionId}/run",
            ['startedAt' => '2026-03-12T19:00:00Z', 'finishedAt' => '2026-03-12T18:00:00Z'],
        )->assertStatus(422);
        $this->putJson("/api/v1/sessions/{$sessionId}/run", ['startedAt' => 'six'])->assertStatus(422);
    }

    public function test_what_they_said_is_kept_for_next_time(): void
    {
        $first = $this->keptSession();
        $next = $this->actingAs($this->coach)
            ->postJson(
                "/api/v1/squads/{$this->squad->id}/sessions",
                $this->plan([$this->drillBlock('sole-taps')], ['startsAt' => '2026-03-17T18:00']),
            )
            ->assertCreated()
            ->assertJsonPath('lastRecap', null)
            ->json('id');
        $recap = ['answers' => 'Look before the ball comes.', 'howHard' => 'too-easy', 'onlyTried' => false];
        $this->actingAs($this->assistant)->putJson("/api/v1/sessions/{$first}/recap", array_diff_key($recap, ['onlyTried' => 0]))
            ->assertOk()
            ->assertExactJson($recap);
        $this->getJson("/api/v1/sessions/{$first}/run")->assertOk()->assertJsonPath('recap', $recap);
        // Said before the run is closed it is not yet the past.
        $this->getJson("/api/v1/sessions/{$next}")->assertOk()->assertJsonPath('lastRecap', null);

        $this->putJson(
            "/api/v1/sessions/{$first}/run",
            ['startedAt' => '2026-03-12T17:01:00Z', 'finishedAt' => '2026-03-12T18:01:00Z'],
        )->assertOk();
        $this->getJson("/api/v1/sessions/{$next}")->assertOk()
            ->assertJsonPath('recap', ['answers' => '', 'howHard' => null, 'onlyTried' => false])
            ->assertJsonPath('lastRecap', $recap + ['sessionId' => $first, 'title' => 'Turning', 'on' => '2026-03-12']);
        $this->getJson("/api/v1/sessions/{$first}")->assertOk()->assertJsonPath('lastRecap', null);
        $this->putJson("/api/v1/sessions/{$first}/recap", ['answers' => null, 'howHard' => null])
            ->assertOk()
            ->assertExactJson(['answers' => '', 'howHard' => null, 'onlyTried' => false]);
        $this->getJson("/api/v1/sessions/{$next}")->assertOk()->assertJsonPath('lastRecap', null);

        $this->putJson("/api/v1/sessions/{$first}/recap", ['answers' => str_repeat('a', 500), 'howHard' => 'about-right'])->assertOk();
        $this->putJson("/api/v1/sessions/{$first}/recap", ['answers' => str_repeat('a', 501), 'howHard' => 'about-right'])
            ->assertStatus(422)
            ->assertJsonPath('fields.0', ['path' => 'answers', 'message' => 'At most 500 letters: what they said, in a few words.']);
        $this->putJson("/api/v1/sessions/{$first}/recap", ['answers' => '', 'howHard' => 'hard'])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'howHard');
        $this->putJson("/api/v1/sessions/{$first}/recap", ['answers' => 'x'])->assertStatus(422);
    }

    /** @param  array<string, mixed>  $plan */
    private function preview(array $plan): TestResponse
    {
        return $this->actingAs($this->coach)->postJson("/api/v1/squads/{$this->squad->id}/preview", $plan)->assertOk();
    }
}
