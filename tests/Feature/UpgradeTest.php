<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Club;
use App\Models\Squad;
use App\Models\User;
use Illuminate\Foundation\Testing\RefreshDatabaseState;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** A season made by the version before goes through the upgrade: every number keeps its line, under the line's new name. */
final class UpgradeTest extends TestCase
{
    /** The first that the version before did not have. */
    private const SINCE = '2026_11_27_000002_add_what_days_add_up_to.php';

    protected function tearDown(): void
    {
        // Whatever comes next makes the database anew.
        RefreshDatabaseState::$migrated = false;
        parent::tearDown();
    }

    public function test_a_season_of_the_version_before(): void
    {
        Artisan::call('migrate:fresh', ['--force' => true]);
        Artisan::call('migrate:rollback', ['--force' => true, '--step' => self::steps()]);
        $golden = json_decode((string) file_get_contents(base_path('core/tests/golden/tasks.json')), true, flags: JSON_THROW_ON_ERROR);
        [$young, $old] = [$this->squad('U12'), $this->squad('U14')];
        $cases = [...$golden['cases'], $this->circuit()];
        foreach ($cases as $i => $case) {
            DB::table('record_lines')->insert([
                'line_key' => $case['former']['key'], 'drill_slug' => $case['drill']['slug'], 'drill_name' => $case['drill']['name'],
                'family' => $case['drill']['family'], 'kind' => $case['former']['kind'], 'side' => 'R',
                'task' => json_encode($case['former']['task'], JSON_THROW_ON_ERROR),
            ]);
            foreach ([$young, $old] as $squad) {
                $this->mark($squad, $case['former']['key'], sprintf('%08x-0000-4000-8000-%012d', $squad['player'], $i), 10 + $i);
            }
        }
        $before = $this->numbers();

        Artisan::call('migrate', ['--force' => true]);

        // Each squad's numbers stand where its own ball puts them; not one is lost, and the former names lead to them.
        self::assertSame(2 * count($cases), DB::table('marks')->count());
        foreach ($golden['cases'] as $i => $case) {
            foreach ([[$young, $case['keys']['R size 4']], [$old, $case['keys']['R size 5']]] as [$squad, $key]) {
                foreach (['marks' => 'value', 'line_days' => 'total', 'bests' => 'value'] as $table => $column) {
                    self::assertEquals(
                        [10 + $i],
                        DB::table($table)->where(['player_id' => $squad['player'], 'line_key' => $key])->pluck($column)->all(),
                        "{$table} of {$case['drill']['slug']}",
                    );
                }
            }
        }
        self::assertSame(0, DB::table('record_lines')->whereIn('line_key', array_column(array_column($cases, 'former'), 'key'))->count());
        // Two runs without a drop lost their goal besides, under either ball.
        self::assertSame(2 * count($cases) + 4, DB::table('former_lines')->count());
        // A circuit's items were one text.
        $circuit = json_decode((string) DB::table('record_lines')->where('drill_slug', 'own-round')->value('task'), true);
        self::assertSame(['a.in', 'b.out'], array_column($circuit['window']['items'], 'script'));
        self::assertSame([20000, 0], array_column($circuit['window']['items'], 'restMilliseconds'));

        // A phone that was away comes with a number under a former name.
        $this->actingAs(User::query()->where('club_id', $old['club'])->firstOrFail())->postJson('/api/v1/marks', ['marks' => [[
            'uuid' => '0f0f0f0f-0000-4000-8000-000000000001', 'playerId' => $old['player'], 'sessionId' => $old['session'],
            'lineKey' => $golden['cases'][0]['former']['key'], 'tryNumber' => 2, 'value' => 99, 'isVoid' => false,
            'recordedAt' => '2026-03-10T18:10:00.000Z', 'supersedesUuids' => [],
        ]]])->assertOk()->assertJsonPath('results.0.status', 'accepted');
        $this->assertDatabaseHas('marks', ['line_key' => $golden['cases'][0]['keys']['R size 5'], 'value' => 99]);
        DB::table('marks')->where('value', 99)->delete();

        // And back.
        Artisan::call('migrate:rollback', ['--force' => true, '--step' => self::steps()]);
        self::assertSame($before, $this->numbers());
    }

    private static function steps(): int
    {
        $all = array_map(basename(...), glob(database_path('migrations/*.php')) ?: []);

        return count(array_filter($all, static fn (string $name): bool => $name >= self::SINCE));
    }

    /** @return list<string> */
    private function numbers(): array
    {
        return DB::table('marks')->orderBy('uuid')->get(['uuid', 'line_key', 'value'])
            ->map(fn (object $mark): string => implode(' ', (array) $mark))->values()->all();
    }

    /** @return array{drill: array<string, string>, former: array<string, mixed>} a club's own, counted as a whole */
    private function circuit(): array
    {
        $rest = fn (string $script, int $seconds): string => $script
            .' {"kind":"timed","workSeconds":30.0,"sets":1,"restSeconds":0.0,"sides":"both"} '.$seconds;

        return [
            'drill' => ['slug' => 'own-round', 'name' => 'Own round', 'family' => 'ball-mastery'],
            'former' => ['key' => str_repeat('c', 32), 'kind' => 'time-for-work', 'task' => [
                'script' => 'a.in b.out',
                'window' => ['kind' => 'circuit', 'rounds' => 1, 'items' => $rest('a.in', 20).'; '.$rest('b.out', 0)],
                'ball' => 'usual',
            ]],
        ];
    }

    /** @return array{club: int, player: int, session: int} a club with a coach, a player and a session */
    private function squad(string $ageGroup): array
    {
        $club = Club::query()->create(['name' => "Club {$ageGroup}", 'time_zone' => 'Europe/London']);
        $coach = User::query()->create(
            ['club_id' => $club->id, 'name' => 'Coach', 'email' => strtolower("{$ageGroup}@quay.example"), 'password' => 'salt-marsh-42'],
        );
        $squad = DB::table('squads')->insertGetId(['club_id' => $club->id, 'name' => $ageGroup, 'age_group' => $ageGroup]);
        DB::table('squad_staff')->insert(['club_id' => $club->id, 'squad_id' => $squad, 'user_id' => $coach->id, 'role' => 'coach']);
        $player = DB::table('players')->insertGetId(
            ['club_id' => $club->id, 'squad_id' => $squad, 'name' => 'Noor', 'strong_foot' => 'R'],
        );
        $session = DB::table('training_sessions')->insertGetId([
            'club_id' => $club->id, 'squad_id' => $squad, 'title' => 'Turning', 'starts_at_utc' => '2026-03-10 18:00:00',
            'slot_minutes' => 60,
        ]);

        return ['club' => $club->id, 'player' => $player, 'session' => $session];
    }

    /** @param  array{club: int, player: int, session: int}  $squad */
    private function mark(array $squad, string $key, string $uuid, int $value): void
    {
        $of = ['club_id' => $squad['club'], 'player_id' => $squad['player'], 'line_key' => $key];
        DB::table('marks')->insert($of + [
            'uuid' => $uuid, 'training_session_id' => $squad['session'], 'try_number' => 1, 'value' => $value, 'marked_on' => '2026-03-10',
            'recorded_at_utc' => '2026-03-10 18:05:00',
        ]);
        DB::table('line_days')->insert(
            $of + ['on_day' => '2026-03-10', 'best' => $value, 'median' => $value, 'tries' => 1, 'open_tries' => 0],
        );
        DB::table('bests')->insert($of + ['on_day' => '2026-03-10', 'value' => $value, 'days' => 1]);
    }
}
