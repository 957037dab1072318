<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\Plan\CloseRun;
use App\Actions\Plan\KeepPlan;
use App\Actions\Record\TakeMarks;
use App\Actions\Record\TakeReminders;
use App\Models\Attendance;
use App\Models\Club;
use App\Models\DrillVersion;
use App\Models\Player;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\Models\User;
use App\Planning\PlanDraft;
use App\Queries\PlanEvaluationQuery;
use App\Tenancy\ClubContext;
use App\Tenancy\ClubDay;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Timeline\SegmentKind;
use Illuminate\Database\Seeder;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * A made-up mixed under-12 squad beside a boat shed: nine weeks of Tuesdays and Thursdays, the same every time,
 * dated back from the day it is loaded. Everything in it is invented.
 */
class DemoSeeder extends Seeder
{
    public const PASSWORD = 'salt-marsh-42';

    private const SEED = 1207;

    private const WEEKS = 9;

    /** Name, bib, strong foot as the coach wrote it down, birth year back from this year, level 0–1, gain a week. */
    private const PLAYERS = [
        ['Amina', 7, 'R', 11, 0.55, 0.010],
        ['Bo', 4, 'R', 11, 0.35, 0.012],
        ['Dag', 11, 'R', 12, 0.60, 0.008],
        ['Elif', 9, 'L', 11, 0.65, 0.012],
        ['Ines', 10, 'R', 11, 0.60, 0.022],
        ['Kofi', 3, 'R', 12, 0.50, 0.012],
        ['Lior', 8, 'both', 11, 0.55, 0.010],
        ['Malia', 14, 'R', 11, 0.30, 0.018],
        ['Noor', 6, 'R', 12, 0.50, 0.010],
        ['Piet', 5, 'R', 11, 0.40, 0.000],
        ['Rafi', 2, 'R', 11, 0.45, 0.014],
        ['Sunniva', 12, 'L', 12, 0.55, 0.010],
        ['Tomasz', 1, 'R', 11, 0.50, 0.010],
        ['Yui', 13, 'R', 11, 0.40, 0.030],
    ];

    /** What the group says at the end of an evening. */
    private const RECAPS = [
        [
            'recap_answers' => 'Look over the shoulder before the ball comes. Most say the left is still slow.',
            'recap_how_hard' => 'about-right',
        ],
        ['recap_answers' => 'Small touches first, then away. They want the four-marker game again.', 'recap_how_hard' => 'too-easy'],
        ['recap_answers' => 'First touch out of the feet. Wind made the far gate hard.', 'recap_how_hard' => 'too-hard'],
        ['recap_answers' => 'The turn only works when the last touch is short.', 'recap_how_hard' => 'about-right'],
    ];

    /** Sessions back from now, whose, what was noted. */
    private const REMINDERS = [
        [-6, 'Piet', 'said', 'Shorten the last touch'],
        [-6, 'Kofi', 'said', 'Look over the shoulder'],
        [-4, 'Piet', 'again', 'Shorten the last touch'],
        [-3, 'Kofi', 'fixed', 'Look over the shoulder'],
        [-2, 'Piet', 'again', 'Shorten the last touch'],
        [-1, 'Malia', 'said', 'Other foot first'],
        [-1, 'Ines', 'watch', ''],
    ];

    private const YOUNGER = [
        ['Anouk', 1, 'R', 8],
        ['Bilal', 2, 'L', 8],
        ['Chidi', 3, 'R', 8],
        ['Freja', 4, 'R', 7],
        ['Mateus', 5, 'both', 8],
        ['Saanvi', 6, 'R', 7],
    ];

    /** @var array<string, DrillVersion> */
    private array $book = [];

    public function __construct(
        private readonly KeepPlan $keepPlan,
        private readonly TakeMarks $takeMarks,
        private readonly TakeReminders $takeReminders,
        private readonly PlanEvaluationQuery $evaluations,
        private readonly CloseRun $closeRun,
        private readonly ClubContext $context,
        private readonly DemoHome $home,
    ) {
    }

