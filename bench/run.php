<?php

declare(strict_types=1);

use App\Models\DrillVersion;
use App\Models\MoveVersion;
use App\Models\Player;
use App\Models\Squad;
use App\Models\User;
use App\Queries\MoveQuery;
use App\Queries\SquadBasisQuery;
use App\Tenancy\ClubContext;
use Bench\Caller;
use Bench\Rubric;
use FleetSparrow\Core\Advice\RubricRule;
use FleetSparrow\Core\Book\DrillFilter;
use FleetSparrow\Core\Book\DrillIndex;
use FleetSparrow\Core\Builder\BuildRequest;
use FleetSparrow\Core\Builder\Needs;
use FleetSparrow\Core\Builder\SessionBuilder;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Dose\TimedDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Layout\Kind\MarkerLine;
use FleetSparrow\Core\Layout\Kind\Scatter;
use FleetSparrow\Core\Layout\Kind\Zigzag;
use FleetSparrow\Core\Layout\Reset;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\OwnNumbers;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Rotation\Partners;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/*
 * Prints each figure as a multiple of U, the median of the empty signed-in request with one query, and of a fixed loop,
 * all in one run. Every figure is taken in turn with empty requests and held against those, since the machine's pace changes
 * within a run. Called by ./sparrow bench with the address of a server of its own.
 */

require __DIR__.'/../vendor/autoload.php';
require __DIR__.'/Caller.php';
require __DIR__.'/Rubric.php';

const ROUNDS = 60;

// A go of each, for the tests: that every figure can be taken at all.
$isShort = ($argv[2] ?? '') === 'short';
/** @var Application $app */
$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();
if (($argv[1] ?? '') === '') {
    fwrite(STDERR, "Say the address of the server.\n");
    exit(1);
}
$address = $argv[1];

$coach = User::query()->where('email', 'coach@heron-quay.example')->firstOrFail();
$context = $app->make(ClubContext::class);
$context->actFor($coach->club_id);
$squad = Squad::query()->where('name', 'Slipway Under-12')->firstOrFail();
foreach (range(1, 6) as $i) {
    Player::query()->firstOrCreate(['squad_id' => $squad->id, 'name' => "Extra {$i}"], ['strong_foot' => 'R']);
}
$players = Player::query()->where('squad_id', $squad->id)->orderBy('id')->pluck('id')->values()->all();
// Two drills of every family as far as they go: pairs, lines, quotas and races, as a book has them.
/** @var Collection<int, DrillVersion> $versions */
$versions = DrillVersion::ofTheBook()->where('is_current', true)->where('content', 'not like', '%"circuit"%')->orderBy('id')->get()
    ->groupBy('family')->flatMap(fn (Collection $drills): Collection => $drills->take(2))->take(14)->values();
$plan = fn (int $count): array => [
    'slotMinutes' => 240,
    'startsAt' => date('Y-m-d').'T17:30',
    'comingPlayerIds' => array_slice($players, 0, $count),
    'blocks' => $versions->map(
        fn (DrillVersion $version, int $i): array => [
            'id' => "b{$i}",
            'kind' => 'drill',
            'title' => $version->name,
            'minutes' => null,
            'drillVersionId' => $version->id,
            'dose' => $version->content['dose'],
            'tempo' => 'steady',
            'stations' => null,
        ],
    )->all(),
];
$session = $squad->trainingSessions()->whereNull('run_finished_at_utc')->orderBy('id')->firstOrFail();

$caller = new Caller($address);
$call = $caller->call(...);
$median = fn (callable $run, int $rounds = ROUNDS): float => $caller->median($run, $isShort ? 1 : $rounds, before: 20);

$call('GET', '/api/v1/pulse');
$call('POST', '/api/v1/sign-in', ['email' => 'coach@heron-quay.example', 'password' => 'salt-marsh-42']);

