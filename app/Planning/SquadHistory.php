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
 * has such a key for each line besides, and what they do not change has one for itself.
 */
final class SquadHistory
{
    public const KEEP_SECONDS = 3600;

    /** Of what is kept one by one; of what was not asked for this time, the last that were. */
    private const MOST_KEPT = 400;

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
     * The same one by one: what is not kept yet is made in one go.
     *
     * @template T
     *
     * @param  list<string>  $keys
     * @param  Closure(list<string>): array<string, T>  $make  each of these
     * @return array<string, T>
     */
    public function rememberEach(Squad $squad, string $what, array $keys, Closure $make): array
    {
        $place = "past.{$squad->past_key}.{$what}";
        /** @var array<string, T> $kept */
        $kept = $squad->past_key === '' ? [] : Cache::get($place, []);
        $missing = array_values(array_filter($keys, static fn (string $key): bool => ! array_key_exists($key, $kept)));
        if ($missing === []) {
            return array_intersect_key($kept, array_flip($keys));
        }
        $asked = $make($missing) + array_intersect_key($kept, array_flip($keys));
        if ($squad->past_key !== '') {
            Cache::put($place, array_slice($asked + $kept, 0, max(count($asked), self::MOST_KEPT), true), self::KEEP_SECONDS);
        }

        return $asked;
    }

    /**
     * What numbers do not change: who came, what was said to advice, how passes looked, how targets are set.
     *
     * @template T
     *
     * @param  Closure(): T  $make
     * @return T
     */
    public function rememberAside(Squad $squad, string $what, Closure $make): mixed
    {
        return $squad->aside_key === '' ? $make() : Cache::remember("aside.{$squad->aside_key}.{$what}", self::KEEP_SECONDS, $make);
    }

    /** What is kept line by line, as it stands now: to be asked before what it stands for, so that what changes in between is made anew. */
    public function lines(Squad $squad): KeptLines
    {
        /** @var array<string, string> $names */
        $names = $squad->lines_key === ''
            ? []
            : DB::table('line_pasts')->where('squad_id', $squad->id)->pluck('past_key', 'line_key')->all();

        return new KeptLines($squad->lines_key, $names);
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
     * @param  list<string>|null  $lineKeys  the lines whose numbers changed, and nothing else; none where it was anything but numbers;
     *     null where it may be all of it
     */
    public function changed(int $squadId, ?array $lineKeys = null): void
    {
        $keys = match ($lineKeys) {
            null => ['past_key', 'lines_key', 'aside_key'],
            [] => ['past_key', 'aside_key'],
            default => ['past_key'],
        };
        DB::table('squads')->where('id', $squadId)->update(array_map(static fn (): string => Str::random(16), array_flip($keys)));
        DB::table('line_pasts')->upsert(
            array_map(
                static fn (string $key): array => ['squad_id' => $squadId, 'line_key' => $key, 'past_key' => Str::random(16)],
                array_values(array_unique($lineKeys ?? [])),
            ),
            ['squad_id', 'line_key'],
        );
    }
}
