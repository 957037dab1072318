<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\TrainingSession;
use FleetSparrow\Core\Run\BlockActual;
use FleetSparrow\Core\Run\PlanAgainstActual;
use FleetSparrow\Core\Run\StretchTime;
use FleetSparrow\Core\Timeline\SegmentKind;
use Illuminate\Support\Facades\DB;

/** How a session that was run went, beside how it was planned. */
final class ActualQuery
{
    /** @return array<string, BlockActual> block key → how it went; empty where the run kept no times */
    public static function of(TrainingSession $session): array
    {
        $rows = DB::table('run_parts')->where('training_session_id', $session->id)->whereNotNull('block_key')
            ->get(['block_key', 'part', 'expected_seconds', 'actual_seconds', 'paused_seconds', 'frozen_seconds']);
        $went = PlanAgainstActual::of(array_values($rows->map(static fn (object $row): StretchTime => new StretchTime(
            blockId: (string) $row->block_key,
            kind: SegmentKind::from((string) $row->part),
            expectedSeconds: (float) $row->expected_seconds,
            actualSeconds: (float) $row->actual_seconds,
            pausedSeconds: (float) $row->paused_seconds,
            frozenSeconds: (float) $row->frozen_seconds,
        ))->all()), self::written($session));
        $inOrder = [];
        foreach ($session->blocks()->orderBy('position')->pluck('block_key') as $key) {
            if (isset($went[$key])) {
                $inOrder[(string) $key] = $went[$key];
            }
        }

        return $inOrder;
    }

    /** @return list<string> blocks whose drill has a number written down in the session */
    private static function written(TrainingSession $session): array
    {
        $drills = DB::table('marks')->where('marks.training_session_id', $session->id)
            ->join('record_lines', 'record_lines.line_key', '=', 'marks.line_key')
            ->leftJoin('club_line_names', fn ($join) => $join->on('club_line_names.line_key', '=', 'marks.line_key')
                ->on('club_line_names.club_id', '=', 'marks.club_id'))
            ->selectRaw('coalesce(club_line_names.drill_slug, record_lines.drill_slug)');

        return array_values(array_map(strval(...), DB::table('session_blocks')->where('training_session_id', $session->id)
            ->join('drill_versions', 'drill_versions.id', '=', 'session_blocks.drill_version_id')
            ->whereIn('drill_versions.slug', $drills)
            ->pluck('block_key')->all()));
    }

    /** @return array<string, array{called: int, hit: int, slow: int}> block key → calls, and how many were answered well or slowly */
    public static function calls(TrainingSession $session): array
    {
        return DB::table('run_calls')->where('training_session_id', $session->id)->groupBy('block_key')
            ->selectRaw("block_key, count(*) as called, sum(answer = 'hit') as hit, sum(answer = 'slow') as slow")->get()
            ->mapWithKeys(static fn (object $row): array => [(string) $row->block_key => [
                'called' => (int) $row->called, 'hit' => (int) $row->hit, 'slow' => (int) $row->slow,
            ]])->all();
    }
}
