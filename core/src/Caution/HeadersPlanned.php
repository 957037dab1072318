<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Caution;

/** Headers a plan asks of one player, held against the limit the squad follows. */
final class HeadersPlanned
{
    /**
     * What to say of so many headers in one session; null when nothing is to be said.
     *
     * @param  float  $headers  of the player who is asked for most
     */
    public static function sentence(float $headers, HeadingLimit $limit): ?string
    {
        if ($headers <= 0.0) {
            return null;
        }
        $most = $limit->perSession ?? $limit->headers;
        if (! $limit->isBarred && $most !== null && $headers <= $most) {
            return null;
        }

        return sprintf('%d %s a player. %s', (int) ceil($headers), ceil($headers) === 1.0 ? 'header' : 'headers', $limit->sentence());
    }
}