    public function run(): void
    {
        $random = new Randomizer(new Mt19937(self::SEED));
        $club = Club::query()->create(['name' => 'Heron Quay', 'time_zone' => 'Europe/Copenhagen']);
        $this->context->actFor($club->id);
        $coach = $this->user($club, 'Mirela', 'coach@heron-quay.example');
        $assistant = $this->user($club, 'Joost', 'assistant@heron-quay.example');
        $this->user($club, 'Ngaire', 'lead@heron-quay.example')->update(['is_lead' => true]);
        $other = $this->user($club, 'Oyelaran', 'younger@heron-quay.example');
        $this->book = DrillVersion::query()->where('is_current', true)->get()->keyBy('slug')->all();

        $squad = $this->squad('Slipway Under-12', 'U12', [[$coach, 'coach'], [$assistant, 'assistant']]);
        $players = $this->players($squad, self::PLAYERS);
        $younger = $this->squad('Breakwater Under-9', 'U9', [[$other, 'coach']]);
        $this->players($younger, self::YOUNGER);

        $dates = $this->trainingDays($club->day());
        foreach ($dates['past'] as $i => $date) {
            $session = $this->session($squad, $i, $date, $random);
            $marks = $this->runSession($session, $i, $players, $coach, $random);
            $this->remind($session, $i - count($dates['past']), $players, $coach);
            $this->close($session, $club->day(), $i, $coach, $random);
            if ($i === count($dates['past']) - 1) {
                $this->secondLook($marks, $coach, $assistant);
            }
        }
        foreach ($dates['next'] as $i => $date) {
            $session = $this->session($squad, count($dates['past']) + $i, $date, $random);
            if ($i === 0) {
                $this->absent($session, $players, ['Tomasz']);
            }
        }
        $this->session($younger, 1, $dates['next'][0], $random);
        $this->home->run($squad->refresh(), $coach, $club->day());
        $this->context->leave();
    }

    /** @param  list<Player>  $players */
    private function remind(TrainingSession $session, int $number, array $players, User $coach): void
    {
        $ids = array_combine(array_column($players, 'name'), array_column($players, 'id'));
        $events = array_filter(self::REMINDERS, fn (array $one): bool => $one[0] === $number);
        $this->takeReminders->take($session, array_map(fn (int $i): array => [
            'uuid' => $this->uuid("reminder {$i}"),
            'playerId' => $ids[self::REMINDERS[$i][1]],
            'kind' => self::REMINDERS[$i][2],
            'words' => self::REMINDERS[$i][3],
            'notedAt' => $session->starts_at_utc->addMinutes(20)->format('Y-m-d\TH:i:s\Z'),
        ], array_keys($events)), $coach);
    }

    private function user(Club $club, string $name, string $email): User
    {
        return User::query()->create(['club_id' => $club->id, 'name' => $name, 'email' => $email, 'password' => self::PASSWORD]);
    }

    /** @param  list<array{User, string}>  $staff */
    private function squad(string $name, string $ageGroup, array $staff): Squad
    {
        $squad = Squad::query()->create(
            [
                'name' => $name,
                'age_group' => $ageGroup,
                'length_unit' => 'yd',
                'target_school' => 'own-record',
                'season_starts_on' => now()->subWeeks(self::WEEKS)->startOfWeek()->format('Y-m-d'),
                'area_width_mm' => 27432,
                'area_depth_mm' => 18288,
                'markers_owned' => 60,
                'balls_owned' => 15,
                'bibs_owned' => 14,
                'goals_owned' => 2,
                // The boat shed has a wall for three; two boards come along in the bag cart.
                'wall_places' => 3,
                'boards_owned' => 2,
            ],
        );
        foreach ($staff as [$user, $role]) {
            $squad->staff()->attach($user->id, ['role' => $role, 'club_id' => $squad->club_id]);
        }

        return $squad;
    }

