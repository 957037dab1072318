<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Player;
use App\Models\RecordLine;
use App\Models\Squad;
use App\Planning\KeptLines;
use App\Planning\SeasonSpan;
use App\Tenancy\ClubContext;
use FleetSparrow\Core\Progress\SquadLine;
use FleetSparrow\Core\Progress\TypicalError;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Record\Twins;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\StrongFoot;
use Illuminate\Database\Eloquent\Builder as EloquentBuilder;
use Illuminate\Database\Query\Builder;
use Illuminate\Database\Query\JoinClause;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Reads the line days of some players into the core's line readings: two queries at most, whatever their number. */
final class RecordQuery
{
    /** @var array<string, RecordLine> what was read of them, by key */
    private array $lines = [];

    /**
     * @param  list<int>  $playerIds  of the club acted for; others bring nothing
     * @param  list<string>|null  $lineKeys  null for all
     * @param  SeasonSpan|null  $span  null for all days; a record from before it stands all the same
     * @return array<int, array<string, LineReading>> player id → line key → reading
     */
    public function readings(array $playerIds, ?array $lineKeys = null, ?SeasonSpan $span = null): array
    {
        $own = Player::query()->whereKey($playerIds)->select('id');
        $rows = DB::table('line_days')->whereIn('line_days.player_id', $own)
            ->when($span, fn (Builder $query, SeasonSpan $of) => $query->whereBetween('line_days.on_day', $of->days()))
            ->when($lineKeys !== null, fn ($query) => $query->whereIn('line_days.line_key', $lineKeys ?? []))
            ->leftJoin('bests as record', static fn (JoinClause $join) => $join->on('record.player_id', '=', 'line_days.player_id')
                ->on('record.line_key', '=', 'line_days.line_key')->where('record.on_day', '<', $span?->from->iso() ?? '0001-01-01'))
            // As they lie in the table, one at a time: of a season there are tens of thousands.
            ->orderBy('line_days.player_id')->orderBy('line_days.line_key')->orderBy('line_days.on_day')
            ->select(['line_days.player_id', 'line_days.line_key', 'line_days.on_day', 'best', 'median', 'tries', 'total', 'open_tries'])
            ->addSelect(['record.value as record', 'record.on_day as record_on'])->cursor();
        // Everybody's days are the same few.
        [$days, $open, $before, $dates] = [[], [], [], []];
        foreach ($rows as $row) {
            [$playerId, $lineKey, $day] = [(int) $row->player_id, (string) $row->line_key, (string) $row->on_day];
            /** @var stdClass $row */
            if (! isset($days[$playerId][$lineKey])) {
                $days[$playerId][$lineKey] = [];
                $before[$playerId][$lineKey] = self::before($row);
            }
            if ((int) $row->open_tries > 0) {
                $open[$playerId][$lineKey][$day] = (int) $row->open_tries;
            }
            if ($row->best !== null) {
                $days[$playerId][$lineKey][] = new SessionValue(
                    $dates[$day] ??= CalendarDate::fromIso($day),
                    (float) $row->best,
                    (float) $row->median,
                    (int) $row->tries,
                    (float) $row->total,
                    (int) $row->open_tries,
                );
            }
        }
        $this->named(array_keys(array_merge([], ...array_values($days))));
        $readings = [];
        foreach ($days as $playerId => $lines) {
            foreach ($lines as $lineKey => $of) {
                $readings[$playerId][$lineKey] = LineReading::ofDays(
                    $this->lines[$lineKey]->kind,
                    $of,
                    $open[$playerId][$lineKey] ?? [],
                    $before[$playerId][$lineKey] ?? null,
                );
            }
        }

        return $readings;
    }

    /**
     * Has all lines of these players known by name, in one query; named() then asks no more of them.
     *
     * @param  list<int>  $playerIds
     */
    public function meet(array $playerIds): void
    {
        $this->lines += self::ownNames()->whereIn(
            'record_lines.line_key',
            DB::table('bests')->whereIn('player_id', Player::query()->whereKey($playerIds)->select('id'))->select('line_key'),
        )->get()->keyBy('line_key')->all();
    }

