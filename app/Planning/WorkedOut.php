<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Squad;
use Closure;
use FleetSparrow\Core\Shared\Memo;
use Illuminate\Support\Facades\Cache;

/**
 * What was dear to work out for a squad's last plan, kept for its next: between two previews mostly one block changes. Each answer is
 * kept by everything it depends on, so none can be out of date; new code empties the cache.
 */
final class WorkedOut
{
    private const KEEP_SECONDS = 3600;

    /** So much is more than a full session of forty players has. */
    private const MOST_BYTES = 8 * 1024 * 1024;

    /** What was not asked for this time is kept on while it is little: for whoever takes a step back, or asks for other proposals. */
    private const LITTLE_BYTES = 2 * 1024 * 1024;

    /**
     * @template T
     *
     * @param  Closure(Memo): T  $evaluate
     * @param  string  $what  kept apart from other things of the squad
     * @return T
     */
    public function with(Squad $squad, Closure $evaluate, string $what = 'plans'): mixed
    {
        $key = "worked-out.{$squad->id}.{$what}";
        /** @var array<string, string> $kept */
        $kept = Cache::get($key, []);
        $memo = new Memo($kept);
        $answer = $evaluate($memo);
        $asked = $memo->asked();
        if ($memo->isFuller() && self::bytes($asked) <= self::MOST_BYTES) {
            $all = $asked + $kept;
            Cache::put($key, self::bytes($all) <= self::LITTLE_BYTES ? $all : $asked, self::KEEP_SECONDS);
        }

        return $answer;
    }

    /**
     * The last answer about a squad's plan, for whoever asks the very same: the plan that Today has shown, or another device's.
     *
     * @param  list<mixed>  $given  everything the answer depends on
     * @param  Closure(): array<string, mixed>  $tell
     * @param  string  $what  kept apart from other answers
     * @return string in JSON
     */
    public function told(Squad $squad, array $given, Closure $tell, string $what): string
    {
        $key = "told.{$squad->id}.{$what}";
        $asked = hash('xxh128', serialize($given));
        $last = Cache::get($key);
        if (is_array($last) && $last['asked'] === $asked && is_string($last['told'])) {
            return $last['told'];
        }
        $told = json_encode($tell(), JSON_THROW_ON_ERROR);
        Cache::put($key, ['asked' => $asked, 'told' => $told], self::KEEP_SECONDS);

        return $told;
    }

    /** @param  array<string, string>  $kept */
    private static function bytes(array $kept): int
    {
        return array_sum(array_map(strlen(...), $kept));
    }
}