    /**
     * @param  list<array<int, mixed>>  $list
     * @return list<Player>
     */
    private function players(Squad $squad, array $list): array
    {
        $year = (int) now()->format('Y');

        return array_map(fn (array $one): Player => Player::query()->create([
            'squad_id' => $squad->id, 'name' => $one[0], 'bib' => $one[1], 'strong_foot' => $one[2], 'birth_year' => $year - $one[3],
        ]), $list);
    }

    /**
     * Tuesdays and Thursdays at six in the evening: nine weeks back, and the next three.
     *
     * @return array{past: list<CarbonImmutable>, next: list<CarbonImmutable>}
     */
    private function trainingDays(ClubDay $day): array
    {
        $today = CarbonImmutable::parse($day->today()->iso());
        $past = [];
        $next = [];
        for ($back = 1; count($past) < 2 * self::WEEKS; $back++) {
            $date = $today->subDays($back);
            if ($date->isTuesday() || $date->isThursday()) {
                array_unshift($past, $day->instant($date->format('Y-m-d').'T18:00'));
            }
        }
        for ($ahead = 0; count($next) < 3; $ahead++) {
            $date = $today->addDays($ahead);
            if ($date->isTuesday() || $date->isThursday()) {
                $next[] = $day->instant($date->format('Y-m-d').'T18:00');
            }
        }

        return ['past' => $past, 'next' => $next];
    }

    private function session(Squad $squad, int $number, CarbonImmutable $at, Randomizer $random): TrainingSession
    {
        [$title, $blocks] = $this->template($number);
        $coming = array_values(array_map(intval(...), $squad->players()->pluck('id')->all()));
        if ($number < 2 * self::WEEKS) {
            // Everybody misses about one in eleven.
            $coming = array_values(array_filter($coming, fn (): bool => $random->getInt(1, 11) > 1));
        }

        return $this->keepPlan->keep(
            new TrainingSession(['squad_id' => $squad->id]),
            ['title' => $title, 'place' => 'Corner by the boat shed, 30 by 20 yd', 'starts_at_utc' => $at, 'slot_minutes' => 60],
            // The assistant lays the next layout while the coach runs this one.
            new PlanDraft(60, $blocks, $coming, helpers: 1),
            null,
        );
    }

    /** @return array{string, list<array<string, mixed>>} */
    private function template(int $number): array
    {
        $week = intdiv($number, 2);
        $tuesday = $number % 2 === 0;
        $early = $week < 5;
        $blocks = [$this->drill('box-free-dribble')];
        if ($tuesday) {
            $title = 'Close control, wind from the quay';
            $blocks = [
                ...$blocks,
                $this->drill('sole-taps'),
                $this->drill('pull-back-out-v'),
                ...($early ? [] : [$this->drill('behind-leg-five')]),
                $this->drill($early ? 'zigzag-in-out-early' : 'zigzag-in-out'),
                $this->water(),
                $this->drill('figure-of-eight'),
            ];
        } else {
            $title = 'Turning away from pressure';
            $blocks = [
                ...$blocks,
                $this->drill('drag-back-turn'),
                $this->water(),
                $this->drill('far-foot-open'),
                $this->drill('gate-pass'),
            ];
        }
        if ($early) {
            $blocks[] = $this->drill('juggle-alternating');
        }

        return [$title, array_map(
            fn (array $block, int $i): array => $block + ['id' => "b{$i}"],
            $blocks = [
                ...$blocks,
                ...($early ? [] : [$this->water()]),
                ['kind' => 'game', 'title' => 'Four v four, two touches at least', 'minutes' => $early ? 6 : 18],
                ['kind' => 'talk', 'title' => 'Recap by question', 'minutes' => 2],
            ],
            array_keys($blocks),
        )];
    }

    /** @return array<string, mixed> */
    private function drill(string $slug, ?int $stations = null): array
    {
        $version = $slug === 'zigzag-in-out-early' ? $this->widerZigzag() : $this->book[$slug];

        return [
            'kind' => 'drill',
            'title' => $version->name,
            'drillVersionId' => $version->id,
            'dose' => $version->content['dose'],
            'tempo' => 'steady',
            'stations' => $stations,
        ];
    }

