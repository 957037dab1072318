<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Club;
use App\Models\Squad;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Builder\Needs;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Support\Facades\DB;

/** What the season so far says a squad needs on a day. */
final class NeedsQuery
{
    /** Sessions whose touches say how the feet are shared lately. */
    private const LATELY_DAYS = 35;

    public function __construct(private readonly LadderQuery $ladders, private readonly DrillBookQuery $book)
    {
    }

    /** @param  list<int>  $playerIds  those coming */
    public function of(Squad $squad, CalendarDate $day, array $playerIds): Needs
    {
        $club = Club::query()->findOrFail($squad->club_id)->day();
        $done = DB::table('session_blocks')
            ->join('training_sessions', 'training_sessions.id', '=', 'session_blocks.training_session_id')
            ->join('drill_versions', 'drill_versions.id', '=', 'session_blocks.drill_version_id')
            ->where('training_sessions.squad_id', $squad->id)
            ->whereNotNull('training_sessions.run_finished_at_utc')
            ->where('training_sessions.is_only_tried', false)
            ->where('training_sessions.starts_at_utc', '<', $club->instant("{$day->iso()}T00:00"))
            ->groupBy('drill_versions.family', 'drill_versions.slug')
            ->selectRaw('drill_versions.family, drill_versions.slug, max(training_sessions.starts_at_utc) as last_at')->get();
        [$families, $drills, $lastTime, $last] = [[], [], [], ''];
        foreach ($done as $row) {
            $ago = $club->on(CarbonImmutable::parse((string) $row->last_at, 'UTC'))->daysUntil($day);
            $families[(string) $row->family] = min($families[(string) $row->family] ?? $ago, $ago);
            $drills[(string) $row->slug] = $ago;
            $last = max($last, (string) $row->last_at);
        }
        foreach ($done as $row) {
            if ((string) $row->last_at === $last) {
                $lastTime[] = (string) $row->slug;
            }
        }

        return new Needs(
            $families,
            $drills,
            $lastTime,
            $this->weakerShare($squad, $day),
            $this->nextRungs($squad, $playerIds),
            $this->records($playerIds),
            // Before the first session nobody keeps count, and nothing is held back.
            $drills === [] ? null : $this->book->index($squad)->movesOf(array_keys($drills)),
        );
    }

    private function weakerShare(Squad $squad, CalendarDate $day): ?float
    {
        $sum = DB::table('session_loads')->join('training_sessions', 'training_sessions.id', '=', 'session_loads.training_session_id')
            ->where('training_sessions.squad_id', $squad->id)
            ->where('training_sessions.starts_at_utc', '<', $day->iso())
            ->where('training_sessions.starts_at_utc', '>=', $day->plusDays(-self::LATELY_DAYS)->iso())
            ->selectRaw('sum(weaker_touches) as weaker, sum(footed_touches) as footed')->first();

        return $sum === null || (float) $sum->footed <= 0.0 ? null : (float) $sum->weaker / (float) $sum->footed;
    }

    /**
     * @param  list<int>  $playerIds
     * @return array<string, int> slug → players for whom it is the next rung
     */
    private function nextRungs(Squad $squad, array $playerIds): array
    {
        $next = [];
        foreach ($this->ladders->ladders($squad) as ['ladder' => $ladder, 'places' => $places]) {
            foreach (array_intersect_key($places, array_flip($playerIds)) as $place) {
                $slug = $place->rung === null ? null : $ladder->rungs[$place->rung]->drill;
                if ($slug !== null) {
                    $next[$slug] = ($next[$slug] ?? 0) + 1;
                }
            }
        }

        return $next;
    }

    /**
     * @param  list<int>  $playerIds
     * @return array<string, int> slug → players with a record to beat
     */
    private function records(array $playerIds): array
    {
        /** @var array<string, int> $records */
        $records = DB::table('bests')
            ->join('record_lines', 'record_lines.line_key', '=', 'bests.line_key')
            ->whereIn('bests.player_id', $playerIds)
            ->groupBy('record_lines.drill_slug')
            ->selectRaw('record_lines.drill_slug, count(distinct bests.player_id) as players')
            ->pluck('players', 'drill_slug')
            ->map(fn (mixed $players): int => (int) $players)
            ->all();

        return $records;
    }
}
