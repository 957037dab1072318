<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Models\Squad;
use App\Models\TrainingSession;
use App\Planning\SquadHistory;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Support\Facades\DB;

/**
 * A session to hang numbers from paper on: the one that was run that day, or one that is nothing but its numbers. Whoever has a number was
 * there.
 */
final class OpenPaperDay
{
    private const TITLE = 'From paper';

    public function __construct(private readonly SquadHistory $history)
    {
    }

    /**
     * @param  list<int>  $playerIds  of the squad, who have a number
     */
    public function open(Squad $squad, CalendarDate $on, array $playerIds, ClubDay $day): TrainingSession
    {
        return DB::transaction(function () use ($squad, $on, $playerIds, $day): TrainingSession {
            $this->history->hold([$squad->id]);
            $session = $squad->trainingSessions()->getQuery()->whereNotNull('run_finished_at_utc')->where('is_only_tried', false)
                ->where('starts_at_utc', '>=', $day->instant("{$on->iso()}T00:00"))
                ->where('starts_at_utc', '<', $day->instant("{$on->plusDays(1)->iso()}T00:00"))
                ->orderBy('starts_at_utc')->first() ?? $this->made($squad, $on, $day);
            $now = now();
            DB::table('attendances')->upsert(array_map(fn (int $playerId): array => [
                'club_id' => $squad->club_id,
                'training_session_id' => $session->id,
                'player_id' => $playerId,
                'coming' => true,
                'created_at' => $now,
                'updated_at' => $now,
            ], $playerIds), ['training_session_id', 'player_id'], ['coming']);
            $this->history->changed($squad->id);

            return $session;
        });
    }

    /**
     * The highest number of a try that each player has of each line there.
     *
     * @return array<int, array<string, int>> player → line → try
     */
    public function tries(TrainingSession $session): array
    {
        $tries = [];
        $rows = DB::table('marks')->where('training_session_id', $session->id)->groupBy('player_id', 'line_key')
            ->selectRaw('player_id, line_key, max(try_number) as tries')->get();
        foreach ($rows as $row) {
            $tries[(int) $row->player_id][(string) $row->line_key] = (int) $row->tries;
        }

        return $tries;
    }

    private function made(Squad $squad, CalendarDate $on, ClubDay $day): TrainingSession
    {
        $at = $day->instant("{$on->iso()}T18:00");
        $session = new TrainingSession(['squad_id' => $squad->id, 'title' => self::TITLE, 'place' => '', 'slot_minutes' => 60]);
        $session->forceFill(['starts_at_utc' => $at, 'run_started_at_utc' => $at, 'run_finished_at_utc' => $at])->save();
        $now = now();
        DB::table('attendances')->insert($squad->players->map(fn ($player): array => [
            'club_id' => $squad->club_id,
            'training_session_id' => $session->id,
            'player_id' => $player->id,
            'coming' => false,
            'created_at' => $now,
            'updated_at' => $now,
        ])->all());

        return $session;
    }
}
