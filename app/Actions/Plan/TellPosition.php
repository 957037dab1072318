<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Models\TrainingSession;
use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Where a run stands: one device conducts it, the last that was told to; who has said nothing for a while conducts no more. */
final class TellPosition
{
    /** After so long without a word anybody may conduct: this tool's own value. */
    public const SILENT_SECONDS = 120;

    /**
     * @param  array{device: string, segmentId: string|null, state: string, remainingMs: int, takeOver: bool}  $position
     * @return bool false where another device conducts
     */
    public function tell(TrainingSession $session, array $position, User $by): bool
    {
        return DB::transaction(function () use ($session, $position, $by): bool {
            TrainingSession::query()->whereKey($session->id)->lockForUpdate()->firstOrFail();
            $before = self::of($session);
            if ($before !== null && $before->device !== $position['device'] && ! $position['takeOver']) {
                return false;
            }
            DB::table('run_positions')->upsert([
                'training_session_id' => $session->id,
                'club_id' => $session->club_id,
                'device' => $position['device'],
                'segment_key' => $position['segmentId'],
                'state' => $position['state'],
                'remaining_ms' => $position['remainingMs'],
                'told_at_utc' => self::now()->format('Y-m-d H:i:s.v'),
                'told_by' => $by->id,
            ], 'training_session_id');

            return true;
        }, attempts: 3);
    }

    /** What was told last; null where nobody conducts. */
    public static function of(TrainingSession $session): ?stdClass
    {
        return DB::table('run_positions')->leftJoin('users', 'users.id', '=', 'told_by')->where('training_session_id', $session->id)
            ->where('told_at_utc', '>=', self::now()->subSeconds(self::SILENT_SECONDS)->format('Y-m-d H:i:s.v'))
            ->first(['device', 'segment_key', 'state', 'remaining_ms', 'told_at_utc', 'users.name as by']);
    }

    public static function now(): CarbonImmutable
    {
        return CarbonImmutable::now('UTC');
    }
}
