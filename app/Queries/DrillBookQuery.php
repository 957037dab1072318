<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\DrillVersion;
use App\Models\LadderVersion;
use App\Models\MoveVersion;
use App\Models\Squad;
use FleetSparrow\Core\Book\DrillIndex;
use FleetSparrow\Core\Book\SearchEntry;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Ladder\Ladder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\Cache;

/** The drills a squad can plan with: the book's, its own, and those the club's other squads share. */
final class DrillBookQuery
{
    private const KEEP_SECONDS = 86400;

    public function __construct(private readonly MoveQuery $moves)
    {
    }

    /** @return Collection<string, DrillVersion> by slug, in the order of the families and by name */
    public function versions(Squad $squad): Collection
    {
        $versions = DrillVersion::currentFor($squad)->get();

        return $versions->sortBy([
            fn (DrillVersion $a, DrillVersion $b): int => self::place($a) <=> self::place($b),
            fn (DrillVersion $a, DrillVersion $b): int => strcasecmp($a->name, $b->name),
        ])->keyBy('slug');
    }

    public function version(Squad $squad, string $slug): ?DrillVersion
    {
        return DrillVersion::currentFor($squad)->where('drill_versions.slug', $slug)->with('ownDrill.squad')->first();
    }

    /** Made once for a book and kept: one query a search. */
    public function index(Squad $squad): DrillIndex
    {
        // By what the drills say, not by their ids: those begin again when a database is made anew.
        $book = DrillVersion::currentFor($squad)->orderBy('id')->pluck('content_hash')->implode(' ');

        return Cache::remember('drill-index.'.hash('xxh128', $book), self::KEEP_SECONDS, fn (): DrillIndex => DrillIndex::of(
            array_values($this->versions($squad)->map(fn (DrillVersion $version): Drill => $version->drill())->all()),
            $this->moves->dictionary(),
        ));
    }

    /**
     * What a phone searches by itself; made once for a book and kept.
     *
     * @return list<SearchEntry>
     */
    public function searchEntries(Squad $squad): array
    {
        $hashes = [
            ...DrillVersion::currentFor($squad)->orderBy('id')->pluck('content_hash')->all(),
            ...LadderVersion::query()->where('is_current', true)->orderBy('id')->pluck('content_hash')->all(),
            ...MoveVersion::query()->where('is_current', true)->orderBy('id')->pluck('content_hash')->all(),
        ];

        return Cache::remember('search.'.hash('xxh128', implode(' ', $hashes)), self::KEEP_SECONDS, fn (): array => SearchEntry::of(
            array_values($this->versions($squad)->map(fn (DrillVersion $version): Drill => $version->drill())->all()),
            $this->moves->dictionary(),
            array_values(LadderVersion::query()->where('is_current', true)->get()
                ->map(fn (LadderVersion $version): Ladder => $version->ladder())->all()),
        ));
    }

    private static function place(DrillVersion $version): int
    {
        return (int) array_search($version->family, array_column(Family::cases(), 'value'), true);
    }
}
