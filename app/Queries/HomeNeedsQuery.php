<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Player;
use App\Models\RecordLine;
use App\Models\Squad;
use App\Planning\SeasonSpan;
use App\Planning\SquadAims;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Home\HomeNeeds;
use FleetSparrow\Core\Progress\FootRatio;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\Target;
use FleetSparrow\Core\Season\Fade;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Support\Facades\DB;

/** What players need at home, as the season says: one reading for however many of a squad. */
final class HomeNeedsQuery
{
    public function __construct(
        private readonly RecordQuery $records,
        private readonly SquadAims $aims,
        private readonly LadderQuery $ladders,
    ) {
    }

    /**
     * @param  list<int>  $playerIds  of the squad
     * @param  array<int, list<string>>  $lastWeek  player → drills of the week that was kept last
     * @return array<int, HomeNeeds> by player
     */
    public function of(Squad $squad, array $playerIds, ClubDay $day, array $lastWeek): array
    {
        $readings = $this->records->readings($playerIds, span: SeasonSpan::current($squad, $day->today()));
        $lines = $this->records->lines();
        $aims = $this->aims->of($squad, $lines);
        $rungs = $this->rungs($squad, array_values($squad->players->whereIn('id', $playerIds)->all()));
        $stale = $this->staleFamilies($playerIds, $day->today());
        $heading = $squad->headingLimit();
        // Where heading is counted at all, none is done where nobody counts it.
        $mayHead = $heading !== null && ! $heading->isBarred && $heading->headers === null;
        $needs = [];
        foreach ($squad->players->whereIn('id', $playerIds) as $player) {
            $own = $readings[$player->id] ?? [];
            $targets = [];
            foreach ($own as $key => $reading) {
                $target = Target::of($reading, $aims[$key]);
                $targets += $target === null || $target->harder !== null
                    ? []
                    : [$lines[$key]->drill_slug => "{$target->value} {$lines[$key]->kind->unit()}"];
            }
            $needs[$player->id] = new HomeNeeds(
                rungs: $rungs[$player->id] ?? [],
                targets: $targets,
                staleFamilies: $stale[$player->id] ?? [],
                behind: self::behind($player, $own, $lines),
                lastWeek: $lastWeek[$player->id] ?? [],
                mayHead: $mayHead,
            );
        }

        return $needs;
    }

    /**
     * @param  array<string, LineReading>  $readings
     * @param  array<string, RecordLine>  $lines
     * @return array<string, int> slug → hundredths of the strong foot
     */
    private static function behind(Player $player, array $readings, array $lines): array
    {
        $behind = [];
        foreach (RecordQuery::twins($player->strong_foot, array_intersect_key($lines, $readings)) as $twins) {
            $ratio = FootRatio::of($readings[$twins['strong']], $readings[$twins['other']]);
            if ($ratio?->isBehind() === true) {
                $behind[$lines[$twins['other']]->drill_slug] = (int) round(100.0 * $ratio->ratio);
            }
        }

        return $behind;
    }

    /**
     * @param  list<Player>  $players
     * @return array<int, array<string, string>> player → drill of the rung → ladder
     */
    private function rungs(Squad $squad, array $players): array
    {
        $rungs = [];
        foreach ($this->ladders->ladders($squad, $players) as ['ladder' => $ladder, 'places' => $places]) {
            foreach ($places as $player => $place) {
                if ($place->rung !== null && $place->advice !== 'begin') {
                    $rungs[$player] = ($rungs[$player] ?? []) + [$ladder->rungs[$place->rung]->drill => $ladder->name];
                }
            }
        }

        return $rungs;
    }

    /**
     * @param  list<int>  $playerIds
     * @return array<int, array<string, int>> player → family → days it was not met
     */
    private function staleFamilies(array $playerIds, CalendarDate $today): array
    {
        $stale = [];
        $rows = DB::table('ledger_entries')
            ->join('training_sessions', 'training_sessions.id', '=', 'ledger_entries.training_session_id')
            ->whereIn('ledger_entries.player_id', $playerIds)->where('training_sessions.is_only_tried', false)
            ->groupBy('ledger_entries.player_id', 'ledger_entries.family')
            ->selectRaw('ledger_entries.player_id, ledger_entries.family, max(ledger_entries.on_day) as last_on')->get();
        foreach ($rows as $row) {
            $ago = CalendarDate::fromIso((string) $row->last_on)->daysUntil($today);
            if (Fade::isStale($ago)) {
                $stale[(int) $row->player_id][(string) $row->family] = $ago;
            }
        }

        return $stale;
    }
}
