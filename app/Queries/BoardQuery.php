<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Squad;
use App\Planning\SeasonSpan;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Progress\LineStory;
use FleetSparrow\Core\Progress\SquadLine;
use Illuminate\Support\Facades\DB;

/** Reads a squad's board: four queries, whatever the number of players. */
final class BoardQuery
{
    public function __construct(private readonly RecordQuery $records)
    {
    }

    public function of(Squad $squad, SeasonSpan $span, ClubDay $day): Board
    {
        $readings = $this->records->readings(array_values(array_map(intval(...), $squad->players->modelKeys())), span: $span);
        $lines = $this->records->lines();
        $byLine = [];
        foreach ($readings as $own) {
            foreach ($own as $key => $reading) {
                $byLine[$key][] = $reading;
            }
        }
        $squadLines = array_map(SquadLine::of(...), $byLine);
        $stories = [];
        foreach ($readings as $playerId => $own) {
            foreach ($own as $key => $reading) {
                $stories[$playerId][$key] = LineStory::of($key, $lines[$key]->drill_name, $reading, $squadLines[$key]);
            }
        }

        return new Board($span, $lines, $stories, $this->attendance($squad, $span, $day));
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
