<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\DrillVersion;
use App\Models\Squad;
use App\Planning\SeasonSpan;
use App\Tenancy\ClubDay;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Builder\Fortnight;
use FleetSparrow\Core\Builder\FortnightNeed;
use FleetSparrow\Core\Caution\LoadJump;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Season\FamilyCoverage;
use FleetSparrow\Core\Season\FootTouches;
use FleetSparrow\Core\Season\Overrun;
use FleetSparrow\Core\Season\PlayedFamily;
use FleetSparrow\Core\Season\SeasonWeek;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Earlier;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;

/** Reads a squad's season: weeks by families by feet, load, plan against actual, and what the next fortnight needs. */
final class SquadSeasonQuery
{
    /** Load looks back so many days. */
    private const LOAD_DAYS = 35;

    public function __construct(private readonly NeedsQuery $needs, private readonly SquadBasisQuery $bases)
    {
    }

    /** @param  int|null  $coachId  whose own times are shown */
    public function of(Squad $squad, SeasonSpan $span, ClubDay $day, ?int $coachId): SquadSeason
    {
        $played = $this->played($squad, $span);
        $families = FamilyCoverage::all($played, $span->from, $span->until, $day->weekStartsOn);
        $load = $this->load($squad, $span, $day);

        return new SquadSeason(
            span: $span,
            played: $played,
            families: $families,
            marks: $this->marks($squad, $span, $day),
            load: $load,
            times: $this->bases->calibrations($coachId),
            overruns: $this->overruns($squad, $span, $day),
            needs: $span->id === null ? $this->fortnight($squad, $span, $families, $load['touches']) : [],
        );
    }

    /** @return list<PlayedFamily> for one player on average, by session; what was skipped and what was only tried is not there */
    public function played(Squad $squad, SeasonSpan $span): array
    {
        $came = $this->entries($squad, $span)->groupBy('training_session_id')
            ->selectRaw('training_session_id, count(distinct player_id) as players')->pluck('players', 'training_session_id');
        $all = static fn (string $foot): string => "sum(estimated_{$foot} + counted_{$foot})";
        [$left, $right] = ['estimated_left + counted_left', 'estimated_right + counted_right'];
        $feet = "sum(case players.strong_foot when 'R' then {$left} when 'L' then {$right} end)";
        $footed = "sum(case when players.strong_foot <> 'both' then {$left} + {$right} end)";
        $rows = $this->entries($squad, $span)->groupBy('training_session_id', 'on_day', 'family', 'is_home')->orderBy('on_day')
            ->selectRaw('training_session_id, on_day, family, is_home, sum(ball_seconds) as seconds')
            ->selectRaw("{$all('left')} as feet_left, {$all('right')} as feet_right, {$all('unknown')} as feet_unknown")
            ->selectRaw("{$all('other')} as feet_other, {$feet} as weaker, {$footed} as footed")
            ->get();

        $squadSize = $squad->players->count();

        return array_values($rows->map(static function (object $row) use ($came, $squadSize): PlayedFamily {
            // At home some practise and others do not: shared out over the whole squad.
            $players = max(1, (bool) $row->is_home ? $squadSize : (int) $came[$row->training_session_id]);

            return new PlayedFamily(
                session: (int) $row->training_session_id,
                on: CalendarDate::fromIso((string) $row->on_day),
                family: (string) $row->family,
                workMinutes: (float) $row->seconds / 60.0 / $players,
                touches: (new FootTouches(
                    (float) $row->feet_left,
                    (float) $row->feet_right,
                    (float) $row->feet_unknown,
                    (float) $row->feet_other,
                ))->times(1.0 / $players),
                weaker: (float) $row->weaker / $players,
                footed: (float) $row->footed / $players,
                isHome: (bool) $row->is_home,
            );
        })->all());
    }

    private function entries(Squad $squad, SeasonSpan $span): Builder
    {
        return DB::table('ledger_entries')
            ->join('training_sessions', 'training_sessions.id', '=', 'ledger_entries.training_session_id')
            ->join('players', 'players.id', '=', 'ledger_entries.player_id')
            ->where('training_sessions.squad_id', $squad->id)
            ->where('training_sessions.is_only_tried', false)
            ->whereBetween('on_day', $span->days());
    }

    /** @return array<string, array<int, int>> family → week → tries */
    private function marks(Squad $squad, SeasonSpan $span, ClubDay $day): array
    {
        $marks = [];
        $rows = DB::table('line_days')->join('record_lines', 'record_lines.line_key', '=', 'line_days.line_key')
            ->whereIn('player_id', DB::table('players')->where('squad_id', $squad->id)->select('id'))
            ->whereBetween('on_day', $span->days())
            ->groupBy('record_lines.family', 'on_day')
            ->selectRaw('record_lines.family, on_day, sum(tries) as tries')->get();
        foreach ($rows as $row) {
            $week = SeasonWeek::number($span->from, CalendarDate::fromIso((string) $row->on_day), $day->weekStartsOn) ?? 1;
            $marks[(string) $row->family][$week] = ($marks[(string) $row->family][$week] ?? 0) + (int) $row->tries;
        }

        return $marks;
    }

