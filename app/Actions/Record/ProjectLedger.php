<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Models\DrillVersion;
use App\Models\Mark;
use App\Models\Player;
use App\Models\TrainingSession;
use App\Queries\PlanEvaluationQuery;
use Closure;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Home\RoutineItem;
use FleetSparrow\Core\Record\Mark as CoreMark;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\TryReading;
use FleetSparrow\Core\Season\DrillTouches;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Tally;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;

/**
 * The touch ledger: what a session left on each player as it was planned is kept once, when the run is closed; what was counted takes its
 * place set by set, whenever numbers come in or are mended. Numbers of what was not planned are counted besides. A rebuild reads the same
 * marks and gives the same.
 *
 * @phpstan-type Planned array{planned: array<string, float>, sets: array<string, int>, perCount: array<string, array<string, float>>}
 */
final class ProjectLedger
{
    private const AT_ONCE = 400;

    private const SESSIONS_AT_ONCE = 20;

    private const FEET = ['left' => FootMark::Left, 'right' => FootMark::Right, 'unknown' => FootMark::Unknown, 'other' => FootMark::None];

    public function __construct(private readonly PlanEvaluationQuery $evaluations)
    {
    }

    /** Keeps what a session comes to; said again, it stays the same. */
    public function keep(TrainingSession $session, PlanEvaluation $evaluation): void
    {
        $strong = $session->squad->players->pluck('strong_foot', 'id');
        $session->loadMissing('blocks.drillVersion');
        $blocks = $session->blocks->keyBy('block_key');
        $kept = [];
        foreach ($evaluation->blocks as $block) {
            $planned = $blocks->get($block->blockId)?->coreBlock();
            $drill = $planned?->drill;
            if ($planned === null || $drill === null) {
                continue;
            }
            foreach ($block->touches as $player => $tally) {
                $foot = $strong->get($player) ?? StrongFoot::Both;
                $touches = DrillTouches::of($planned, $foot, $tally);
                $before = $kept["{$player} {$drill->slug}"] ?? null;
                $kept["{$player} {$drill->slug}"] = [
                    'player' => $player,
                    'drill' => $drill->slug,
                    'family' => $drill->family->value,
                    'seconds' => ($before['seconds'] ?? 0.0) + ($block->times[$player] ?? new PlayerTime)->workSeconds(),
                    'touches' => $before === null ? $touches : $before['touches']->plus($touches),
                ];
            }
        }
        $this->insert($session, array_values($kept));
        $this->write([$session]);
    }

    /** Keeps what one thing practised at home comes to; its numbers take the place of the estimate when they come in. */
    public function keepAtHome(TrainingSession $session, Player $player, RoutineItem $item, BlockEvaluation $worked): void
    {
        $this->insert($session, [[
            'player' => $player->id,
            'drill' => $item->drill->slug,
            'family' => $item->drill->family->value,
            'seconds' => ($worked->times[$player->id] ?? new PlayerTime)->workSeconds(),
            'touches' => DrillTouches::of($item->block(), $player->strong_foot, $worked->touches[$player->id]),
        ]]);
    }

    /** @param  list<array{player: int, drill: string, family: string, seconds: float, touches: DrillTouches}>  $kept */
    private function insert(TrainingSession $session, array $kept): void
    {
        $day = $session->club->day()->on($session->starts_at_utc)->iso();
        foreach (array_chunk($kept, self::AT_ONCE) as $some) {
            DB::table('ledger_entries')->insertOrIgnore(array_map(fn (array $one): array => [
                'club_id' => $session->club_id,
                'training_session_id' => $session->id,
                'player_id' => $one['player'],
                'drill_slug' => $one['drill'],
                'family' => $one['family'],
                'on_day' => $day,
                'ball_seconds' => round($one['seconds'], 1),
                'planned' => self::json($one['touches']),
            ] + self::columns($one['touches']->with([])), $some));
        }
    }

    /**
     * Puts what was counted in the place of what was estimated, for those of these sessions that are closed.
     *
     * @param  list<int>  $sessionIds
     * @param  list<int>|null  $playerIds  null for all
     * @return int entries written
     */
    public function of(array $sessionIds, ?array $playerIds = null): int
    {
        return $this->write(
            TrainingSession::query()->whereKey($sessionIds)->whereNotNull('run_finished_at_utc')->with('club')->get()->all(),
            $playerIds,
        );
    }