$loop = $median(function (): float {
    $start = hrtime(true);
    $sum = 0.0;
    for ($i = 0; $i < 200_000; $i++) {
        $sum += sqrt($i) * 1.0001;
    }

    return (hrtime(true) - $start) / 1e6;
});
$bare = $median(fn (): float => $call('GET', '/bare'));
$unit = $median(fn (): float => $call('GET', '/api/v1/pulse'));
printf("fixed loop             %7.2f ms\n", $loop);
printf("bare PHP, one query    %7.2f ms  %5.2f U\n", $bare, $bare / $unit);
printf("U: empty signed-in     %7.2f ms   1.00 U  %5.2f loops\n\n", $unit, $unit / $loop);
printf("%-34s %9s %8s %8s %9s\n", 'figure', 'ms', 'U', 'queries', 'peak MB');
$number = 0;
$marks = function (int $count) use ($session, $players, &$number): array {
    $line = DB::table('record_lines')->where('drill_slug', 'sole-taps')->value('line_key');

    return ['marks' => array_map(function (int $i) use ($line, $session, $players, &$number): array {
        $number++;

        return [
            'uuid' => sprintf('%08x-0000-4000-8000-%012d', random_int(0, 0xFFFFFFFF), $number),
            'playerId' => (int) $players[$i % 14],
            'sessionId' => $session->id,
            'lineKey' => $line,
            'tryNumber' => 1 + intdiv($i, 14),
            'value' => 20 + $i % 10,
            'isVoid' => false,
            'recordedAt' => '2026-01-01T10:00:00.000Z',
            'supersedesUuids' => [],
        ];
    }, range(0, $count - 1))];
};
// Each names one mark that exists.
$corrections = function (array $batch) use ($session): array {
    $uuids = DB::table('marks')->where('training_session_id', $session->id)->limit(400)->pluck('uuid');
    foreach (range(0, count($batch['marks']) - 1) as $i) {
        $batch['marks'][$i]['supersedesUuids'] = [$uuids[$i % count($uuids)]];
    }

    return $batch;
};
$figures = [
    ['plan preview, 14 blocks × 20 players', 'POST', "/api/v1/squads/{$squad->id}/preview", fn (): array => $plan(20), ROUNDS],
    [
        'the same over its slot, with cuts',
        'POST',
        "/api/v1/squads/{$squad->id}/preview",
        fn (): array => ['slotMinutes' => 90] + $plan(20),
        ROUNDS,
    ],
    [
        'the same, one block changed',
        'POST',
        "/api/v1/squads/{$squad->id}/preview",
        function () use ($plan): array {
            static $seconds = 20;
            $changed = $plan(20);
            $changed['blocks'][3]['dose'] = ['workSeconds' => $seconds++, 'sides' => 'each']
                + ['kind' => 'timed', 'sets' => 2, 'restSeconds' => 20];

            return $changed;
        },
        ROUNDS,
    ],
    [
        'the same with nothing kept',
        'POST',
        "/api/v1/squads/{$squad->id}/preview",
        function () use ($plan): array {
            Cache::flush();

            return $plan(20);
        },
        20,
    ],
    ['plan preview, 14 blocks × 2 players', 'POST', "/api/v1/squads/{$squad->id}/preview", fn (): array => $plan(2), ROUNDS],
    [
        'three proposals, 20 players',
        'POST',
        "/api/v1/squads/{$squad->id}/proposals",
        fn (): array => ['slotMinutes' => 90, 'theme' => 'turning', 'comingPlayerIds' => array_slice($players, 0, 20)],
        10,
    ],
    ['today', 'GET', "/api/v1/squads/{$squad->id}/today", fn () => null, ROUNDS],
    ['run pack', 'GET', "/api/v1/sessions/{$session->id}/run", fn () => null, 30],
    ['squad board', 'GET', "/api/v1/squads/{$squad->id}", fn () => null, 30],
    ['player page', 'GET', "/api/v1/players/{$players[0]}", fn () => null, 30],
    [
        'every try of a line',
        'GET',
        "/api/v1/players/{$players[0]}/lines/".DB::table('bests')->where('player_id', $players[0])->value('line_key'),
        fn () => null,
        30,
    ],
    [
        'a drill tried in the editor',
        'POST',
        "/api/v1/squads/{$squad->id}/drill-trials",
        fn (): array => ['fields' => $versions->firstOrFail()->content, 'from' => $versions->firstOrFail()->slug],
        ROUNDS,
    ],
    [
        'drills searched with wishes',
        'GET',
        "/api/v1/squads/{$squad->id}/drill-search?people=alone&wall=no&width=10",
        fn () => null,
        30,
    ],
    ['the whole book with its drawings', 'GET', "/api/v1/squads/{$squad->id}/drills", fn () => null, 20],
    ['weeks at home, 20 players', 'PUT', "/api/v1/squads/{$squad->id}/home-routines", fn (): array => ['minutes' => 15], 10],
    ['their sheets', 'GET', "/api/v1/squads/{$squad->id}/home-sheets", fn () => null, 10],
    ['practice at home, at a glance', 'GET', "/api/v1/squads/{$squad->id}/home", fn () => null, 30],
    ['ladders', 'GET', "/api/v1/squads/{$squad->id}/ladders", fn () => null, 20],
    ['roll call, 14 marks', 'POST', '/api/v1/marks', fn (): array => $marks(14), 30],
    ['batch of 400 marks', 'POST', '/api/v1/marks', fn (): array => $marks(400), 10],
    ['batch of 400 corrections', 'POST', '/api/v1/marks', fn (): array => $corrections($marks(400)), 10],
];
/**
 * A figure in turn with empty requests.
 *
 * @param  Closure(): float  $work
 * @return array{float, float} milliseconds, and as a multiple of the empty requests beside it
 */
