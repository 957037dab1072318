<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Club;
use App\Models\Squad;
use App\Planning\SeasonSpan;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Builder\Needs;
use FleetSparrow\Core\Builder\Noted;
use FleetSparrow\Core\Progress\FootRatio;
use FleetSparrow\Core\Progress\Standstill;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Support\Facades\DB;

/** What the season so far says a squad needs on a day. */
final class NeedsQuery
{
    /** Sessions whose touches say how the feet are shared lately. */
    private const LATELY_DAYS = 35;

    public function __construct(
        private readonly LadderQuery $ladders,
        private readonly DrillBookQuery $book,
        private readonly RecordQuery $records,
    ) {
    }

    /** @param  list<int>  $playerIds  those coming */
    public function of(Squad $squad, CalendarDate $day, array $playerIds): Needs
    {
        $club = Club::query()->findOrFail($squad->club_id)->day();
        $done = DB::table('session_blocks')
            ->join('training_sessions', 'training_sessions.id', '=', 'session_blocks.training_session_id')
            ->join('drill_versions', 'drill_versions.id', '=', 'session_blocks.drill_version_id')
            ->where('session_blocks.was_skipped', false)
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

        $next = $this->nextRungs($squad, $playerIds);
        ['stuck' => $stuck, 'behind' => $behind] = $this->standing($squad, $playerIds, SeasonSpan::current($squad, $day));

        return new Needs(
            familyDaysAgo: $families,
            drillDaysAgo: $drills,
            lastTime: $lastTime,
            weakerShare: $this->weakerShare($squad, $day),
            nextRungs: array_map(count(...), $next),
            records: $this->records($playerIds),
            // Before the first session nobody keeps count, and nothing is held back.
            movesMet: $drills === [] ? null : $this->book->index($squad)->movesOf(array_keys($drills)),
            nextFor: $next,
            stuck: $stuck,
            behind: $behind,
            sessions: $squad->trainingSessions()->whereNotNull('run_finished_at_utc')->where('is_only_tried', false)
                ->where('starts_at_utc', '<', $club->instant("{$day->iso()}T00:00"))->count(),
        );
    }

    /**
     * Who stands still on a line, and whose other foot is behind on twin lines.
     *
     * @param  list<int>  $playerIds
     * @return array{stuck: array<string, list<Noted>>, behind: array<string, list<Noted>>} by drill, the longest first, the furthest first
     */
    private function standing(Squad $squad, array $playerIds, SeasonSpan $span): array
    {
        $readings = $this->records->readings($playerIds, span: $span);
        $lines = $this->records->lines();
        [$stuck, $behind] = [[], []];
        foreach ($squad->players->whereIn('id', $playerIds) as $player) {
            $own = $readings[$player->id] ?? [];
            foreach ($own as $key => $reading) {
                $still = Standstill::of($reading);
                if ($still !== null) {
                    $stuck[$lines[$key]->drill_slug][] = new Noted($player->name, $still->value, $still->since);
                }
            }
            foreach (RecordQuery::twins($player->strong_foot, array_intersect_key($lines, $own)) as $twins) {
                $ratio = FootRatio::of($own[$twins['strong']], $own[$twins['other']]);
                if ($ratio?->isBehind() === true) {
                    $behind[$lines[$twins['other']]->drill_slug][] = new Noted($player->name, 100.0 * $ratio->ratio);
                }
            }
        }
        $longest = static fn (Noted $a, Noted $b): int => ($a->since?->iso() ?? '') <=> ($b->since?->iso() ?? '');
        $furthest = static fn (Noted $a, Noted $b): int => $a->value <=> $b->value;

        return ['stuck' => self::sorted($stuck, $longest), 'behind' => self::sorted($behind, $furthest)];
    }

    /**
     * One word for each player.
     *
     * @param  array<string, list<Noted>>  $noted
     * @param  callable(Noted, Noted): int  $order
     * @return array<string, list<Noted>>
     */
    private static function sorted(array $noted, callable $order): array
    {
        return array_map(static function (array $some) use ($order): array {
            usort($some, $order);
            $named = [];
            foreach ($some as $one) {
                $named[$one->name] ??= $one;
            }

            return array_values($named);
        }, $noted);
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
     * @return array<string, list<string>> slug → names of those for whom it is the next rung
     */
    private function nextRungs(Squad $squad, array $playerIds): array
    {
        $next = [];
        $names = $squad->players->pluck('name', 'id');
        foreach ($this->ladders->ladders($squad) as ['ladder' => $ladder, 'places' => $places]) {
            foreach (array_intersect_key($places, array_flip($playerIds)) as $playerId => $place) {
                $slug = $place->rung === null ? null : $ladder->rungs[$place->rung]->drill;
                if ($slug !== null) {
                    $next[$slug][] = (string) $names[$playerId];
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
