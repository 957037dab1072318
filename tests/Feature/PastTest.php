<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Player;
use FleetSparrow\Core\Season\SessionLoad;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use RuntimeException;

/** What was, stays what it was, whoever comes later and however often it is added up. */
final class PastTest extends FeatureTestCase
{
    private const KEPT = ['attendances', 'session_loads', 'session_groups', 'ledger_entries', 'line_days', 'bests'];

    public function test_a_season_with_players_who_come_leave_and_are_erased_is_the_same_after_a_rebuild(): void
    {
        $this->trainOn('2026-03-03', coming: [0, 1, 2, 3], values: [11, 12, 13, 14]);
        $this->trainOn('2026-03-05', coming: [0, 1, 3], values: [12, 9, 15]);
        $newcomer = (int) $this->actingAs($this->coach)
            ->postJson(
                "/api/v1/squads/{$this->squad->id}/players",
                ['name' => 'Noor', 'bib' => null, 'strongFoot' => 'R', 'birthYear' => null],
            )
            ->assertCreated()
            ->json('id');
        $this->players[] = Player::query()->findOrFail($newcomer);
        $before = $this->kept();
        $third = $this->trainOn('2026-03-10', coming: [0, 1, 4], values: [13, 10, 20]);
        $this->deleteJson("/api/v1/players/{$this->players[1]->id}")->assertNoContent();
        $this->postJson(
            "/api/v1/squads/{$this->squad->id}/players",
            ['name' => 'Piet', 'bib' => null, 'strongFoot' => 'L', 'birthYear' => null],
        )->assertCreated();

        $incremental = $this->kept();
        Artisan::call('sparrow:rebuild');

        self::assertSame($incremental, $this->kept());
        self::assertNotSame($before, $incremental);
        self::assertSame(
            [$third],
            DB::table('session_loads')->where('player_id', $newcomer)->pluck('training_session_id')->all(),
            'Noor was there on one evening.',
        );
        self::assertSame(0, DB::table('session_loads')->where('player_id', $this->players[1]->id)->count(), 'Bo was erased.');
    }

    public function test_whoever_joins_later_was_not_there(): void
    {
        $session = $this->trainOn('2026-03-03', coming: [0, 1], values: [11, 12]);
        $this->postJson(
            "/api/v1/squads/{$this->squad->id}/players",
            ['name' => 'Noor', 'bib' => null, 'strongFoot' => 'R', 'birthYear' => null],
        )->assertCreated();

        $this->getJson("/api/v1/sessions/{$session}")->assertJsonPath('comingPlayerIds', [$this->players[0]->id, $this->players[1]->id]);
        $this->getJson(
            "/api/v1/squads/{$this->squad->id}/drills/drag-back-turn/last-time?before=2026-03-20",
        )->assertJsonPath('last.players', 2);
    }

    public function test_who_had_said_nothing_when_it_was_run_was_there(): void
    {
        $session = $this->keptSession();
        DB::table('attendances')->delete();
        $this->putJson(
            "/api/v1/sessions/{$session}/run",
            ['startedAt' => '2026-03-12T17:00:00Z', 'finishedAt' => '2026-03-12T18:00:00Z'],
        )->assertOk();

        self::assertSame(4, DB::table('attendances')->where('training_session_id', $session)->where('coming', true)->count());
        $loads = DB::table('session_loads')->where('training_session_id', $session);
        self::assertSame(4, $loads->where('method', SessionLoad::METHOD)->count());
    }

    public function test_closing_is_one_step_all_or_nothing(): void
    {
        $session = $this->keptSession();
        // The last thing that is written cannot be: nothing of the rest may stay.
        $isBroken = true;
        DB::listen(function (QueryExecuted $query) use (&$isBroken): void {
            /** @var bool $isBroken changed by who holds the reference */
            if ($isBroken && str_contains($query->sql, 'insert into `session_groups`')) {
                throw new RuntimeException('The disk is full.');
            }
        });
        $close = fn (): TestResponse => $this->putJson("/api/v1/sessions/{$session}/run", [
            'startedAt' => '2026-03-12T17:00:00Z', 'finishedAt' => '2026-03-12T18:00:00Z',
            'parts' => [['segmentId' => 'x', 'part' => 'set-up', 'plannedSeconds' => 60, 'actualSeconds' => 70]],
        ]);
        $left = fn (): array => [
            DB::table('run_parts')->count(),
            DB::table('session_loads')->count(),
            DB::table('training_sessions')->value('run_finished_at_utc'),
        ];
        $close()->assertStatus(500);
        self::assertSame([0, 0, null], $left());
        $isBroken = false;
        $close()->assertOk();
        self::assertSame([1, 4, '2026-03-12 18:00:00'], $left());
    }

    public function test_after_the_records_were_put_back_nothing_kept_since_is_used(): void
    {
        $plan = $this->plan([$this->drillBlock('sole-taps')]);
        $preview = fn (): array => $this->actingAs($this->coach->fresh() ?? $this->coach)->postJson(
            "/api/v1/squads/{$this->squad->id}/preview",
            $plan,
        )->assertOk()->json();
        $session = $this->keptSession('sole-taps');
        $line = $this->lineKey($session, $this->players[0]->id, 'alternating');
        $before = $preview();

        DB::beginTransaction();
        $this->send([$this->mark($session, $line, 1, ['value' => 60])])->assertOk();
        $since = $preview();
        DB::rollBack();

        self::assertNotSame($before, $since);
        self::assertSame($before, $preview());
    }

    public function test_a_drill_is_what_this_database_says_it_is_whatever_its_number(): void
    {
        $version = $this->versionOf('sole-taps');
        $block = $this->drillBlock('sole-taps');
        $worked = fn (): array => $this->actingAs($this->coach)->postJson(
            "/api/v1/squads/{$this->squad->id}/preview",
            $this->plan([$block]),
        )->assertOk()->json('blocks.0.touches');
        $before = $worked();
        // Another database may have another drill under this number.
        DB::table('drill_versions')
            ->where('id', $version->id)
            ->update(['content_hash' => str_repeat('0', 64), 'content' => json_encode(['secondsPerRep' => 9.0] + $version->content)]);

        self::assertNotSame($before, $worked());
    }

    /** @return array<string, list<string>> every row that past sessions and marks have left, by table */
    private function kept(): array
    {
        $kept = [];
        foreach (self::KEPT as $table) {
            $rows = DB::table($table)->get()->map(function (object $row): string {
                $fields = (array) $row;
                unset($fields['id'], $fields['created_at'], $fields['updated_at']);

                return json_encode($fields, JSON_THROW_ON_ERROR);
            })->all();
            sort($rows);
            $kept[$table] = $rows;
        }

        return $kept;
    }
}
