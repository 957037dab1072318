<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\DrillVersion;
use App\Models\Squad;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Support\Facades\Cache;
use stdClass;

/** The drills of a plan, kept built between previews: what a version says never changes, only new code reads it otherwise. */
final class DrillShelf
{
    private const KEEP_SECONDS = 3600;

    /**
     * @param  list<int>  $versionIds
     * @return array<int, Drill> by version; nothing for one that there is not, or that the squad may not see
     *
     * @throws CoreException If a drill cannot be read.
     */
    public function drills(Squad $squad, array $versionIds): array
    {
        $versions = DrillVersion::query()
            ->leftJoin('own_drills', 'own_drills.id', '=', 'drill_versions.own_drill_id')
            ->whereKey($versionIds)
            ->orderBy('drill_versions.id')
            ->toBase()
            ->get(['drill_versions.id', 'content_hash', 'content', 'own_drill_id', 'own_drills.squad_id', 'is_shared']);
        $isPlain = static fn (stdClass $one): bool => $one->own_drill_id === null
            || $one->squad_id === $squad->id
            || (bool) $one->is_shared;
        if (! $versions->every($isPlain)) {
            // Of another squad's own the database knows which stand in a plan of this one.
            $open = DrillVersion::openTo($squad)->whereKey($versionIds)->toBase()->pluck('id');
            $versions = $versions->whereIn('id', $open)->values();
        }
        // By what they say, not by their ids: another database, or this one put back, may count them otherwise.
        $drills = Cache::remember(
            'drills.'.hash('xxh128', $versions->implode('content_hash', ' ')),
            self::KEEP_SECONDS,
            fn (): array => $versions->pluck('content')->map(self::built(...))->all(),
        );

        return array_combine(array_map(intval(...), $versions->pluck('id')->all()), $drills);
    }

    private static function built(string $content): Drill
    {
        /** @var array<string, mixed> $fields */
        $fields = json_decode($content, true, flags: JSON_THROW_ON_ERROR);

        return DrillFactory::fromFields($fields);
    }
}
