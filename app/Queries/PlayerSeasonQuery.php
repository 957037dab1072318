<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Mark;
use App\Models\Player;
use App\Models\RecordLine;
use App\Planning\KeptLines;
use App\Planning\SeasonSpan;
use App\Planning\SquadAims;
use App\Planning\SquadHistory;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Progress\FootRatio;
use FleetSparrow\Core\Progress\FootStory;
use FleetSparrow\Core\Progress\LineStory;
use FleetSparrow\Core\Progress\News;
use FleetSparrow\Core\Progress\NewsKind;
use FleetSparrow\Core\Progress\PlayerStory;
use FleetSparrow\Core\Progress\Slope;
use FleetSparrow\Core\Progress\SquadLine;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\Mark as CoreMark;
use FleetSparrow\Core\Record\Target;
use FleetSparrow\Core\Record\TryReading;
use FleetSparrow\Core\Season\LedgerEntry;
use FleetSparrow\Core\Season\TouchLedger;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Evidence;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Touch\Tally;
use Illuminate\Support\Facades\DB;

/** Reads one player's season: a fixed number of queries, whatever there is of it. */
final class PlayerSeasonQuery
{
    /** Sets of so many days tell of fade inside a session. */
    private const LATELY_DAYS = 60;

    public function __construct(
        private readonly RecordQuery $records,
        private readonly SquadAims $aims,
        private readonly LadderQuery $ladders,
        private readonly SquadHistory $history,
    ) {
    }

    public function of(Player $player, SeasonSpan $span, ClubDay $day): PlayerSeason
    {
        $all = $this->history->lines($player->squad);
        $this->records->meet([$player->id]);
        $kept = $all->remember(
            "player.{$player->id}.{$span->key()}",
            fn (?array $lineKeys): array => $this->lines($player, $span, $lineKeys, $all),
        );
        $lines = array_map(static fn (array $one): LineStory => $one['story'], $kept);
        $recordLines = $this->records->named(array_keys($lines));
        $readings = array_map(static fn (LineStory $one): LineReading => $one->line, $lines);
        $feet = self::feet($player->strong_foot, $readings, $recordLines);
        $ladders = $this->ladders($player, $all);
        $also = [
            ...($player->strong_foot === StrongFoot::Both ? [] : (new FootStory($player->strong_foot, $feet))->news()),
            ...($span->id === null ? self::ladderNews($ladders) : []),
        ];

        return new PlayerSeason(
            span: $span,
            story: PlayerStory::of(array_values($lines), $also, $span->until),
            lines: $lines,
            slopes: array_map(static fn (array $one): ?Slope => $one['slope'], $kept),
            recordLines: $recordLines,
            feet: $feet,
            ladders: $ladders,
            touches: $this->touches($player, $span),
            attendance: $this->history->rememberAside(
                $player->squad,
                "came.{$player->id}.{$span->key()}",
                fn (): array => $this->attendance($player, $span, $day),
            ),
        );
    }

    /**
     * @param  list<string>|null  $lineKeys  null for all
     * @return array<string, array{story: LineStory, slope: Slope|null}> by line
     */
    private function lines(Player $player, SeasonSpan $span, ?array $lineKeys, KeptLines $all): array
    {
        $readings = $this->records->readings([$player->id], $lineKeys, $span)[$player->id] ?? [];
        $recordLines = array_intersect_key($this->records->lines(), $readings);
        $aims = $this->aims->of($player->squad, $recordLines);
        $squadLines = $this->records->squadLines($player->squad, $span, $all);
        $sets = $this->sets($player, $span, $recordLines);
        $lines = [];
        foreach ($readings as $key => $reading) {
            $story = LineStory::of(
                key: $key,
                about: self::about($recordLines[$key]),
                line: $reading,
                squad: $squadLines[$key] ?? SquadLine::of([]),
                sessions: $sets[$key] ?? [],
                // What has ended has nothing next.
                target: $span->id === null ? Target::of($reading, $aims[$key]) : null,
            );
            $lines[$key] = ['story' => $story, 'slope' => $story->slope()];
        }

        return $lines;
    }

