<?php

declare(strict_types=1);

namespace App\Support;

use Closure;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * What a plan needs of a squad's past, kept between previews: it changes only when somebody comes or goes, marks come in,
 * a plan is kept or a run is closed, while a coach asks for a preview at every key pressed.
 */
final class SquadHistory
{
    private const KEEP_SECONDS = 3600;

    /**
     * @template T
     *
     * @param  Closure(): T  $make
     * @return T
     */
    public function remember(int $squadId, string $what, Closure $make): mixed
    {
        $version = Cache::get($this->key($squadId), 'none');
        assert(is_string($version));

        return Cache::remember($this->key($squadId).".{$version}.{$what}", self::KEEP_SECONDS, $make);
    }

    /** Says that a squad's past has changed; takes hold once the change is committed. */
    public function changed(int $squadId): void
    {
        DB::afterCommit(fn () => Cache::forever($this->key($squadId), Str::random(12)));
    }

    private function key(int $squadId): string
    {
        return "squad-history.{$squadId}";
    }
}
