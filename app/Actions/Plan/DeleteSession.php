<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Record\ProjectMarks;
use App\Actions\StaleVersion;
use App\Auth\AuditTrail;
use App\Models\Player;
use App\Models\TrainingSession;
use App\Models\User;
use App\Planning\SquadHistory;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Takes a session away with everything that hangs on it, which whoever does it has been told. */
final class DeleteSession
{
    public function __construct(
        private readonly ProjectMarks $projection,
        private readonly SquadHistory $history,
        private readonly AuditTrail $trail,
    ) {
    }

    /**
     * @return array{marks: int, players: int, wasRun: bool, hasRecap: bool} numbers of how many players, and what else goes with it
     */
    public function hangsOn(TrainingSession $session): array
    {
        $marks = DB::table('marks')->where('club_id', $session->club_id)->where('training_session_id', $session->id);

        return [
            'marks' => (clone $marks)->count(),
            'players' => $marks->distinct()->count('player_id'),
            'wasRun' => $session->run_finished_at_utc !== null,
            'hasRecap' => $session->recap_answers !== '' || $session->recap_how_hard !== null,
        ];
    }

    /**
     * @param  int  $version  of the plan that was looked at
     * @param  int  $marks  as many numbers as were said to go with it
     *
     * @throws StaleVersion
     */
    public function delete(TrainingSession $session, int $version, int $marks, User $by): void
    {
        DB::transaction(function () use ($session, $version, $marks, $by): void {
            $this->history->hold([$session->squad_id]);
            // As a batch of marks does: what is worked out from the marks rests on all of them.
            $players = DB::table('marks')
                ->where('training_session_id', $session->id)
                ->distinct()
                ->pluck('player_id')
                ->map(intval(...))
                ->all();
            Player::query()->whereKey($players)->orderBy('id')->lockForUpdate()->get(['id']);
            $session = TrainingSession::query()->whereKey($session->id)->lockForUpdate()->firstOrFail();
            StaleVersion::refuse('session', $version, $session->version);
            $there = DB::table('marks')->where('training_session_id', $session->id)->count();
            if ($there !== $marks) {
                throw ValidationException::withMessages(
                    ['marks' => "There are {$there} numbers by now. Look again before you delete them."],
                );
            }
            $lines = array_values(
                array_map(
                    strval(...),
                    DB::table('marks')->where('training_session_id', $session->id)->distinct()->pluck('line_key')->all(),
                ),
            );
            $day = $session->club->day()->on($session->starts_at_utc)->iso();
            $this->trail->noteOf(
                $by,
                'session.deleted',
                "{$session->title}, {$day}",
                $session->squad_id,
                $marks === 0 ? [] : ['numbers' => [$marks, 0]],
            );
            $session->delete();
            $this->projection->of(array_values($players), $lines);
            $this->history->changed($session->squad_id);
        }, attempts: 3);
    }
}
