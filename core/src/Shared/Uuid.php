<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/**
 * A name that a device makes up for what it sends, after RFC 9562 in small letters, of versions 1 to 5: a database with a type of its own
 * for UUIDs refuses some of the later ones, and such as have no version.
 *
 * Example: `Uuid::isOne('0c5f4d1e-7a39-4a83-9a0b-5f5f9a3f2b10')` is `true`.
 */
final class Uuid
{
    private const SHAPE = '/\A[0-9a-f]{8}-[0-9a-f]{4}-[1-5][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}\z/';

    public static function isOne(string $text): bool
    {
        return preg_match(self::SHAPE, $text) === 1;
    }

    /**
     * The same for the same words, of version 5.
     *
     * Example: `Uuid::of('a touch')` is `Uuid::of('a touch')`.
     */
    public static function of(string $words): string
    {
        $hex = hash('sha256', $words);

        return substr($hex, 0, 8).'-'.substr($hex, 8, 4).'-5'.substr($hex, 13, 3).'-8'.substr($hex, 17, 3).'-'.substr($hex, 20, 12);
    }
}
