<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** Chance that is the same for the same seed and occasion, in whatever order it is asked. */
final class Draw
{
    /**
     * From 0 up to 1, 1 left out.
     *
     * Example: `Draw::share(7, 'pause 3') === Draw::share(7, 'pause 3')` is `true`.
     */
    public static function share(int $seed, string $occasion): float
    {
        return (float) hexdec(substr(hash('md5', "{$seed} {$occasion}"), 0, 8)) / 2 ** 32;
    }
}