    /**
     * @param  array<int, TrainingSession>  $sessions  closed, or about to be
     * @param  list<int>|null  $playerIds  null for all
     * @return int entries written
     */
    private function write(array $sessions, ?array $playerIds = null): int
    {
        if ($sessions === []) {
            return 0;
        }
        $sessionIds = array_values(array_map(static fn (TrainingSession $session): int => $session->id, $sessions));
        $entries = DB::table('ledger_entries')->whereIn('training_session_id', $sessionIds)
            ->when($playerIds !== null, fn ($query) => $query->whereIn('player_id', $playerIds ?? []))
            ->get(['club_id', 'training_session_id', 'player_id', 'drill_slug', 'family', 'on_day', 'ball_seconds', 'planned'])
            ->map(static fn (object $entry): array => (array) $entry)
            ->keyBy(static fn (array $entry): string => "{$entry['training_session_id']} {$entry['player_id']} {$entry['drill_slug']}")
            ->all();
        ['numbers' => $numbers, 'kinds' => $kinds] = $this->counts($sessionIds, $playerIds);
        $rows = [];
        foreach ($entries + $this->unplanned($sessions, array_diff_key($kinds, $entries)) as $key => $entry) {
            /** @var Planned $planned */
            $planned = json_decode((string) $entry['planned'], true, 8, JSON_THROW_ON_ERROR);
            $rows[] = $entry + self::columns(DrillTouches::fromFields($planned)->with($numbers[$key] ?? []));
        }
        $changing = [];
        foreach (self::FEET as $foot => $mark) {
            array_push($changing, "estimated_{$foot}", "counted_{$foot}");
        }
        foreach (array_chunk($rows, self::AT_ONCE) as $some) {
            DB::table('ledger_entries')
                ->upsert($some, ['training_session_id', 'player_id', 'drill_slug'], [...$changing, 'tallies']);
        }

        return count($rows);
    }

    /**
     * Entries for numbers of what was not planned, or was left out when the run was closed: from paper, and from a phone that came late.
     *
     * @param  array<int, TrainingSession>  $sessions
     * @param  array<string, MarkKind>  $kinds  session, player and drill → what was counted
     * @return array<string, array<string, mixed>> the same → entry
     */
    private function unplanned(array $sessions, array $kinds): array
    {
        if ($kinds === []) {
            return [];
        }
        $wanted = array_map(static fn (string $key): array => explode(' ', $key, 3), array_keys($kinds));
        $drills = DrillVersion::query()->where('is_current', true)->whereIn('slug', array_unique(array_column($wanted, 2)))->get()
            ->keyBy('slug')->map(static fn (DrillVersion $version): Drill => $version->drill());
        $entries = [];
        foreach ($sessions as $session) {
            $own = array_filter($wanted, static fn (array $one): bool => (int) $one[0] === $session->id);
            // What was closed before there was a ledger waits for a rebuild, which keeps its plan as well.
            if ($own === [] || ! ($session->blocks()->doesntExist() || $this->isKept($session))) {
                continue;
            }
            $day = $session->club->day()->on($session->starts_at_utc)->iso();
            foreach ($own as [$sessionId, $player, $slug]) {
                $drill = $drills->get($slug);
                if ($drill !== null) {
                    $key = "{$sessionId} {$player} {$slug}";
                    $entries[$key] = [
                        'club_id' => $session->club_id, 'training_session_id' => $session->id, 'player_id' => (int) $player,
                        'drill_slug' => $slug, 'family' => $drill->family->value, 'on_day' => $day, 'ball_seconds' => 0.0,
                        'planned' => self::json(DrillTouches::unplanned($drill, $kinds[$key])),
                    ];
                }
            }
        }

        return $entries;
    }

    private function isKept(TrainingSession $session): bool
    {
        return DB::table('ledger_entries')->where('training_session_id', $session->id)->exists();
    }

