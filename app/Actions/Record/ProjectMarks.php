<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Models\Mark;
use App\Models\RecordLine;
use Closure;
use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\Mark as CoreMark;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use LogicException;

/**
 * Works out line days and bests from the marks: for what a batch has touched, or for a whole club. Both go the same way, so
 * a rebuild gives what the batches gave.
 */
final class ProjectMarks
{
    private const PLAYERS_AT_ONCE = 10;

    /**
     * Only the days the marks are of are worked out anew: what a batch costs does not grow with the seasons behind it.
     *
     * @param  list<array<string, mixed>>  $rows  marks just taken
     * @return list<string> the lines they touched
     */
    public function refresh(array $rows): array
    {
        $touched = array_map(fn (array $row): array => [$row['player_id'], $row['line_key'], $row['marked_on']], $rows);
        $superseded = array_merge([], ...array_map(fn (array $row): array => Mark::uuids($row['supersedes']), $rows));
        if ($superseded !== []) {
            // A correction may move a number to another player, line or day: what it was taken from changes too.
            foreach (Mark::query()->whereKey($superseded)->toBase()->get(['player_id', 'line_key', 'marked_on']) as $mark) {
                $touched[] = [(int) $mark->player_id, (string) $mark->line_key, (string) $mark->marked_on];
            }
        }
        $lineKeys = array_values(array_unique(array_column($touched, 1)));
        $this->of(array_values(array_unique(array_column($touched, 0))), $lineKeys, array_values(array_unique(array_column($touched, 2))));

        return $lineKeys;
    }

    /**
     * Works out what some marks have left, for these players and lines.
     *
     * @param  list<int>  $playerIds
     * @param  list<string>  $lineKeys
     * @param  list<string>|null  $days  ISO; null for all
     */
    public function of(array $playerIds, array $lineKeys, ?array $days = null): void
    {
        if ($playerIds !== [] && $lineKeys !== []) {
            $this->project($playerIds, $lineKeys, $days);
        }
    }

    /** @return int players a rebuild goes through */
    public function steps(int $clubId): int
    {
        return DB::table('players')->where('club_id', $clubId)->count();
    }

    /**
     * @param  (Closure(int): mixed)|null  $step  told how many players are done
     * @return array{players: int, lineDays: int, bests: int}
     */
    public function rebuild(int $clubId, ?Closure $step = null): array
    {
        return DB::transaction(function () use ($clubId, $step): array {
            $players = array_values(
                DB::table('players')->where('club_id', $clubId)->orderBy('id')->lockForUpdate()->pluck('id')->map(intval(...))->all(),
            );
            $counts = ['players' => count($players), 'lineDays' => 0, 'bests' => 0];
            foreach (array_chunk($players, self::PLAYERS_AT_ONCE) as $some) {
                [$days, $bests] = $this->project($some, null, null);
                $counts['lineDays'] += $days;
                $counts['bests'] += $bests;
                $step?->__invoke(count($some));
            }

            return $counts;
        });
    }

    /**
     * @param  list<int>  $playerIds
     * @param  list<string>|null  $lineKeys  null for all
     * @param  list<string>|null  $onDays  null for all
     * @return array{int, int} line days and bests written
     */
    private function project(array $playerIds, ?array $lineKeys, ?array $onDays): array
    {
        $narrow = fn (Builder $query): Builder => $query->whereIn('player_id', $playerIds)->when(
            $lineKeys !== null,
            fn (Builder $query) => $query->whereIn('line_key', $lineKeys ?? []),
        );
        $on = fn (string $column): Closure => fn (Builder $query): Builder => $query
            ->when($onDays !== null, fn (Builder $query) => $query->whereIn($column, $onDays ?? []));
        $marks = Mark::query()->tap(Mark::standing(...))->toBase()->tap($narrow)->tap($on('marked_on'))
            ->get(
                ['club_id', 'player_id', 'line_key', 'training_session_id', 'try_number', 'value', 'is_void', 'is_disputed', 'marked_on'],
            );
        $byLine = [];
        foreach ($marks as $mark) {
            $byLine["{$mark->club_id} {$mark->player_id} {$mark->line_key}"][] = new CoreMark(
                CalendarDate::fromIso((string) $mark->marked_on), (float) $mark->value, (bool) $mark->is_void,
                (bool) $mark->is_disputed, "{$mark->training_session_id}/{$mark->try_number}",
            );
        }
        $kinds = RecordLine::query()->whereKey($marks->pluck('line_key')->unique()->values()->all())->get()->keyBy('line_key');
        $days = [];
        foreach ($byLine as $key => $of) {
            [$clubId, $playerId, $lineKey] = explode(' ', $key);
            $line = $kinds->get($lineKey) ?? throw new LogicException("No line {$lineKey}, though a mark points at it.");
            $where = ['club_id' => (int) $clubId, 'player_id' => (int) $playerId, 'line_key' => $lineKey];
            array_push($days, ...self::dayRows($where, LineReading::of($line->kind, $of)));
        }
        DB::table('line_days')->tap($narrow)->tap($on('on_day'))->delete();
        foreach (array_chunk($days, 500) as $some) {
            DB::table('line_days')->insert($some);
        }

        return [count($days), $this->records($narrow)];
    }

    /**
     * The best of each line, and the first day it was reached, out of its days.
     *
     * @param  Closure(Builder): Builder  $narrow
     * @return int written
     */
    private function records(Closure $narrow): int
    {
        $ends = DB::table('line_days')->tap($narrow)->whereNotNull('best')->groupBy('player_id', 'line_key')
            ->selectRaw('player_id as of_player, line_key as of_line, count(*) as days, max(best) as highest, min(best) as lowest');
        $lower = array_map(
            static fn (MarkKind $kind): string => $kind->value,
            array_filter(MarkKind::cases(), static fn (MarkKind $kind): bool => $kind->better() === Better::Lower),
        );
        $bests = DB::table('line_days')
            ->joinSub($ends, 'ends', fn ($join) => $join->on('of_player', '=', 'player_id')->on('of_line', '=', 'line_days.line_key'))
            ->whereRaw(
                'best = case when (select kind from record_lines where record_lines.line_key = of_line) in ('
                    .implode(', ', array_fill(0, count($lower), '?')).') then lowest else highest end',
                array_values($lower),
            )
            ->groupBy('club_id', 'player_id', 'line_days.line_key', 'best', 'days')
            ->selectRaw('club_id, player_id, line_days.line_key, best as value, min(on_day) as on_day, days')
            ->get()->map(static fn (object $row): array => (array) $row)->all();
        DB::table('bests')->tap($narrow)->delete();
        foreach (array_chunk($bests, 500) as $some) {
            DB::table('bests')->insert($some);
        }

        return count($bests);
    }

    /**
     * @param  array{club_id: int, player_id: int, line_key: string}  $where
     * @return list<array<string, mixed>>
     */
    private static function dayRows(array $where, LineReading $reading): array
    {
        $rows = [];
        foreach ($reading->openTries as $day => $open) {
            $rows[$day] = $where
                + ['on_day' => $day, 'best' => null, 'median' => null, 'tries' => 0, 'total' => 0.0, 'open_tries' => $open];
        }
        foreach ($reading->days as $day) {
            $rows[$day->on->iso()] = $where + [
                'on_day' => $day->on->iso(),
                'best' => $day->best,
                'median' => $day->median,
                'tries' => $day->tries,
                'total' => $day->total,
                'open_tries' => $day->openTries,
            ];
        }
        ksort($rows);

        return array_values($rows);
    }
}
