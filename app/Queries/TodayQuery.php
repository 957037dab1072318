<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\HomeEntry;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\Tenancy\ClubDay;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Season\Fade;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Support\Facades\DB;

/** What a coach wants to know before leaving for the pitch. */
final class TodayQuery
{
    public function __construct(private readonly RecordQuery $records)
    {
    }

    public function next(Squad $squad): ?TrainingSession
    {
        return $squad->trainingSessions()->whereNull('run_finished_at_utc')->where('starts_at_utc', '>=', now()->subHours(12))
            ->orderBy('starts_at_utc')->with(['blocks.drillVersion', 'attendances'])->first();
    }

    public function last(Squad $squad): ?TrainingSession
    {
        return $squad->trainingSessions()->whereNotNull('run_finished_at_utc')->orderByDesc('starts_at_utc')->first();
    }

    /**
     * Families that have been worked on before and not for a while, longest first.
     *
     * @return list<array{family: string, lastOn: string, days: int}>
     */
    public function stale(Squad $squad, ClubDay $day): array
    {
        $rows = DB::table('session_blocks')
            ->join('training_sessions', 'training_sessions.id', '=', 'session_blocks.training_session_id')
            ->join('drill_versions', 'drill_versions.id', '=', 'session_blocks.drill_version_id')
            ->where('session_blocks.was_skipped', false)
            ->where('training_sessions.squad_id', $squad->id)->whereNotNull('training_sessions.run_finished_at_utc')
            ->groupBy('drill_versions.family')
            ->selectRaw('drill_versions.family, max(training_sessions.starts_at_utc) as last_at')->get();
        $stale = [];
        foreach ($rows as $row) {
            $lastOn = $day->on(CarbonImmutable::parse((string) $row->last_at, 'UTC'));
            $days = $lastOn->daysUntil($day->today());
            if (Fade::isStale($days)) {
                $stale[] = ['family' => Family::from((string) $row->family)->value, 'lastOn' => $lastOn->iso(), 'days' => $days];
            }
        }
        usort($stale, fn (array $a, array $b): int => $b['days'] <=> $a['days']);

        return $stale;
    }

    /** How much of what was practised at home waits for a coach's word. */
    public function fromHome(Squad $squad): int
    {
        return HomeEntry::query()->whereIn('player_id', $squad->players->modelKeys())->where('state', HomeEntry::WAITING)->count();
    }

    /**
     * Records set on a day: the first mark of a line is a start, not a record.
     *
     * @return list<array{playerId: int, playerName: string, drillName: string, side: string, value: float, unit: string}>
     */
    public function recordsSetOn(Squad $squad, CalendarDate $date): array
    {
        $players = $squad->players->keyBy('id');
        $rows = DB::table('bests')->where('club_id', $squad->club_id)->where('on_day', $date->iso())->where('days', '>', 1)
            ->whereIn('player_id', $players->keys()->all())->orderBy('player_id')->orderBy('line_key')->get();
        $lines = $this->records->named(array_values(array_unique($rows->pluck('line_key')->all())));
        $set = [];
        foreach ($rows as $row) {
            $line = $lines[(string) $row->line_key];
            $set[] = [
                'playerId' => (int) $row->player_id,
                'playerName' => $players->get((int) $row->player_id)->name ?? '',
                'drillName' => $line->drill_name,
                'side' => $line->side->value,
                'value' => (float) $row->value,
                'unit' => $line->kind->unit(),
            ];
        }

        return $set;
    }
}
