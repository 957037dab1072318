<?php

declare(strict_types=1);

namespace App\Actions\Home;

use App\Actions\Record\OpenRecordLines;
use App\Models\DrillVersion;
use App\Models\Squad;
use App\Models\User;
use App\Planning\RoutineWishes;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Home\Routine;
use FleetSparrow\Core\Home\RoutineDay;
use FleetSparrow\Core\Home\RoutineItem;
use Illuminate\Support\Facades\DB;

/** Keeps weeks at home as they were proposed, so that the sheet, the player's page and the coach see the same. */
final class KeepRoutines
{
    public function __construct(private readonly OpenRecordLines $lines)
    {
    }

    /** @param  array<int, array{routine: Routine, wishes: RoutineWishes}>  $made  by player of the squad */
    public function keep(Squad $squad, array $made, User $by, ClubDay $day): void
    {
        DB::transaction(function () use ($squad, $made, $by, $day): void {
            $versions = DrillVersion::currentFor($squad)->pluck('drill_versions.id', 'drill_versions.slug')
                ->map(static fn (mixed $id): int => (int) $id)->all();
            [$rows, $opened] = [[], []];
            foreach ($made as $playerId => ['routine' => $routine, 'wishes' => $wishes]) {
                $rows[] = [
                    'player_id' => $playerId,
                    'club_id' => $squad->club_id,
                    'wishes' => json_encode($wishes->fields(), JSON_THROW_ON_ERROR),
                    'week' => json_encode(
                        array_map(static fn (RoutineDay $one): array => self::day($one, $versions), $routine->days),
                        JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION,
                    ),
                    'kept_on' => $day->today()->iso(),
                    'kept_by' => $by->id,
                ];
                foreach (array_merge([], ...array_map(static fn (RoutineDay $one): array => $one->items, $routine->days)) as $item) {
                    $task = json_encode([$item->drill->slug, $item->links, $item->dose->fields()], JSON_THROW_ON_ERROR);
                    if (! isset($opened[$task])) {
                        $this->lines->open($item->block(), $squad->ballSize());
                        $opened[$task] = true;
                    }
                }
            }
            DB::table('home_routines')->upsert($rows, ['player_id'], ['wishes', 'week', 'kept_on', 'kept_by']);
        });
    }

    /**
     * @param  array<string, int>  $versions  by slug
     * @return array<string, mixed>
     */
    private static function day(RoutineDay $day, array $versions): array
    {
        return [
            'number' => $day->number,
            'isOtherFoot' => $day->isOtherFoot,
            'minutes' => $day->minutes,
            'items' => array_map(static fn (RoutineItem $item): array => [
                'version' => $versions[$item->drill->slug],
                'links' => $item->links,
                'dose' => $item->dose->fields(),
                'minutes' => $item->minutes,
                'reasons' => $item->reasons,
                'target' => $item->target,
            ], $day->items),
        ];
    }
}
