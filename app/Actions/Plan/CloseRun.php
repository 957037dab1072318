<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Models\TrainingSession;
use App\Models\User;
use FleetSparrow\Core\Plan\PlanEvaluation;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Purpose;
use FleetSparrow\Core\Touch\Surface;
use Illuminate\Support\Facades\DB;

/**
 * Keeps what a session that was run leaves behind for the next plans: each player's touches, strikes and headers as planned, who
 * was with whom, who was in goal; and how long the coach took to set up, explain and change over. Said twice, it stays the same.
 */
final class CloseRun
{
    public function keep(TrainingSession $session, PlanEvaluation $evaluation): void
    {
        $ids = ['club_id' => $session->club_id, 'training_session_id' => $session->id];
        DB::transaction(function () use ($session, $evaluation, $ids): void {
            DB::table('session_loads')->where('training_session_id', $session->id)->delete();
            DB::table('session_groups')->where('training_session_id', $session->id)->delete();
            DB::table('session_loads')->insert(self::loads($session, $evaluation, $ids));
            DB::table('session_groups')->insert(self::groups($evaluation, $ids));
        });
    }

    /** @param  list<array{segmentId: string, part: string, plannedSeconds: float, actualSeconds: float}>  $parts */
    public function keepTimes(TrainingSession $session, array $parts, ?User $by): void
    {
        DB::table('run_parts')->insertOrIgnore(array_map(fn (array $part): array => [
            'club_id' => $session->club_id,
            'training_session_id' => $session->id,
            'segment_key' => $part['segmentId'],
            'part' => $part['part'],
            'planned_seconds' => $part['plannedSeconds'],
            'actual_seconds' => $part['actualSeconds'],
            'timed_by' => $by?->id,
        ], $parts));
    }

    /**
     * @param  array<string, int>  $ids
     * @return list<array<string, mixed>>
     */
    private static function loads(TrainingSession $session, PlanEvaluation $evaluation, array $ids): array
    {
        $duties = ['keeper' => [], 'server' => [], 'counts' => []];
        foreach ($evaluation->blocks as $block) {
            foreach ($block->duties as $duty) {
                $duties[$duty->kind][$duty->playerId] = ($duties[$duty->kind][$duty->playerId] ?? 0) + 1;
            }
        }
        $strong = $session->squad->players->pluck('strong_foot', 'id');
        $rows = [];
        foreach ($evaluation->touches as $player => $tally) {
            $foot = $strong->get((int) $player);
            $weaker = match ($foot) {
                StrongFoot::Right => FootMark::Left,
                StrongFoot::Left => FootMark::Right,
                default => null,
            };
            $rows[] = $ids + [
                'player_id' => (int) $player,
                'touches' => round($tally->contacts(), 1),
                'footed_touches' => $weaker === null ? 0.0 : round($tally->contactsOf(FootMark::Left) + $tally->contactsOf(FootMark::Right), 1),
                'weaker_touches' => $weaker === null ? 0.0 : round($tally->contactsOf($weaker), 1),
                'strikes' => round($tally->contactsFor(Purpose::Shot), 1),
                'headers' => round($tally->contactsWith(Surface::Head), 1),
                'keeper_turns' => $duties['keeper'][$player] ?? 0,
                'server_turns' => $duties['server'][$player] ?? 0,
            ];
        }

        return $rows;
    }

    /**
     * @param  array<string, int>  $ids
     * @return list<array<string, mixed>>
     */
    private static function groups(PlanEvaluation $evaluation, array $ids): array
    {
        $rows = [];
        foreach ($evaluation->blocks as $block) {
            foreach ($block->groups as $number => $group) {
                foreach ($group->meeting() as $player) {
                    $rows[] = $ids + ['block_key' => $block->blockId, 'group_number' => $number, 'player_id' => (int) $player];
                }
            }
        }

        return $rows;
    }
}