    private static function json(DrillTouches $touches): string
    {
        return json_encode($touches->fields(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
    }

    /** @return int sessions a rebuild goes through */
    public function steps(int $clubId): int
    {
        return self::closed($clubId)->count();
    }

    /**
     * Reads the marks of every closed session anew. One that was closed before there was a ledger is kept now, from its plan as it stands.
     *
     * @param  (Closure(int): mixed)|null  $step  told how many sessions are done
     * @return int entries written
     */
    public function rebuild(int $clubId, ?Closure $step = null): int
    {
        $written = 0;
        self::closed($clubId)->with('club')->chunkById(self::SESSIONS_AT_ONCE, function ($sessions) use (&$written, $step): void {
            $known = DB::table('ledger_entries')->whereIn('training_session_id', $sessions->modelKeys())->distinct()
                ->pluck('training_session_id')->map(intval(...))->all();
            foreach ($sessions->except($known) as $session) {
                try {
                    $this->keep($session, $this->evaluations->ofSession($session, $session->club->day()->on($session->starts_at_utc)));
                } catch (CoreException) {
                    // Nobody came, or a drill can no longer be read: nothing is left behind.
                }
            }
            $written += $this->write($sessions->all());
            $step?->__invoke($sessions->count());
        });

        return $written;
    }

    /** @return Builder<TrainingSession> */
    private static function closed(int $clubId): Builder
    {
        return TrainingSession::query()->where('club_id', $clubId)->whereNotNull('run_finished_at_utc');
    }

    /**
     * @param  list<int>  $sessionIds
     * @param  list<int>|null  $playerIds
     * @return array{numbers: array<string, array<string, list<float>>>, kinds: array<string, MarkKind>} session, player and drill → side →
     *     a number a set; and what the first of them is of
     */
    private function counts(array $sessionIds, ?array $playerIds): array
    {
        $telling = array_filter(MarkKind::cases(), static fn (MarkKind $kind): bool => $kind->tellsTouches());
        $marks = Mark::query()->tap(Mark::standing(...))->toBase()
            ->join('record_lines', 'record_lines.line_key', '=', 'marks.line_key')
            ->leftJoin('club_line_names', fn ($join) => $join->on('club_line_names.line_key', '=', 'marks.line_key')
                ->on('club_line_names.club_id', '=', 'marks.club_id'))
            ->whereIn('marks.training_session_id', $sessionIds)
            ->when($playerIds !== null, fn ($query) => $query->whereIn('marks.player_id', $playerIds ?? []))
            ->whereIn('record_lines.kind', array_map(static fn (MarkKind $kind): string => $kind->value, $telling))
            ->orderBy('marks.try_number')
            ->get([
                'marks.training_session_id', 'marks.player_id', 'marks.try_number', 'marks.value', 'marks.is_void', 'marks.is_disputed',
                'marks.marked_on', 'record_lines.kind', 'record_lines.side',
                DB::raw('coalesce(club_line_names.drill_slug, record_lines.drill_slug) as slug'),
            ]);
        [$readings, $kinds] = [[], []];
        foreach ($marks as $mark) {
            $drill = "{$mark->training_session_id} {$mark->player_id} {$mark->slug}";
            $kinds[$drill] ??= MarkKind::from((string) $mark->kind);
            $readings[$drill][(string) $mark->side][(string) $mark->kind][(int) $mark->try_number][] = new CoreMark(
                CalendarDate::fromIso((string) $mark->marked_on),
                (float) $mark->value,
                (bool) $mark->is_void,
                (bool) $mark->is_disputed,
            );
        }

        return [
            'numbers' => array_map(static fn (array $sides): array => array_map(self::values(...), $sides), $readings),
            'kinds' => $kinds,
        ];
    }

    /**
     * @param  array<string, array<int, non-empty-list<CoreMark>>>  $kinds  kind → try → readings
     * @return list<float>
     */
    private static function values(array $kinds): array
    {
        $values = [];
        foreach ($kinds as $kind => $tries) {
            foreach ($tries as $readings) {
                $value = TryReading::of(MarkKind::from($kind), $readings)->value;
                $values = $value === null ? $values : [...$values, $value];
            }
        }

        return $values;
    }

    /**
     * @param  array{estimated: Tally, counted: Tally}  $touches
     * @return array<string, mixed>
     */
    private static function columns(array $touches): array
    {
        $columns = [];
        foreach ($touches as $how => $tally) {
            foreach (self::FEET as $foot => $mark) {
                $columns["{$how}_{$foot}"] = round($tally->contactsOf($mark), 2);
            }
        }
        $kinds = array_map(
            static fn (Tally $tally): array => array_map(static fn (float $count): float => round($count, 2), $tally->byKind),
            $touches,
        );

        return $columns + ['tallies' => json_encode($kinds, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION)];
    }
}