    private static function about(RecordLine $line): string
    {
        $feet = match ($line->side) {
            Side::Right => 'right foot',
            Side::Left => 'left foot',
            Side::Both => 'both feet',
            Side::Alternating => 'feet in turn',
        };

        // Some drills say it by their name.
        return str_ends_with($line->drill_name, $feet) ? $line->drill_name : "{$line->drill_name}, {$feet}";
    }

    /**
     * The sets of each session lately, in the order they were done, of days with two or more.
     *
     * @param  array<string, RecordLine>  $lines
     * @return array<string, list<list<float>>> line key → sessions, the oldest first
     */
    private function sets(Player $player, SeasonSpan $span, array $lines): array
    {
        $marks = Mark::query()->tap(Mark::standing(...))->toBase()->where('player_id', $player->id)
            ->whereIn('line_key', array_keys($lines))
            ->whereBetween('marked_on', [$span->until->plusDays(-self::LATELY_DAYS)->iso(), $span->days()[1]])
            ->orderBy('marked_on')->orderBy('training_session_id')->orderBy('try_number')
            ->get(['line_key', 'training_session_id', 'try_number', 'value', 'is_void', 'is_disputed']);
        $read = [];
        foreach ($marks as $mark) {
            $read[(string) $mark->line_key][(int) $mark->training_session_id][(int) $mark->try_number][] = new CoreMark(
                $span->until,
                (float) $mark->value,
                (bool) $mark->is_void,
                (bool) $mark->is_disputed,
            );
        }
        $sets = [];
        foreach ($read as $key => $sessions) {
            foreach ($sessions as $tries) {
                $values = array_map(
                    static fn (array $readings): ?float => TryReading::of($lines[$key]->kind, $readings)->value,
                    array_values($tries),
                );
                $sets[$key][] = array_values(array_filter($values, static fn (?float $value): bool => $value !== null));
            }
        }

        return $sets;
    }

    /**
     * @param  array<string, LineReading>  $readings
     * @param  array<string, RecordLine>  $lines
     * @return array<string, FootRatio>
     */
    private static function feet(StrongFoot $strong, array $readings, array $lines): array
    {
        $feet = [];
        foreach (RecordQuery::twins($strong, array_intersect_key($lines, $readings)) as $twins) {
            $ratio = FootRatio::of($readings[$twins['strong']], $readings[$twins['other']]);
            $feet = $ratio === null ? $feet : self::withFoot($feet, $lines[$twins['strong']]->drill_name, $ratio);
        }

        return $feet;
    }

    /**
     * A drill whose task was changed in the season is there twice: as it is, and as it was before.
     *
     * @param  array<string, FootRatio>  $feet
     * @return array<string, FootRatio>
     */
    private static function withFoot(array $feet, string $name, FootRatio $ratio): array
    {
        $other = $feet[$name] ?? null;
        $last = static fn (FootRatio $one): string => $one->days[count($one->days) - 1]['on']->iso();
        if ($other === null) {
            return $feet + [$name => $ratio];
        }
        [$now, $before] = $last($other) >= $last($ratio) ? [$other, $ratio] : [$ratio, $other];

        return [$name => $now, "{$name}, as it was before" => $before] + $feet;
    }