$beside = function (Closure $work, int $rounds) use ($call, $median): array {
    $empty = [];
    $milliseconds = $median(function () use ($call, $work, &$empty): float {
        $empty[] = $call('GET', '/api/v1/pulse');

        return $work();
    }, $rounds);
    sort($empty);

    return [$milliseconds, $milliseconds / $empty[intdiv(count($empty), 2)]];
};
foreach ($figures as [$name, $method, $path, $body, $rounds]) {
    [$milliseconds, $units] = $beside(fn (): float => $call($method, $path, $body()), $rounds);
    $app['env'] = 'testing'; // the token check stands aside for calls inside this process
    [$queries, $memory] = $caller->inside($app, $coach, $path, $method, $body());
    printf("%-34s %9.2f %8.2f %8d %9.1f\n", $name, $milliseconds, $units, $queries, $memory);
}
/** A figure of the core alone: milliseconds of one go. */
$core = function (callable $work): float {
    $start = hrtime(true);
    $work();

    return (hrtime(true) - $start) / 1e6;
};
$drills = DrillVersion::ofTheBook()->where('is_current', true)->get()->map(fn (DrillVersion $version): Drill => $version->drill())->all();
$scripts = [
    ...array_map(fn (Drill $drill): string => $drill->script->text(), $drills),
    ...MoveVersion::query()
        ->where('is_current', true)
        ->get()
        ->map(fn (MoveVersion $version): string => $version->move()->script->text())
        ->all(),
];
$thousand = [];
$contents = array_values($versions->map(fn (DrillVersion $version): array => $version->content)->all());
for ($i = 0; $i < 1000; $i++) {
    $fields = $contents[$i % count($contents)];
    $thousand[] = DrillFactory::fromFields(['slug' => "{$fields['slug']}-{$i}", 'name' => "{$fields['name']} {$i}"] + $fields);
}
$dictionary = $app->make(MoveQuery::class)->dictionary();
$index = DrillIndex::of($thousand, $dictionary);
$strewn = fn (int $seed): array => Scatter::of(20, Length::ofMetres(15.0), Length::ofMetres(15.0), $seed)->markers();
$row = MarkerLine::of(20, Length::ofMetres(1.0))->markers();
$zigzag = Zigzag::of(20, Length::ofMetres(1.0), 60)->markers();
$past = $app->make(SquadBasisQuery::class)->of($squad, CalendarDate::fromIso(date('Y-m-d')), null)->past;
$twenty = array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), array_slice($players, 0, 20));
$situated = fn (PlanPlayer ...$people): PlanContext => PlanContext::of(
    players: array_values($people),
    knownDrills: [],
    rules: new ClockRules,
    kit: new KitOwned(60, 20, 2),
    area: $squad->area(),
    heading: $squad->headingLimit(),
    helpers: 1,
    past: $past,
);
$situation = $situated(...$twenty);
$order = array_values($versions->map(
    fn (DrillVersion $version, int $i): Block => Block::ofDrill(
        "b{$i}",
        $version->drill(),
        $version->drill()->doseFrom(
            $version->content['dose'] ?? ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 2, 'restSeconds' => 20, 'sides' => 'each'],
        ),
        Tempo::Steady,
        null,
    ),
)->all());
$needs = new Needs(
    familyDaysAgo: ['turning' => 9, 'dribbling' => 2, 'ball-mastery' => 2],
    lastTime: ['sole-taps'],
    weakerShare: 0.4,
    nextRungs: ['drag-back-turn' => 5],
    records: ['sole-taps' => 14, 'drag-back-turn' => 14],
);
$build = function (int $size) use ($drills, $situation, $needs): callable {
    $some = [];
    for ($i = 0; $i < $size; $i++) {
        $drill = $drills[$i % count($drills)];
        $some[] = new Drill(
            slug: "{$drill->slug}-{$i}",
            name: $drill->name,
            family: $drill->family,
            summary: $drill->summary,
            layout: $drill->layout,
            composition: $drill->composition,
            secondsPerRep: $drill->secondsPerRep,
            goodChance: $drill->goodChance,
            fetchSeconds: $drill->fetchSeconds,
            dose: $drill->dose,
            rule: $drill->rule,
            organisation: $drill->organisation,
            demands: $drill->demands,
            teaching: $drill->teaching,
        );
    }

    return fn () => SessionBuilder::propose(new BuildRequest($some, $situation, 90, Family::Turning, needs: $needs));
};
/** Each time another dose in the fourth block. */
$oneChanged = fn (array $order, PlanContext $situation): Closure => function () use ($order, $situation): PlanEvaluation {
    static $seconds = 20;
    $dose = TimedDose::of($seconds++, 2, 20.0, DoseSides::Each);

    return PlanEvaluator::evaluate(array_values(array_replace($order, [3 => $order[3]->withDose($dose)])), $situation);
};
/** Twenty with numbers of their own in every drill, of whom nothing has been worked out. */
$unlike = fn (): PlanContext => $situated(
    ...array_map(fn (int $id, int $i): PlanPlayer => new PlanPlayer($id, StrongFoot::Right, numbers: array_fill_keys(
        array_map(fn (Block $block): string => (string) $block->drill?->slug, $order),
        OwnNumbers::of(made: 20 + $i, missed: 30 - $i, seconds: 1.0 + $i / 50.0, days: 4),
    )), array_slice($players, 0, 20), range(0, 19)),
);
$ids = array_slice($players, 0, 20);
echo "\n";
foreach ([
    'evaluate 14 blocks × 20 players' => fn () => PlanEvaluator::evaluate($order, $situation),
    'the same with cuts' => fn () => PlanEvaluator::evaluate($order, $situation, 1800.0),
    'the same, one block changed' => $oneChanged($order, $situation),
    'the same, nothing kept, all unlike' => fn () => PlanEvaluator::evaluate($order, $unlike()),
    'partners of 20 after a season' => fn () => Partners::of($ids, $past->meetings()),
    'partners of 19 after a season' => fn () => Partners::of(array_slice($ids, 1), $past->meetings()),
    'propose three out of 75 drills' => $build(75),
    'propose three out of 150 drills' => $build(150),
    'propose three out of 300 drills' => $build(300),

    'parse and tally '.count($scripts).' scripts' => fn () => array_map(
        fn (string $text): Tally => Tally::of(Script::fromText($text)),
        $scripts,
    ),
    'search over 1,000 drills, wishes' => fn () => $index->fitting(
        new DrillFilter(feet: 'both', equipment: [], people: 'pair', wall: false, minutes: 10.0),
    ),
    'index of 1,000 drills' => fn () => DrillIndex::of($thousand, $dictionary),
    'reset, 20 strewn to 20 strewn' => fn () => Reset::between($strewn(1), $strewn(2)),
    'reset, row of 20 to zigzag of 20' => fn () => Reset::between($row, $zigzag),
] as $name => $work) {
    [$milliseconds, $units] = $beside(fn (): float => $core($work), str_starts_with($name, 'propose') ? 5 : 20);
    printf("%-34s %9.2f %8.2f\n", $name, $milliseconds, $units);
}