    /**
     * Lines with the words of the club that is acted for.
     *
     * @param  list<mixed>  $keys
     * @return array<string, RecordLine> by key
     */
    public function named(array $keys): array
    {
        $asked = array_flip(array_map(strval(...), $keys));
        $unknown = array_keys(array_diff_key($asked, $this->lines));
        if ($unknown !== []) {
            $this->lines += self::ownNames()->whereKey($unknown)->get()->keyBy('line_key')->all();
        }

        return array_intersect_key($this->lines, $asked);
    }

    /** @return EloquentBuilder<RecordLine> */
    private static function ownNames(): EloquentBuilder
    {
        $club = resolve(ClubContext::class)->clubId();

        return RecordLine::query()
            ->leftJoin('club_line_names as own', static fn (JoinClause $join) => $join
                ->on('own.line_key', '=', 'record_lines.line_key')->where('own.club_id', $club))
            ->select('record_lines.*')
            ->selectRaw('coalesce(own.drill_name, record_lines.drill_name) as drill_name')
            ->selectRaw('coalesce(own.drill_slug, record_lines.drill_slug) as drill_slug');
    }

    /** A record that was set before the season. */
    private static function before(stdClass $row): ?SessionValue
    {
        return $row->record_on === null
            ? null
            : SessionValue::ofOneTry(CalendarDate::fromIso((string) $row->record_on), (float) $row->record);
    }

    /**
     * What each line tells of a squad: how far numbers stray, and how much of a change is worth a word. Two queries where numbers came in
     * since somebody asked.
     *
     * @return array<string, SquadLine> by key
     */
    public function squadLines(Squad $squad, SeasonSpan $span, KeptLines $lines): array
    {
        $kept = $lines->remember("squad.{$span->key()}", fn (?array $lineKeys): array => array_map(
            static fn (SquadLine $line): array => [$line->error->squares, $line->error->degrees, $line->worthwhile],
            $this->readSquadLines($squad, $span, $lineKeys),
        ));

        return array_map(
            static fn (array $one): SquadLine => SquadLine::ofFigures(TypicalError::ofFigures($one[0], $one[1]), $one[2]),
            $kept,
        );
    }

    /**
     * @param  list<string>|null  $lineKeys  null for all
     * @return array<string, SquadLine> by key
     */
    private function readSquadLines(Squad $squad, SeasonSpan $span, ?array $lineKeys): array
    {
        // A row a player and line: of a season there are tens of thousands of days, and only their medians are asked for.
        $rows = DB::table('line_days')->whereNotNull('median')
            ->whereIn('player_id', Player::query()->where('squad_id', $squad->id)->select('id'))
            ->whereBetween('on_day', $span->days())
            ->when($lineKeys !== null, fn (Builder $query) => $query->whereIn('line_key', $lineKeys ?? []))
            ->groupBy('player_id', 'line_key')
            ->selectRaw('line_key, group_concat(median order by on_day) as medians')->get();
        $values = [];
        foreach ($rows as $row) {
            $values[(string) $row->line_key][] = array_map(floatval(...), explode(',', (string) $row->medians));
        }

        return array_map(
            static fn (RecordLine $line): SquadLine => SquadLine::ofValues($values[$line->line_key], $line->kind->step()),
            $this->named(array_keys($values)),
        );
    }

    /**
     * Lines that are the same task with either foot.
     *
     * @param  array<string, RecordLine>  $lines  of one player, by key
     * @return list<array{strong: string, other: string}>
     */
    public static function twins(StrongFoot $strong, array $lines): array
    {
        return Twins::of($strong, array_map(static fn (RecordLine $line): array => [$line->withoutSide(), $line->side], $lines));
    }

    /** @return array<string, RecordLine> the lines met so far, by key */
    public function lines(): array
    {
        return $this->lines;
    }
}
