<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Models\Mark;
use App\Models\RecordLine;
use Closure;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\Mark as CoreMark;
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

    /** @param  list<array<string, mixed>>  $rows  marks just taken */
    public function refresh(array $rows): void
    {
        $players = array_column($rows, 'player_id');
        $lines = array_column($rows, 'line_key');
        $superseded = array_merge([], ...array_map(fn (array $row): array => Mark::uuids($row['supersedes']), $rows));
        if ($superseded !== []) {
            // A correction may move a number to another player or line: what it was taken from changes too.
            foreach (Mark::query()->whereKey($superseded)->toBase()->get(['player_id', 'line_key']) as $mark) {
                $players[] = (int) $mark->player_id;
                $lines[] = (string) $mark->line_key;
            }
        }
        $this->of(array_values(array_unique($players)), array_values(array_unique($lines)));
    }

    /**
     * Works out what some marks have left, for these players and lines.
     *
     * @param  list<int>  $playerIds
     * @param  list<string>  $lineKeys
     */
    public function of(array $playerIds, array $lineKeys): void
    {
        if ($playerIds !== [] && $lineKeys !== []) {
            $this->project($playerIds, $lineKeys);
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
                [$days, $bests] = $this->project($some, null);
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
     * @return array{int, int} line days and bests written
     */
    private function project(array $playerIds, ?array $lineKeys): array
    {
        $narrow = fn (Builder $query): Builder => $query->whereIn('player_id', $playerIds)->when(
            $lineKeys !== null,
            fn (Builder $query) => $query->whereIn('line_key', $lineKeys ?? []),
        );
        $marks = Mark::query()->tap(Mark::standing(...))->toBase()->tap($narrow)
            ->get(
                ['club_id', 'player_id', 'line_key', 'training_session_id', 'try_number', 'value', 'is_void', 'is_disputed', 'marked_on'],
            );
        $kinds = RecordLine::query()->whereKey($marks->pluck('line_key')->unique()->values()->all())->get()->keyBy('line_key');
        $byLine = [];
        foreach ($marks as $mark) {
            $byLine["{$mark->club_id} {$mark->player_id} {$mark->line_key}"][] = new CoreMark(
                CalendarDate::fromIso((string) $mark->marked_on), (float) $mark->value, (bool) $mark->is_void,
                (bool) $mark->is_disputed, "{$mark->training_session_id}/{$mark->try_number}",
            );
        }
        $days = [];
        $bests = [];
        foreach ($byLine as $key => $of) {
            [$clubId, $playerId, $lineKey] = explode(' ', $key);
            $line = $kinds->get($lineKey) ?? throw new LogicException("No line {$lineKey}, though a mark points at it.");
            $reading = LineReading::of($line->kind, $of);
            $where = ['club_id' => (int) $clubId, 'player_id' => (int) $playerId, 'line_key' => $lineKey];
            array_push($days, ...self::dayRows($where, $reading));
            $record = $reading->recordDay();
            if ($record !== null) {
                $bests[] = $where + ['value' => $record->best, 'on_day' => $record->on->iso(), 'days' => count($reading->days)];
            }
        }
        DB::table('line_days')->tap($narrow)->delete();
        DB::table('bests')->tap($narrow)->delete();
        foreach (array_chunk($days, 500) as $some) {
            DB::table('line_days')->insert($some);
        }
        DB::table('bests')->insert($bests);

        return [count($days), count($bests)];
    }

    /**
     * @param  array{club_id: int, player_id: int, line_key: string}  $where
     * @return list<array<string, mixed>>
     */
    private static function dayRows(array $where, LineReading $reading): array
    {
        $rows = [];
        foreach ($reading->openTries as $day => $open) {
            $rows[$day] = $where + ['on_day' => $day, 'best' => null, 'median' => null, 'tries' => 0, 'open_tries' => $open];
        }
        foreach ($reading->days as $day) {
            $rows[$day->on->iso()] = $where + [
                'on_day' => $day->on->iso(),
                'best' => $day->best,
                'median' => $day->median,
                'tries' => $day->tries,
                'open_tries' => $day->openTries,
            ];
        }
        ksort($rows);

        return array_values($rows);
    }
}