$rubric = (new Rubric)->of(...($isShort ? [[Family::Turning], [7], [45]] : [Family::cases()]));
printf(
    "\n%d proposals of %d requests: mean score %.3f, %d openers, %.1f%% of reasons without a person, day or number\n",
    $rubric->sessions,
    $rubric->requests,
    $rubric->meanScore(),
    count($rubric->openers),
    100.0 * $rubric->bareShare(),
);
foreach ($rubric->missed as $rule => $count) {
    printf("missed: %-44s %6.1f%%\n", RubricRule::from($rule)->words(), 100.0 * $count / max(1, $rubric->sessions));
}

/**
 * What some entries of a build need of script.
 *
 * @param  list<string>  $entries
 * @return array<string, int> file → bytes gzipped
 */
$scripts = function (string $build, array $entries): array {
    $manifest = json_decode((string) file_get_contents(__DIR__."/../public/{$build}/manifest.json"), true, 16, JSON_THROW_ON_ERROR);
    $files = [];
    while ($entries !== []) {
        $entry = array_shift($entries);
        $file = $manifest[$entry]['file'];
        if (! isset($files[$file])) {
            $files[$file] = strlen((string) gzencode((string) file_get_contents(__DIR__."/../public/{$build}/{$file}"), 6));
            array_push($entries, ...($manifest[$entry]['imports'] ?? []));
        }
    }

    return $files;
};
foreach ([
    ['the first view', 'build', ['resources/js/app/main.tsx', 'resources/js/features/today/TodayPage.tsx']],
    ['a run', 'build-run', ['resources/js/app/run.tsx']],
    ['the page at home', 'build-home', ['resources/js/at-home/main.tsx']],
] as [$name, $build, $entries]) {
    $files = $scripts($build, $entries);
    printf("script of %-24s %6.0f kB gzipped in %d files\n", $name, array_sum($files) / 1000, count($files));
}
