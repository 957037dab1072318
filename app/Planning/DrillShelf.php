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
        // By what they say, not by their ids: another database, or this one put back, may count them otherwise.
        $versions = DrillVersion::openTo($squad)->whereKey($versionIds)->orderBy('id')->toBase()->get(['id', 'content_hash', 'content']);
        $drills = Cache::remember(
            'drills.'.hash('xxh128', $versions->implode('content_hash', ' ')),
            self::KEEP_SECONDS,
            fn (): array => $versions->map(self::built(...))->all(),
        );

        return array_combine(array_map(intval(...), $versions->pluck('id')->all()), $drills);
    }

    private static function built(stdClass $version): Drill
    {
        /** @var array<string, mixed> $fields */
        $fields = json_decode((string) $version->content, true, flags: JSON_THROW_ON_ERROR);

        return DrillFactory::fromFields($fields);
    }
}
