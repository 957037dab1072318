<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Squad;
use App\Planning\SeasonSpan;
use App\Planning\SquadHistory;
use App\Tenancy\ClubDay;
use Closure;
use FleetSparrow\Core\Progress\LineStory;
use FleetSparrow\Core\Progress\SquadLine;
use FleetSparrow\Core\Record\LineReading;
use Illuminate\Support\Facades\DB;

/** Reads a squad's board, line by line: where numbers came in, the lines they are of. */
final class BoardQuery
{
    public function __construct(private readonly RecordQuery $records, private readonly SquadHistory $history)
    {
    }

    /** @param  Closure(LineStory): (array<string, mixed>|null)  $say  what is kept of a player on a line; null for nothing */
    public function of(Squad $squad, SeasonSpan $span, ClubDay $day, Closure $say): Board
    {
        $cells = $this->history->lines($squad)->remember(
            "board.{$span->key()}",
            fn (?array $lineKeys): array => $this->cells($squad, $span, $lineKeys, $say),
        );

        return new Board($span, $this->records->named(array_keys($cells)), $cells, $this->history->rememberAside(
            $squad,
            "came.{$span->key()}",
            fn (): array => $this->attendance($squad, $span, $day),
        ));
    }

    /**
     * @param  list<string>|null  $lineKeys  null for all
     * @param  Closure(LineStory): (array<string, mixed>|null)  $say
     * @return array<string, array<int, array<string, mixed>>> line key → player → what is said
     */
    private function cells(Squad $squad, SeasonSpan $span, ?array $lineKeys, Closure $say): array
    {
        $playerIds = array_values(array_map(intval(...), $squad->players->modelKeys()));
        $this->records->meet($playerIds);
        $byLine = [];
        foreach ($this->records->readings($playerIds, $lineKeys, $span) as $playerId => $own) {
            foreach ($own as $key => $reading) {
                $byLine[$key][$playerId] = $reading;
            }
        }
        $cells = [];
        foreach ($byLine as $key => $readings) {
            $line = SquadLine::of(array_values($readings));
            $name = $this->records->lines()[$key]->drill_name;
            $cells[$key] = array_filter(
                array_map(static fn (LineReading $one): ?array => $say(LineStory::of($key, $name, $one, $line)), $readings),
                static fn (?array $said): bool => $said !== null,
            );
        }

        return $cells;
    }

    /** @return array<int, array{came: int, of: int}> by player */
    private function attendance(Squad $squad, SeasonSpan $span, ClubDay $day): array
    {
        $attendance = [];
        $rows = DB::table('attendances')
            ->join('training_sessions', 'training_sessions.id', '=', 'attendances.training_session_id')
            ->where('training_sessions.squad_id', $squad->id)
            ->whereNotNull('training_sessions.run_finished_at_utc')
            ->where('training_sessions.is_only_tried', false)
            ->whereBetween('training_sessions.starts_at_utc', $day->instants(...$span->days()))
            ->groupBy('attendances.player_id')
            ->selectRaw('attendances.player_id, count(*) as sessions, sum(coming) as came')->get();
        foreach ($rows as $row) {
            $attendance[(int) $row->player_id] = ['came' => (int) $row->came, 'of' => (int) $row->sessions];
        }

        return $attendance;
    }
}
