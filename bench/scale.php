<?php

declare(strict_types=1);

use App\Models\Player;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\Models\User;
use App\Planning\SquadHistory;
use App\Tenancy\ClubContext;
use Bench\Caller;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/*
 * Forty players, three seasons, 250,000 marks: what a page costs after a change and after that, what a season more does to it, what 400
 * marks cost at the start and at the end, and how long everything takes to be worked out anew. Called by ./sparrow bench --scale.
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Caller.php';

const PLAYERS = 40;
const SESSIONS_A_SEASON = 110;
const MARKS = 250_000;
const ROUNDS = 15;

/** @var Application $app */
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
$isShort = ($argv[2] ?? '') === 'short';
$sessionsASeason = $isShort ? 3 : SESSIONS_A_SEASON;
$allMarks = $isShort ? 2_000 : MARKS;
$rounds = $isShort ? 1 : ROUNDS;
if (($argv[1] ?? '') === '') {
    fwrite(STDERR, "Say the address of the server.\n");
    exit(1);
}
$caller = new Caller($argv[1]);
$coach = User::query()->where('email', 'coach@heron-quay.example')->firstOrFail();
$app->make(ClubContext::class)->actFor($coach->club_id);
$squad = Squad::query()->where('name', 'Slipway Under-12')->firstOrFail();
foreach (range(1, PLAYERS - $squad->players()->count()) as $i) {
    Player::query()->firstOrCreate(['squad_id' => $squad->id, 'name' => "Extra {$i}"], ['strong_foot' => $i % 3 === 0 ? 'L' : 'R']);
}
$players = array_map(intval(...), $squad->players()->pluck('id')->all());
$templates = TrainingSession::query()->where('squad_id', $squad->id)->whereNotNull('run_finished_at_utc')
    ->orderByDesc('id')->limit(2)->get()->all();
assert(count($templates) === 2);
$now = now();

/** A season of sessions like the last two, this many years back, each with its share of all marks. */
$addSeason = function (int $yearsBack) use ($templates, $players, $squad, $sessionsASeason, $allMarks, $now): void {
    $perSession = intdiv($allMarks, 3 * $sessionsASeason);
    $first = CarbonImmutable::parse($templates[0]->starts_at_utc)->subYears($yearsBack)->subDays(365);
    foreach (range(1, $sessionsASeason) as $i) {
        $template = $templates[$i % 2];
        $at = $first->addDays(3 * $i);
        $sessionId = DB::table('training_sessions')->insertGetId([
            'club_id' => $squad->club_id, 'squad_id' => $squad->id, 'title' => $template->title, 'place' => '', 'slot_minutes' => 60,
            'starts_at_utc' => $at, 'run_started_at_utc' => $at, 'run_finished_at_utc' => $at->addHour(), 'created_at' => $now,
        ]);
        $blocks = DB::table('session_blocks')->where('training_session_id', $template->id)->get()
            ->map(fn (object $block): array => ['id' => null, 'training_session_id' => $sessionId] + (array) $block)->all();
        DB::table('session_blocks')->insert($blocks);
        DB::table('attendances')->insert(array_map(fn (int $player): array => [
            'club_id' => $squad->club_id, 'training_session_id' => $sessionId, 'player_id' => $player, 'coming' => true,
        ], $players));
        $lines = DB::table('marks')->where('training_session_id', $template->id)->distinct()->pluck('line_key')->all();
        $marks = [];
        foreach (range(0, $perSession - 1) as $n) {
            $place = intdiv($n, PLAYERS);
            $marks[] = [
                'uuid' => (string) Str::uuid(), 'club_id' => $squad->club_id, 'player_id' => $players[$n % PLAYERS],
                'training_session_id' => $sessionId, 'line_key' => $lines[$place % count($lines)],
                'try_number' => 1 + intdiv($place, count($lines)), 'value' => 9 + ($n * 7 + $i * 3) % 11,
                'marked_on' => $at->format('Y-m-d'),
                'recorded_at_utc' => $at, 'source' => 'coach', 'counted_by' => 'coach', 'ground' => 'grass', 'reason' => '',
            ];
        }
        foreach (array_chunk($marks, 1000) as $some) {
            DB::table('marks')->insert($some);
        }
    }
};
$rebuild = function () use ($app, $coach): float {
    $start = hrtime(true);
    Artisan::call('sparrow:rebuild');
    $app->make(ClubContext::class)->actFor($coach->club_id);

    return (hrtime(true) - $start) / 1e9;
};
// As a number leaves it: of one line, and of the one most have numbers on.
$line = (string) DB::table('record_lines')->where('drill_slug', 'sole-taps')->value('line_key');
$changed = fn () => resolve(SquadHistory::class)->changed($squad->id, [$line]);
$caller->call('GET', '/api/v1/pulse');
$caller->call('POST', '/api/v1/sign-in', ['email' => 'coach@heron-quay.example', 'password' => 'salt-marsh-42']);
$unit = $caller->median(fn (): float => $caller->call('GET', '/api/v1/pulse'), $rounds);
printf("U: empty signed-in %.2f ms\n\n", $unit);

