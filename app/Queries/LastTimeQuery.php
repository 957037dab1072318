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
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\Mark as CoreMark;
use FleetSparrow\Core\Shared\CalendarDate;
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
        $marks = Mark::query()
            ->tap(Mark::standing(...))
            ->where('training_session_id', $session->id)
            ->whereIn('line_key', $lines->keys()->all())
            ->toBase()
            ->get(['player_id', 'line_key', 'try_number', 'value', 'is_void', 'is_disputed', 'marked_on']);
        $read = [];
        foreach ($marks as $mark) {
            $read["{$mark->player_id} {$mark->line_key}"][] = new CoreMark(
                CalendarDate::fromIso((string) $mark->marked_on),
                (float) $mark->value,
                (bool) $mark->is_void,
                (bool) $mark->is_disputed,
                (string) $mark->try_number,
            );
        }
        $numbers = [];
        foreach ($read as $key => $ofPlayer) {
            [$playerId, $lineKey] = explode(' ', $key);
            $line = $lines->get($lineKey);
            if ($line === null) {
                continue;
            }
            $best = LineReading::of($line->kind, $ofPlayer)->lastDay()?->best;
            if ($best !== null) {
                $numbers[] = [
                    'playerId' => (int) $playerId,
                    'side' => $line->side->value,
                    'value' => $best,
                    'unit' => $line->kind->unit(),
                ];
            }
        }

        return $numbers;
    }
}