    /** @return array<string, mixed> */
    private function water(): array
    {
        return ['kind' => 'water', 'title' => 'Water', 'minutes' => 2];
    }

    /** Until mid-season the zigzag stood five yards apart: another task, so another record line. */
    private function widerZigzag(): DrillVersion
    {
        $fields = $this->book['zigzag-in-out']->content;
        $fields['layout']['spacing'] = ['value' => 5, 'unit' => 'yd'];

        return $this->book['zigzag-in-out-early'] ??= DrillVersion::ofTheBook()->firstOrCreate(
            ['slug' => 'zigzag-in-out', 'content_hash' => hash('sha256', (string) json_encode($fields))],
            ['name' => $fields['name'], 'family' => $fields['family'], 'content' => $fields, 'is_current' => false],
        );
    }

    /**
     * @param  list<Player>  $players
     * @param  list<string>  $names
     */
    private function absent(TrainingSession $session, array $players, array $names): void
    {
        $this->keepPlan->changeAttendance($session, array_values(array_map(
            fn (Player $player): int => $player->id,
            array_filter($players, fn (Player $player): bool => ! in_array($player->name, $names, true)),
        )), null);
    }

    /**
     * @param  list<Player>  $players
     * @return list<array<string, mixed>> the marks taken
     */
    private function runSession(TrainingSession $session, int $number, array $players, User $coach, Randomizer $random): array
    {
        $coming = Attendance::query()->where('training_session_id', $session->id)->where('coming', true)->pluck('player_id')->all();
        $marks = [];
        foreach ($session->blocks()->with('drillVersion')->get() as $block) {
            $drill = $block->drillVersion?->drill();
            if ($drill?->rule === null || $block->dose === null) {
                continue;
            }
            $dose = $drill->doseFrom($block->dose);
            foreach ($players as $p => $player) {
                if (! in_array($player->id, $coming, true)) {
                    continue;
                }
                foreach ($dose->sides()->sidesFor($player->strong_foot) as $side) {
                    for ($try = 1; $try <= $dose->sets(); $try++) {
                        $marks[] = [
                            'uuid' => $this->uuid("{$number} {$block->position} {$p} {$side->value} {$try}"),
                            'playerId' => $player->id,
                            'sessionId' => $session->id,
                            'lineKey' => (string) $drill->task($dose, $side, $session->squad->ballSize())?->key,
                            'tryNumber' => $try,
                            'value' => $this->value($drill->slug, $p, $side, $try, intdiv($number, 2), $random),
                            'recordedAt' => $session->starts_at_utc->addMinutes(6 * $block->position + $try)->format('Y-m-d\TH:i:s.v\Z'),
                        ];
                    }
                }
            }
        }
        foreach (array_chunk($marks, 400) as $batch) {
            $this->takeMarks->take($batch, $coach);
        }

        return $marks;
    }

    /** What the evening leaves behind, with the times this coach takes: quick with markers, long with words, longest with a new drill. */
    private function close(TrainingSession $session, ClubDay $day, int $number, User $coach, Randomizer $random): void
    {
        $evaluation = $this->evaluations->ofSession($session, $day->on($session->starts_at_utc));
        $parts = [];
        $drills = $session->blocks()->with('drillVersion')->get()->pluck('drillVersion.slug', 'block_key');
        foreach ($evaluation->blocks as $position => $block) {
            foreach ($block->segments as $segment) {
                $stretch = match ($segment->kind) {
                    SegmentKind::SetUp => 0.9 + 0.05 * ($number % 3),
                    SegmentKind::Explain => 1.3 + 0.1 * ($number % 4),
                    SegmentKind::Change => 1.1 + 0.05 * ($number % 2),
                    SegmentKind::Game => $number % 2 === 0 ? 0.6 : 1.0,
                    // The receiving drill always takes longer than planned.
                    SegmentKind::Work => $drills[$block->blockId] === 'far-foot-open' ? 1.35 : 1.0,
                    default => 1.0,
                };
                $planned = $segment->plainSeconds ?? $segment->seconds;
                $parts[] = [
                    'segmentId' => $segment->id,
                    'part' => $segment->kind->value,
                    // Only what a coach is judged by teaches anything.
                    'plannedSeconds' => round($segment->plainSeconds ?? 0.0, 1),
                    'actualSeconds' => round($planned * $stretch, 1),
                    'blockId' => $block->blockId,
                    'expectedSeconds' => round($segment->seconds, 1),
                    // Once an evening something is worth stopping for.
                    'frozenSeconds' => $position === 3 && $segment->set === 1 && $segment->side !== 'L' ? 50.0 + 5.0 * ($number % 5) : 0.0,
                ];
            }
        }
        $this->closeRun->run(
            $session,
            $session->starts_at_utc->addMinutes($random->getInt(0, 4)),
            $session->starts_at_utc->addMinutes($number % 2 === 0 ? 59 : 66),
            $parts,
            $coach,
        );
        $session->refresh();
        // On one evening in three there is no time left to ask.
        if ($number % 3 !== 2) {
            $session->update(self::RECAPS[$number % count(self::RECAPS)]);
        }
    }