$pages = [
    'player' => "/api/v1/players/{$players[0]}",
    'squad' => "/api/v1/squads/{$squad->id}",
    'season' => "/api/v1/squads/{$squad->id}/season",
    'what if' => "/api/v1/squads/{$squad->id}/what-if",
    'today' => "/api/v1/squads/{$squad->id}/today",
];
/** @return array<string, array{float, float}> page → milliseconds after a change, and after that */
$measure = function () use ($pages, $caller, $changed, $rounds): array {
    $found = [];
    foreach ($pages as $name => $path) {
        $cold = $caller->median(function () use ($caller, $changed, $path): float {
            $changed();

            return $caller->call('GET', $path);
        }, $rounds);
        $found[$name] = [$cold, $caller->median(fn (): float => $caller->call('GET', $path), $rounds)];
    }

    return $found;
};
$session = $squad->trainingSessions()->whereNull('run_finished_at_utc')->orderBy('id')->firstOrFail();
$number = 0;
$batch = function () use ($caller, $session, $line, $players, &$number): float {
    $marks = [];
    foreach (range(0, 399) as $i) {
        $number++;
        $marks[] = [
            'uuid' => (string) Str::uuid(), 'playerId' => $players[$i % PLAYERS], 'sessionId' => $session->id, 'lineKey' => $line,
            'tryNumber' => 1 + intdiv($i, PLAYERS), 'value' => 20 + $i % 10, 'isVoid' => false,
            'recordedAt' => '2026-01-01T10:00:00.000Z', 'supersedesUuids' => [],
        ];
    }
    $milliseconds = $caller->call('POST', '/api/v1/marks', ['marks' => $marks]);
    DB::table('marks')->where('training_session_id', $session->id)->delete();

    return $milliseconds;
};

$count = fn (): int => DB::table('marks')->count();
[$few, $fewMarks] = [$caller->median($batch, $rounds), $count()];
$addSeason(0);
$squad->forceFill(['season_starts_on' => CarbonImmutable::parse($templates[0]->starts_at_utc)->subDays(366)->format('Y-m-d')])->save();
$rebuild();
$one = $measure();
foreach ([1, 2] as $yearsBack) {
    $addSeason($yearsBack);
}
$seconds = $rebuild();
$three = $measure();
[$many, $manyMarks] = [$caller->median($batch, $rounds), $count()];

/** @return array{int, float} queries, and peak memory in MB */
$inside = function (string $path): array {
    $said = json_decode((string) shell_exec(implode(' ', array_map(escapeshellarg(...), [
        PHP_BINARY, '-d', 'pcov.enabled=0', __DIR__.'/inside.php', $path,
    ]))), flags: JSON_THROW_ON_ERROR);
    assert(is_array($said));

    return [(int) $said[0], (float) $said[1]];
};
printf("%-10s %14s %14s %14s %14s %9s %9s\n", 'page', 'one season', 'after a change', 'three seasons', 'after a change', 'more', 'queries');
foreach ($pages as $name => $path) {
    $changed();
    [$queries, $memory] = $inside($path);
    [$then] = $inside($path);
    printf(
        "%-10s %12.2f U %12.2f U %12.2f U %12.2f U %7.0f %% %4d, then %2d  %.0f MB\n",
        $name,
        $one[$name][1] / $unit,
        $one[$name][0] / $unit,
        $three[$name][1] / $unit,
        $three[$name][0] / $unit,
        100.0 * ($three[$name][0] / $one[$name][0] - 1.0),
        $queries,
        $then,
        $memory,
    );
}
printf(
    "\n400 marks among %d: %.2f U; among %d: %.2f U (%+.0f %%)\n",
    $fewMarks,
    $few / $unit,
    $manyMarks,
    $many / $unit,
    100.0 * ($many / $few - 1.0),
);
printf("everything worked out anew: %.0f s\n", $seconds);