    /**
     * @return list<array{ladder: string, slug: string, drill: string, name: string, rung: int|null, rungs: int,
     *     place: \FleetSparrow\Core\Progress\LadderPlace, harderBy: list<string>}>
     */
    private function ladders(Player $player, KeptLines $lines): array
    {
        $ladders = [];
        foreach ($this->ladders->ladders($player->squad, [$player], $lines) as $one) {
            ['ladder' => $ladder, 'tasks' => $tasks, 'places' => [$player->id => $place]] = $one;
            if ($place->advice === 'begin') {
                continue;
            }
            $rung = $ladder->rungs[$place->rung ?? count($ladder->rungs) - 1];
            $harder = $place->advice === 'back' && $place->rung !== null ? $ladder->rungs[$place->rung + 1] ?? $rung : $rung;
            $ladders[] = [
                'ladder' => $ladder->name,
                'slug' => $ladder->slug,
                'drill' => $rung->drill,
                'name' => $tasks[$rung->drill]->name,
                'rung' => $place->rung,
                'rungs' => count($ladder->rungs),
                'place' => $place,
                'harderBy' => array_map(
                    static fn ($axis): string => $place->advice === 'back' ? $axis->easierWords() : $axis->words(),
                    $harder->harderBy,
                ),
            ];
        }

        return $ladders;
    }

    /**
     * @param  list<array{ladder: string, name: string, place: \FleetSparrow\Core\Progress\LadderPlace, harderBy: list<string>}>  $ladders
     * @return list<News>
     */
    private static function ladderNews(array $ladders): array
    {
        $news = [];
        foreach ($ladders as ['ladder' => $ladder, 'name' => $name, 'place' => $place, 'harderBy' => $harderBy]) {
            if (! $place->isAsking()) {
                continue;
            }
            $ways = $harderBy === [] ? '' : ' ('.implode(', ', $harderBy).')';
            $news[] = new News(
                kind: $place->advice === 'up' ? NewsKind::Next : NewsKind::Stuck,
                about: $ladder,
                says: $place->advice === 'up' ? "Move on to {$name}{$ways}." : "Ease to {$name}{$ways}.",
                evidence: new Evidence(
                    'A rung is passed when every side meets its number in 2 of its last 3 sessions, and most passes looked at were '
                        .'accurate, at the right pace and clean; one steps back after two sessions under half of it.',
                    [$place->why],
                    1,
                    'Common practice, no source; the numbers are this tool\'s own.',
                ),
                weight: 20.0,
                like: $place->advice,
            );
        }

        return $news;
    }

    private function touches(Player $player, SeasonSpan $span): TouchLedger
    {
        $rows = DB::table('ledger_entries')
            ->join('training_sessions', 'training_sessions.id', '=', 'ledger_entries.training_session_id')
            ->where('ledger_entries.player_id', $player->id)
            ->where('training_sessions.is_only_tried', false)
            ->whereBetween('on_day', $span->days())
            ->orderBy('on_day')
            ->get(['on_day', 'drill_slug', 'family', 'ball_seconds', 'tallies']);

        return TouchLedger::of(array_values($rows->map(static function (object $row): LedgerEntry {
            /** @var array{estimated: array<string, float>, counted: array<string, float>} $tallies */
            $tallies = json_decode((string) $row->tallies, true, 4, JSON_THROW_ON_ERROR);

            return new LedgerEntry(
                CalendarDate::fromIso((string) $row->on_day),
                (string) $row->drill_slug,
                (string) $row->family,
                (float) $row->ball_seconds,
                Tally::ofContacts(array_map(floatval(...), $tallies['estimated'])),
                Tally::ofContacts(array_map(floatval(...), $tallies['counted'])),
            );
        })->all()));
    }

    /** @return array{came: int, of: int} */
    private function attendance(Player $player, SeasonSpan $span, ClubDay $day): array
    {
        $row = DB::table('attendances')
            ->join('training_sessions', 'training_sessions.id', '=', 'attendances.training_session_id')
            ->where('attendances.player_id', $player->id)
            ->whereNotNull('training_sessions.run_finished_at_utc')
            ->where('training_sessions.is_only_tried', false)
            ->whereBetween('training_sessions.starts_at_utc', $day->instants(...$span->days()))
            ->selectRaw('count(*) as sessions, sum(coming) as came')->first();

        return ['came' => (int) ($row->came ?? 0), 'of' => (int) ($row->sessions ?? 0)];
    }
}
