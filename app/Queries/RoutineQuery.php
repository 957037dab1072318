<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\DrillVersion;
use App\Models\Player;
use App\Planning\DrillShelf;
use App\Planning\SeasonSpan;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Home\HomeNeeds;
use FleetSparrow\Core\Home\HomePlace;
use FleetSparrow\Core\Home\HomeSchool;
use FleetSparrow\Core\Home\Routine;
use FleetSparrow\Core\Progress\FootRatio;
use FleetSparrow\Core\Season\Fade;
use FleetSparrow\Core\Shared\AgeGroup;
use Illuminate\Support\Facades\DB;

/** A week at home for one player, out of what the season says that player needs. */
final class RoutineQuery
{
    public function __construct(
        private readonly PlayerSeasonQuery $seasons,
        private readonly DrillBookQuery $book,
        private readonly DrillShelf $shelf,
    ) {
    }

    public function of(Player $player, HomePlace $place, HomeSchool $school, ClubDay $day): Routine
    {
        $squad = $player->squad;
        $ids = DrillVersion::currentFor($squad)->orderBy('id')->pluck('drill_versions.id')->map(intval(...))->all();
        $drills = [];
        foreach ($this->shelf->drills($squad, array_values($ids)) as $drill) {
            $drills[$drill->slug] = $drill;
        }

        return Routine::of(
            drills: $drills,
            index: $this->book->index($squad),
            place: $place,
            needs: $this->needs($player, $day, $drills),
            school: $school,
            ageGroup: AgeGroup::tryOf($squad->age_group),
        );
    }

    /** @return array{wishes: array<string, mixed>, drills: list<string>, keptOn: string}|null the routine that was kept last */
    public static function kept(Player $player): ?array
    {
        $row = DB::table('home_routines')->where('player_id', $player->id)->first();
        if ($row === null) {
            return null;
        }
        /** @var array<string, mixed> $wishes */
        $wishes = json_decode((string) $row->wishes, true, 4, JSON_THROW_ON_ERROR);
        /** @var list<string> $drills */
        $drills = json_decode((string) $row->drills, true, 4, JSON_THROW_ON_ERROR);

        return ['wishes' => $wishes, 'drills' => $drills, 'keptOn' => (string) $row->kept_on];
    }

    /** @param  array<string, Drill>  $drills */
    private function needs(Player $player, ClubDay $day, array $drills): HomeNeeds
    {
        $season = $this->seasons->of($player, SeasonSpan::current($player->squad, $day->today()), $day);
        [$rungs, $targets, $behind, $stale] = [[], [], [], []];
        foreach ($season->ladders as ['place' => $place, 'drill' => $drill, 'ladder' => $ladder]) {
            $rungs += $place->rung === null ? [] : [$drill => $ladder];
        }
        foreach ($season->lines as $key => $line) {
            $slug = $season->recordLines[$key]->drill_slug;
            $targets += $line->target === null || $line->target->harder !== null ? [] : [$slug => "{$line->target->value} {$line->unit}"];
        }
        foreach (array_filter($season->feet, static fn (FootRatio $one): bool => $one->isBehind()) as $name => $ratio) {
            foreach ($drills as $slug => $drill) {
                $behind += $drill->name === $name ? [$slug => (int) round(100.0 * $ratio->ratio)] : [];
            }
        }
        foreach ($season->touches->lastByFamily() as $family => $on) {
            $ago = $on->daysUntil($day->today());
            $stale += Fade::isStale($ago) ? [$family => $ago] : [];
        }
        $heading = $player->squad->headingLimit();

        return new HomeNeeds(
            rungs: $rungs,
            targets: $targets,
            staleFamilies: $stale,
            behind: $behind,
            lastWeek: self::kept($player)['drills'] ?? [],
            // Where heading is counted at all, none is done where nobody counts it.
            mayHead: $heading !== null && ! $heading->isBarred && $heading->headers === null,
        );
    }
}
