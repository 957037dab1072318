<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Squad;
use Closure;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/**
 * What a plan needs of a squad's past, kept between previews: it changes only when somebody comes or goes, marks come in,
 * a plan is kept or a run is closed, while a coach asks for a preview at every key pressed.
 *
 * It is kept under a key that stands in the squad's own row and is drawn by lot at every change: it changes in the same
 * transaction, and a database that was put back has the key of what it holds, whatever was kept since.
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
    public function remember(Squad $squad, string $what, Closure $make): mixed
    {
        // Nothing has happened yet, or the squad was just made: as good as never kept.
        return $squad->past_key === '' ? $make() : Cache::remember("past.{$squad->past_key}.{$what}", self::KEEP_SECONDS, $make);
    }

    /**
     * Has everybody else who changes the squad's past wait until this transaction ends. First of all in it: two that lock in
     * different orders would wait for each other.
     *
     * @param  list<int>  $squadIds
     */
    public function hold(array $squadIds): void
    {
        DB::table('squads')->whereIn('id', $squadIds)->orderBy('id')->lockForUpdate()->pluck('id');
    }

    /**
     * Says that a squad's past has changed, last of all in its transaction: what is read before would be kept under the new key; takes
     * hold with the transaction that changed it.
     */
    public function changed(int $squadId): void
    {
        DB::table('squads')->where('id', $squadId)->update(['past_key' => Str::random(16)]);
    }
}
