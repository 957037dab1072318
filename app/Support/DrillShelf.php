<?php

declare(strict_types=1);

namespace App\Support;

use App\Models\DrillVersion;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Support\Facades\Cache;

/** The drills of a plan, kept built between previews: what a version says never changes, only new code reads it otherwise. */
final class DrillShelf
{
    private const KEEP_SECONDS = 3600;

    public function __construct(private readonly ClubContext $club)
    {
    }

    /**
     * @param  list<int>  $versionIds
     * @return array<int, Drill> by version; nothing for one that there is not, or that is another club's
     *
     * @throws CoreException If a drill cannot be read.
     */
    public function drills(array $versionIds): array
    {
        sort($versionIds);

        return Cache::remember(
            "drills.{$this->club->clubId()}.".hash('xxh128', implode(' ', $versionIds)),
            self::KEEP_SECONDS,
            fn (): array => DrillVersion::query()->whereKey($versionIds)->get()->mapWithKeys(fn (DrillVersion $version): array => [$version->id => $version->drill()])->all(),
        );
    }
}
