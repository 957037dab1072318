<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Squad;
use App\Models\TrainingSession;
use App\Planning\SquadBasis;
use App\Planning\SquadHistory;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Clock\Calibration;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Earlier;
use FleetSparrow\Core\Shared\StrongFoot;
use Illuminate\Database\Eloquent\Builder as EloquentBuilder;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;

/** What a plan goes by of a squad: read once, kept until somebody comes or goes, or something is run or written down. */
final class SquadBasisQuery
{
    /** Sessions further back weigh under a hundredth of today's. */
    private const SESSIONS = 40;

    /** A coach's last blocks of each kind that are held against the plan. */
    private const BLOCKS = 40;

    private const LOAD_DAYS = 35;

    public function __construct(private readonly SquadHistory $history)
    {
    }

    /** @param  int|null  $coachId  whose own times the judged parts are stretched by; null for nobody's */
    public function of(Squad $squad, CalendarDate $day, ?int $coachId): SquadBasis
    {
        $kept = $this->history->remember($squad, "basis.{$day->iso()}.{$coachId}", fn (): array => $this->players($squad) + [
            'times' => $this->times($coachId),
            'past' => $this->read($squad, $day),
        ]);

        return new SquadBasis(
            array_map(StrongFoot::from(...), $kept['strongFeet']),
            self::ages($squad, array_keys($kept['strongFeet']), $kept['birthYears']),
            $kept['past']['knownDrills'],
            ClockRules::chosen(
                $squad->clockSeconds(),
                setUp: Calibration::of($kept['times']['set-up']),
                explain: Calibration::of($kept['times']['explain']),
                changeOver: Calibration::of($kept['times']['change']),
            ),
            self::past($kept['past']),
        );
    }

    /** @return array{strongFeet: array<int, string>, birthYears: array<int, int>} by player, in the order of their names */
    private function players(Squad $squad): array
    {
        [$feet, $years] = [[], []];
        foreach ($squad->players()->orderBy('name')->get() as $player) {
            $feet[$player->id] = $player->strong_foot->value;
            if ($player->birth_year !== null) {
                $years[$player->id] = $player->birth_year;
            }
        }

        return ['strongFeet' => $feet, 'birthYears' => $years];
    }

    /**
     * Whose birth year is not known is of the squad's own group.
     *
     * @param  list<int>  $playerIds
     * @param  array<int, int>  $birthYears
     * @return array<int, AgeGroup>
     */
    private static function ages(Squad $squad, array $playerIds, array $birthYears): array
    {
        $own = AgeGroup::tryOf($squad->age_group);

        return $own === null ? [] : $own->ofPlayers($birthYears) + array_fill_keys($playerIds, $own);
    }

    /**
     * How a coach's own times run against the planned ones.
     *
     * @return array{set-up: Calibration, explain: Calibration, change: Calibration}
     */
    public function calibrations(?int $coachId): array
    {
        ['set-up' => $setUp, 'explain' => $explain, 'change' => $change] = $this->times($coachId);

        return ['set-up' => Calibration::of($setUp), 'explain' => Calibration::of($explain), 'change' => Calibration::of($change)];
    }

    /**
     * @return array{set-up: list<array{float, float}>, explain: list<array{float, float}>, change: list<array{float, float}>} planned and
     *     actual seconds
     */
    private function times(?int $coachId): array
    {
        $times = ['set-up' => [], 'explain' => [], 'change' => []];
        $parts = $coachId === null ? [] : DB::table('run_parts')->where('timed_by', $coachId)->where('planned_seconds', '>', 0)
            ->whereIn('part', array_keys($times))->where('actual_seconds', '>', 0)
            ->join('training_sessions', 'training_sessions.id', '=', 'run_parts.training_session_id')
            ->where('is_only_tried', false)
            ->orderByDesc('training_session_id')
            ->orderBy('segment_key')
            ->limit(3 * self::BLOCKS)
            ->get(['part', 'planned_seconds', 'actual_seconds']);
        foreach ($parts as $part) {
            if (isset($times[$part->part]) && count($times[$part->part]) < self::BLOCKS) {
                $times[$part->part][] = [(float) $part->planned_seconds, (float) $part->actual_seconds];
            }
        }

        return $times;
    }

    /**
     * @param  array{groups: array<int, list<list<int>>>, keepers: array<int, int>, servers: array<int, int>, amounts: array<string,
     *     array<int, list<array{int, float}>>>, knownDrills: list<string>}  $kept
     */
    private static function past(array $kept): SeasonPast
    {
        $earlier = static fn (string $what): array => array_map(
            static fn (array $sessions): array => array_map(static fn (array $one): Earlier => new Earlier(...$one), $sessions),
            $kept['amounts'][$what] ?? [],
        );

        return new SeasonPast(
            $kept['groups'],
            $kept['keepers'],
            $kept['servers'],
            headers: $earlier('headers'),
            touches: $earlier('touches'),
            strikes: $earlier('strikes'),
            headingMinutes: $earlier('headingMinutes'),
        );
    }

