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
 * transaction, and a database that was put back has the key of what it holds, whatever was kept since. What numbers alone change
 * has such a key for each line besides.
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
     * What is kept line by line: where numbers came in since, only the lines they are of are made anew.
     *
     * @template T
     *
     * @param  Closure(list<string>|null): array<string, T>  $make  of these lines, null for all there are
     * @return array<string, T> by line key
     */
    public function rememberLines(Squad $squad, string $what, Closure $make): array
    {
        if ($squad->lines_key === '') {
            return $make(null);
        }
        // Read before what they stand for: what changes in between is made anew the next time.
        $names = DB::table('line_pasts')->where('squad_id', $squad->id)->pluck('past_key', 'line_key')->all();
        $place = "lines.{$squad->lines_key}.{$what}";
        /** @var array{names: array<string, string>, lines: array<string, T>}|null $kept */
        $kept = Cache::get($place);
        $changed = $kept === null ? null : array_map(strval(...), array_keys(array_diff_assoc($names, $kept['names'])));
        if ($changed === []) {
            return $kept['lines'];
        }
        $lines = $make($changed) + array_diff_key($kept['lines'] ?? [], array_flip($changed ?? []));
        Cache::put($place, ['names' => $names, 'lines' => $lines], self::KEEP_SECONDS);

        return $lines;
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
     *
     * @param  list<string>|null  $lineKeys  the lines whose numbers changed; null where it may be any of them
     */
    public function changed(int $squadId, ?array $lineKeys = null): void
    {
        $squads = DB::table('squads')->where('id', $squadId);
        if ($lineKeys === null) {
            $squads->update(['past_key' => Str::random(16), 'lines_key' => Str::random(16)]);

            return;
        }
        $squads->update(['past_key' => Str::random(16)]);
        DB::table('line_pasts')->upsert(
            array_map(
                static fn (string $key): array => ['squad_id' => $squadId, 'line_key' => $key, 'past_key' => Str::random(16)],
                array_values(array_unique($lineKeys)),
            ),
            ['squad_id', 'line_key'],
        );
    }
}
