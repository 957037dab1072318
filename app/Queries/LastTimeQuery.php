<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Attendance;
use App\Models\Mark;
use App\Models\RecordLine;
use App\Models\SessionBlock;
use App\Models\Squad;
use App\Models\TrainingSession;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Record\Better;
use Illuminate\Support\Facades\DB;

/** What was done of a drill when the squad last did it: when, how much, by whom, and what the numbers were. */
final class LastTimeQuery
{
    /**
     * @return array{session: TrainingSession, block: SessionBlock, players: int, numbers: list<array{playerId: int, side: string,
     *     value: float, unit: string}>}|null null when it was never done
     */
    public function of(Squad $squad, string $slug, CarbonImmutable $before): ?array
    {
        $session = $squad->trainingSessions()->whereNotNull('run_finished_at_utc')->where('starts_at_utc', '<', $before)
            ->whereHas('blocks.drillVersion', fn ($query) => $query->where('slug', $slug))
            ->orderByDesc('starts_at_utc')
            ->with('blocks.drillVersion')
            ->first();
        $block = $session?->blocks->first(fn (SessionBlock $one): bool => $one->drillVersion?->slug === $slug);
        if ($session === null || $block === null) {
            return null;
        }

        return [
            'session' => $session,
            'block' => $block,
            'players' => Attendance::query()->where('training_session_id', $session->id)->where('coming', true)->count(),
            'numbers' => $this->numbers($session, $slug),
        ];
    }

    /** @return list<array{playerId: int, side: string, value: float, unit: string}> the best of each player and side that day */
    private function numbers(TrainingSession $session, string $slug): array
    {
        $own = DB::table('club_line_names')->where('club_id', $session->club_id)->where('drill_slug', $slug)->pluck('line_key')->all();
        $lines = RecordLine::query()
            ->where(fn ($query) => $query->where('drill_slug', $slug)->orWhereIn('line_key', $own))
            ->get()
            ->keyBy('line_key');
        $best = [];
        $marks = Mark::query()
            ->tap(Mark::standing(...))
            ->where('training_session_id', $session->id)
            ->whereIn('line_key', $lines->keys()->all())
            ->where('is_void', false)
            ->orderBy('recorded_at_utc')
            ->get(['player_id', 'line_key', 'value']);
        foreach ($marks as $mark) {
            $line = $lines->get($mark->line_key);
            if ($line === null) {
                continue;
            }
            $key = "{$mark->player_id} {$line->side->value}";
            $value = (float) $mark->value;
            $before = $best[$key]['value'] ?? null;
            $isBetter = $before === null || ($line->kind->better() === Better::Lower ? $value < $before : $value > $before);
            if ($isBetter) {
                $best[$key] = [
                    'playerId' => (int) $mark->player_id,
                    'side' => $line->side->value,
                    'value' => $value,
                    'unit' => $line->kind->unit(),
                ];
            }
        }

        return array_values($best);
    }
}
