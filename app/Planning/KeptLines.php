<?php

declare(strict_types=1);

namespace App\Planning;

use Closure;
use Illuminate\Support\Facades\Cache;

/** What is kept of a squad line by line: where numbers came in since, only the lines they are of are made anew. */
final readonly class KeptLines
{
    /**
     * @param  string  $key  of all of it; empty where nothing has happened yet, and nothing is kept
     * @param  array<string, string>  $names  line → what its numbers are kept under
     */
    public function __construct(private string $key, private array $names)
    {
    }

    /**
     * @template T
     *
     * @param  Closure(list<string>|null): array<string, T>  $make  of these lines, null for all there are
     * @return array<string, T> by line key
     */
    public function remember(string $what, Closure $make): array
    {
        if ($this->key === '') {
            return $make(null);
        }
        $place = "lines.{$this->key}.{$what}";
        /** @var array{names: array<string, string>, lines: array<string, T>}|null $kept */
        $kept = Cache::get($place);
        $changed = $kept === null ? null : array_map(strval(...), array_keys(array_diff_assoc($this->names, $kept['names'])));
        if ($changed === []) {
            return $kept['lines'];
        }
        $lines = $make($changed) + array_diff_key($kept['lines'] ?? [], array_flip($changed ?? []));
        Cache::put($place, ['names' => $this->names, 'lines' => $lines], SquadHistory::KEEP_SECONDS);

        return $lines;
    }
}
