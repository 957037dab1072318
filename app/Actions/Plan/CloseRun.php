<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Record\LoadColumns;
use App\Actions\Record\ProjectLedger;
use App\Models\Player;
use App\Models\TrainingSession;
use App\Models\User;
use App\Planning\SquadHistory;
use App\Queries\ActualQuery;
use App\Queries\PlanEvaluationQuery;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Organisation\DutyKind;
use FleetSparrow\Core\Run\BlockActual;
use FleetSparrow\Core\Season\SessionLoad;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Timeline\HeadingTime;
use Illuminate\Support\Facades\DB;

/**
 * Keeps when a session was run, and what it leaves behind for the next plans once it is over: who was there, each player's
 * touches, strikes and headers as planned, who was with whom, who was in goal; and how long each stretch took, of which setting up,
 * explaining and changing over teach the coach's own times. All of it or nothing, and only once: said again, it stays the same. The past
 * is not worked out anew.
 *
 * @phpstan-type PartTime array{segmentId: string, part: string, plannedSeconds: float, actualSeconds: float, blockId?: string,
 *     expectedSeconds?: float, pausedSeconds?: float, frozenSeconds?: float}
 */
final class CloseRun
{
    public function __construct(
        private readonly PlanEvaluationQuery $evaluations,
        private readonly SquadHistory $history,
        private readonly ProjectLedger $ledger,
    ) {
    }

    /**
     * @param  list<PartTime>  $parts
     * @param  list<int>|null  $present  players who were there, where that is known; null for those who said they come
     * @param  array<string, list<int>>  $missed  block → players who came and were not at work in it
     * @param  list<array{blockId: string, place: int, answer?: string|null}>  $calls  in the order in which they were made
     */
    public function run(
        TrainingSession $session,
        CarbonImmutable $startedAt,
        ?CarbonImmutable $finishedAt,
        array $parts,
        ?User $by,
        ?array $present = null,
        array $missed = [],
        array $calls = [],
    ): TrainingSession {
        return DB::transaction(function () use (
            $session,
            $startedAt,
            $finishedAt,
            $parts,
            $by,
            $present,
            $missed,
            $calls,
        ): TrainingSession {
            $this->history->hold([$session->squad_id]);
            $session = TrainingSession::query()->whereKey($session->id)->lockForUpdate()->firstOrFail();
            $session->run_started_at_utc ??= $startedAt->utc();
            if ($finishedAt !== null && $session->run_finished_at_utc === null) {
                // Before it counts as over: until then, who said nothing is coming.
                self::keepPresence($session, $present);
                self::keepTimes($session, $parts, $by);
                self::keepCalls($session, $calls);
                self::markSkipped($session);
                try {
                    $planned = $this->evaluations->ofSession($session, $session->club->day()->on($session->starts_at_utc));
                    $this->keep($session, $planned->without($missed));
                } catch (CoreException) {
                    // Nobody came: nothing is left behind.
                }
                $session->run_finished_at_utc = $finishedAt->utc();
            }
            $session->save();
            $this->history->changed($session->squad_id, lineKeys: []);

            return $session;
        }, attempts: 3);
    }

    /** @param  list<int>|null  $present */
    private static function keepPresence(TrainingSession $session, ?array $present): void
    {
        if ($present !== null) {
            $session->attendances()->whereIn('player_id', $present)->update(['coming' => true]);
            $session->attendances()->whereNotIn('player_id', $present)->update(['coming' => false]);
        }
        $coming = $present ?? $session->load('attendances')->comingPlayerIds();
        $rows = [];
        foreach (Player::query()->where('squad_id', $session->squad_id)->pluck('id')->map(intval(...)) as $playerId) {
            $rows[] = [
                'club_id' => $session->club_id,
                'training_session_id' => $session->id,
                'player_id' => $playerId,
                'coming' => in_array($playerId, $coming, true),
                'created_at' => now(),
                'updated_at' => now(),
            ];
        }
        DB::table('attendances')->insertOrIgnore($rows);
    }

    /** @param  list<PartTime>  $parts */
    private static function keepTimes(TrainingSession $session, array $parts, ?User $by): void
    {
        DB::table('run_parts')->insertOrIgnore(array_map(fn (array $part): array => [
            'club_id' => $session->club_id,
            'training_session_id' => $session->id,
            'segment_key' => $part['segmentId'],
            'part' => $part['part'],
            'planned_seconds' => $part['plannedSeconds'],
            'actual_seconds' => $part['actualSeconds'],
            'block_key' => $part['blockId'] ?? null,
            'expected_seconds' => $part['expectedSeconds'] ?? null,
            'paused_seconds' => $part['pausedSeconds'] ?? 0.0,
            'frozen_seconds' => $part['frozenSeconds'] ?? 0.0,
            'timed_by' => $by?->id,
        ], $parts));
    }

    /** @param  list<array{blockId: string, place: int, answer?: string|null}>  $calls */
    private static function keepCalls(TrainingSession $session, array $calls): void
    {
        DB::table('run_calls')->insertOrIgnore(array_map(fn (int $number, array $call): array => [
            'club_id' => $session->club_id,
            'training_session_id' => $session->id,
            'block_key' => $call['blockId'],
            'number' => $number,
            'place' => $call['place'],
            'answer' => $call['answer'] ?? null,
        ], array_keys($calls), $calls));
    }

    /** What was skipped counts as not done: the next plan asks for it again. */
    private static function markSkipped(TrainingSession $session): void
    {
        $skipped = array_keys(array_filter(ActualQuery::of($session), static fn (BlockActual $one): bool => $one->wasSkipped));
        $session->blocks()->whereIn('block_key', $skipped)->update(['was_skipped' => true]);
    }

    private function keep(TrainingSession $session, PlanEvaluation $evaluation): void
    {
        $ids = ['club_id' => $session->club_id, 'training_session_id' => $session->id];
        DB::table('session_loads')->insert(self::loads($session, $evaluation, $ids));
        DB::table('session_groups')->insert(self::groups($evaluation, $ids));
        $this->ledger->keep($session, $evaluation);
    }

    /**
     * @param  array<string, int>  $ids
     * @return list<array<string, mixed>>
     */
    private static function loads(TrainingSession $session, PlanEvaluation $evaluation, array $ids): array
    {
        /** @var array<string, array<int, int>> $duties */
        $duties = [];
        foreach ($evaluation->blocks as $block) {
            foreach ($block->duties as $duty) {
                $kind = $duty->kind->value;
                $duties[$kind][$duty->playerId] = ($duties[$kind][$duty->playerId] ?? 0) + 1;
            }
        }
        $strong = $session->squad->players->pluck('strong_foot', 'id');
        $heading = HeadingTime::of($evaluation->blocks)->minutes;
        $rows = [];
        foreach ($evaluation->touches as $player => $tally) {
            $load = SessionLoad::of($tally, $strong->get($player) ?? StrongFoot::Both, $heading[$player] ?? 0.0);
            $rows[] = $ids + [
                'player_id' => $player,
                'keeper_turns' => $duties[DutyKind::Keeper->value][$player] ?? 0,
                'server_turns' => $duties[DutyKind::Server->value][$player] ?? 0,
            ] + LoadColumns::of($load);
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
                    $rows[] = $ids + ['block_key' => $block->blockId, 'group_number' => $number, 'player_id' => $player];
                }
            }
        }

        return $rows;
    }
}