    /** @return array{touches: float|null, strikes: float|null} */
    private function load(Squad $squad, SeasonSpan $span, ClubDay $day): array
    {
        $rows = DB::table('session_loads')
            ->join('training_sessions', 'training_sessions.id', '=', 'session_loads.training_session_id')
            ->where('training_sessions.squad_id', $squad->id)
            ->where('training_sessions.is_only_tried', false)
            ->whereBetween('training_sessions.starts_at_utc', [
                $day->instant("{$span->until->plusDays(-self::LOAD_DAYS)->iso()}T00:00"),
                $day->instant("{$span->until->plusDays(1)->iso()}T00:00"),
            ])
            ->groupBy('training_sessions.id', 'training_sessions.starts_at_utc', 'training_sessions.is_home')
            ->selectRaw('training_sessions.starts_at_utc')
            // At home some practise and others do not: shared out over the whole squad.
            ->selectRaw('sum(touches) / if(is_home, ?, count(*)) as touches, sum(strikes) / if(is_home, ?, count(*)) as strikes', [
                max(1, $squad->players->count()),
                max(1, $squad->players->count()),
            ])->get();
        $earlier = static fn (string $what): array => array_values($rows->map(static fn (object $row): Earlier => new Earlier(
            $day->on(CarbonImmutable::parse((string) $row->starts_at_utc, 'UTC'))->daysUntil($span->until),
            (float) $row->{$what},
        ))->all());

        return ['touches' => LoadJump::ratio(0.0, $earlier('touches')), 'strikes' => LoadJump::ratio(0.0, $earlier('strikes'))];
    }

    /**
     * What took longer than planned, the most often first.
     *
     * @return list<Overrun>
     */
    private function overruns(Squad $squad, SeasonSpan $span, ClubDay $day): array
    {
        $blocks = DB::table('run_parts')
            ->join('training_sessions', 'training_sessions.id', '=', 'run_parts.training_session_id')
            ->join('session_blocks', fn ($join) => $join->on('session_blocks.training_session_id', '=', 'run_parts.training_session_id')
                ->on('session_blocks.block_key', '=', 'run_parts.block_key'))
            ->join('drill_versions', 'drill_versions.id', '=', 'session_blocks.drill_version_id')
            ->where('training_sessions.squad_id', $squad->id)
            ->where('training_sessions.is_only_tried', false)
            ->where('session_blocks.was_skipped', false)
            ->whereBetween('training_sessions.starts_at_utc', $day->instants(...$span->days()))
            ->groupBy('run_parts.training_session_id', 'run_parts.block_key', 'drill_versions.slug')
            ->selectRaw('drill_versions.slug, max(drill_versions.name) as name')
            ->selectRaw('sum(expected_seconds) as expected, sum(actual_seconds) as actual');
        $rows = DB::query()->fromSub($blocks, 'blocks')->where('expected', '>', 0)->groupBy('slug')
            ->selectRaw('slug, max(name) as name, count(*) as blocks, avg(actual - expected) as seconds')
            ->selectRaw('sum(actual > expected * ?) as overran', [Overrun::FROM])
            ->having('overran', '>', 0)->orderByRaw('sum(actual > expected * ?) / count(*) desc, slug', [Overrun::FROM])->limit(4)->get();

        return array_values($rows->map(static fn (object $row): Overrun => new Overrun(
            (string) $row->slug,
            (string) $row->name,
            (int) $row->overran,
            (int) $row->blocks,
            round((float) $row->seconds / 60.0, 1),
        ))->all());
    }

    /**
     * @param  array<string, FamilyCoverage>  $families
     * @return list<FortnightNeed>
     */
    private function fortnight(Squad $squad, SeasonSpan $span, array $families, ?float $load): array
    {
        $needs = $this->needs->of($squad, $span->until, array_values(array_map(intval(...), $squad->players->modelKeys())));
        $slugs = array_unique([...array_keys($needs->stuck), ...array_keys($needs->nextFor), ...array_keys($needs->records)]);
        $drills = [];
        $versions = DrillVersion::openTo($squad)->where('is_current', true)->whereIn('slug', $slugs)->toBase();
        foreach ($versions->get(['slug', 'name', 'family']) as $row) {
            $drills[(string) $row->slug] = ['name' => (string) $row->name, 'family' => Family::from((string) $row->family)];
        }

        return Fortnight::of($families, $needs, $drills, $load);
    }
}
