<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\DrillVersion;
use App\Models\Squad;
use App\Planning\DrillShelf;
use App\Planning\KeptRoutine;
use App\Planning\RoutineWishes;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Home\Routine;
use FleetSparrow\Core\Shared\AgeGroup;

/** Weeks at home for some players of a squad, out of what the season says each of them needs. */
final class RoutineQuery
{
    public function __construct(
        private readonly HomeNeedsQuery $needs,
        private readonly KeptRoutineQuery $kept,
        private readonly DrillBookQuery $book,
        private readonly DrillShelf $shelf,
    ) {
    }

    /**
     * @param  list<int>  $playerIds  of the squad
     * @param  array<string, mixed>  $asked  what is wished now; what is not said is as each player's was kept
     * @return array<int, array{routine: Routine, wishes: RoutineWishes, kept: KeptRoutine|null}> by player
     */
    public function of(Squad $squad, array $playerIds, array $asked, ClubDay $day): array
    {
        $kept = $this->kept->of($squad, $playerIds);
        $lastWeek = array_map(static fn (KeptRoutine $one): array => $one->drills(), $kept);
        $needs = $this->needs->of($squad, $playerIds, $day, $lastWeek);
        $drills = [];
        $ids = DrillVersion::currentFor($squad)->orderBy('id')->pluck('drill_versions.id')->map(intval(...))->all();
        foreach ($this->shelf->drills($squad, array_values($ids)) as $drill) {
            $drills[$drill->slug] = $drill;
        }
        [$index, $ageGroup, $made] = [$this->book->index($squad), AgeGroup::tryOf($squad->age_group), []];
        foreach ($needs as $playerId => $need) {
            $own = $kept[$playerId] ?? null;
            $wishes = RoutineWishes::of($asked, $own?->wishes->fields() ?? []);
            $made[$playerId] = ['wishes' => $wishes, 'kept' => $own, 'routine' => Routine::of(
                drills: $drills,
                index: $index,
                place: $wishes->place(),
                needs: $need->chosen($wishes->wanted(), $wishes->unwanted()),
                school: $wishes->school(),
                ageGroup: $ageGroup,
            )];
        }

        return $made;
    }
}
