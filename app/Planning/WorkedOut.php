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

    /**
     * @template T
     *
     * @param  Closure(Memo): T  $evaluate
     * @return T
     */
    public function with(Squad $squad, Closure $evaluate): mixed
    {
        $key = "worked-out.{$squad->id}";
        /** @var array<string, string> $kept */
        $kept = Cache::get($key, []);
        $memo = new Memo($kept);
        $answer = $evaluate($memo);
        if ($memo->isFuller() && array_sum(array_map(strlen(...), $memo->asked())) <= self::MOST_BYTES) {
            Cache::put($key, $memo->asked(), self::KEEP_SECONDS);
        }

        return $answer;
    }
}