    /**
     * What happens on any evening: two people saw another number, a slip of the thumb was mended, a try is disputed.
     *
     * @param  list<array<string, mixed>>  $marks
     */
    private function secondLook(array $marks, User $coach, User $assistant): void
    {
        $again = fn (array $mark, string $why, array $change): array => $change + ['uuid' => $this->uuid($why.$mark['uuid'])] + $mark;
        $this->takeMarks->take([$again($marks[0], 'second', ['value' => $marks[0]['value'] + 2])], $assistant);
        $this->takeMarks->take([
            $again(
                $marks[1],
                'mended',
                ['value' => $marks[1]['value'] + 1, 'supersedesUuids' => [$marks[1]['uuid']], 'reason' => 'Slip of the thumb.'],
            ),
            $again(
                $marks[2],
                'disputed',
                ['isDisputed' => true, 'supersedesUuids' => [$marks[2]['uuid']], 'reason' => 'The ball left the box.'],
            ),
        ], $coach);
    }

    /** The number a player would have reached: level, gain, other foot, tiredness, and luck. */
    private function value(string $slug, int $p, Side $side, int $try, int $week, Randomizer $random): float
    {
        [$name, , $strong, , $level, $gain] = self::PLAYERS[$p];
        $skill = $level + $gain * $week;
        $better = $name === 'Noor' ? Foot::Left : Foot::tryFrom($strong);
        if ($better !== null && $side === Side::ofFoot($better->other())) {
            $skill -= 0.18;
        }
        if ($name === 'Dag' && $try === 3) {
            $skill -= 0.3;
        }
        $luck = ($random->getInt(0, 1000) + $random->getInt(0, 1000) + $random->getInt(0, 1000)) / 1500 - 1;

        return match ($slug) {
            'gate-pass' => (float) max(3, (int) round(9 + 9 * $skill + 1.5 * $luck)),
            'pull-back-out-v' => (float) max(5, (int) round(12 + 9 * $skill + 1.6 * $luck)),
            'sole-taps' => (float) max(8, (int) round(22 + 16 * $skill + 2 * $luck)),
            'zigzag-in-out' => round(max(6.0, 13.5 - 4.5 * $skill + 0.7 * $luck), 1),
            'figure-of-eight' => (float) max(1, (int) round(2 + 4.5 * $skill + 0.7 * $luck)),
            'drag-back-turn' => (float) max(3, (int) round(6 + 9 * $skill + 1.1 * $luck)),
            'far-foot-open' => (float) (8 + max(0, (int) round(8 * (1 - $skill) + 2.2 * $luck))),
            default => (float) max(1, (int) round(exp(1.4 + 2.3 * $skill + 0.45 * $luck))),
        };
    }

    private function uuid(string $of): string
    {
        $hex = hash('sha256', self::SEED." {$of}");

        return substr($hex, 0, 8).'-'.substr($hex, 8, 4).'-4'.substr($hex, 13, 3).'-8'.substr($hex, 17, 3).'-'.substr($hex, 20, 12);
    }
}