    /**
     * @return array{groups: array<int, list<list<int>>>, keepers: array<int, int>, servers: array<int, int>, amounts: array<string,
     *     array<int, list<array{int, float}>>>, knownDrills: list<string>} plain, so that it can be kept; of amounts days ago and how
     *     much, by player; known is what was done in the last sessions before that day
     */
    private function read(Squad $squad, CalendarDate $day): array
    {
        [$ago, $daysAgo, $groups, $keepers, $servers, $amounts, $done] = [[], [], [], [], [], [], []];
        foreach ($this->rows($squad, $day) as $row) {
            $session = (int) $row->training_session_id;
            // By the wall clock of the club: an evening in the west is the next day in UTC.
            $days = $daysAgo[$session] ??= CalendarDate::fromIso(
                CarbonImmutable::parse((string) $row->starts_at_utc, 'UTC')->setTimezone((string) $row->time_zone)->format('Y-m-d'),
            )->daysUntil($day);
            if ($days <= 0) {
                continue;
            }
            if ($row->slug !== null) {
                $done[$session][] = (string) $row->slug;

                continue;
            }
            $player = (int) $row->player_id;
            if ($row->block_key !== null) {
                $ago[$session] ??= count($ago) + 1;
                $groups[$ago[$session]]["{$row->block_key} {$row->group_number}"][] = $player;

                continue;
            }
            $keepers[$player] = ($keepers[$player] ?? 0) + (int) $row->keeper_turns;
            $servers[$player] = ($servers[$player] ?? 0) + (int) $row->server_turns;
            if ((float) $row->headers > 0.0) {
                $amounts['headers'][$player][] = [$days, (float) $row->headers];
                $amounts['headingMinutes'][$player][] = [$days, (float) $row->heading_minutes];
            }
            if ($days <= self::LOAD_DAYS) {
                $amounts['touches'][$player][] = [$days, (float) $row->touches];
                $amounts['strikes'][$player][] = [$days, (float) $row->strikes];
            }
        }

        return [
            'groups' => array_map(array_values(...), $groups),
            'keepers' => $keepers,
            'servers' => $servers,
            'amounts' => $amounts,
            'knownDrills' => array_values(array_unique(
                array_merge([], ...array_slice($done, 0, Config::integer('training.known_within_sessions'))),
            )),
        ];
    }

    /**
     * What each player had in each session, who was with whom, and which drills were done, in one reading: the latest session first.
     *
     * @return Collection<int, \stdClass>
     */
    private function rows(Squad $squad, CalendarDate $day): Collection
    {
        $sessions = $squad->trainingSessions()->getQuery()->whereNotNull('run_finished_at_utc')->where('is_only_tried', false)
            ->where('starts_at_utc', '<', $day->plusDays(2)->iso())
            ->when($squad->season_starts_on, fn ($query, $start) => $query->where('starts_at_utc', '>=', $start->format('Y-m-d')))
            ->orderByDesc('starts_at_utc')
            ->limit(self::SESSIONS)
            ->join('clubs', 'clubs.id', '=', 'training_sessions.club_id')
            ->select(['training_sessions.id', 'starts_at_utc', 'time_zone']);
        $atHome = TrainingSession::query()->where('squad_id', $squad->id)->where('is_home', true)
            ->where('starts_at_utc', '>=', $day->plusDays(-self::LOAD_DAYS - 1)->iso())
            ->join('clubs', 'clubs.id', '=', 'training_sessions.club_id')
            ->select(['training_sessions.id', 'starts_at_utc', 'time_zone']);
        $of = ['training_session_id', 'starts_at_utc', 'time_zone'];
        $nothing = '0 as touches, 0 as strikes, 0 as headers, 0 as heading_minutes, 0 as keeper_turns, 0 as server_turns';
        $groups = DB::table('session_groups')->joinSub($sessions, 'past', 'past.id', '=', 'session_groups.training_session_id')
            ->select([...$of, 'player_id'])->selectRaw("{$nothing}, block_key, group_number, null as slug");
        $drills = DB::table('session_blocks')->joinSub($sessions, 'past', 'past.id', '=', 'session_blocks.training_session_id')
            ->where('session_blocks.was_skipped', false)
            ->join('drill_versions', 'drill_versions.id', '=', 'session_blocks.drill_version_id')
            ->select($of)->selectRaw("null as player_id, {$nothing}, null as block_key, null as group_number, slug");
        $loads = static fn (EloquentBuilder $past): Builder => DB::table('session_loads')
            ->joinSub($past, 'past', 'past.id', '=', 'session_loads.training_session_id')
            ->select([...$of, 'player_id', 'touches', 'strikes', 'headers', 'heading_minutes', 'keeper_turns', 'server_turns'])
            ->selectRaw('null as block_key, null as group_number, null as slug');

        return $loads($sessions)
            ->unionAll($loads($atHome))
            ->unionAll($groups)
            ->unionAll($drills)
            ->orderByDesc('starts_at_utc')
            ->orderByDesc('training_session_id')
            ->orderBy('block_key')
            ->orderBy('player_id')
            ->get();
    }
}
