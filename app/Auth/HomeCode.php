<?php

declare(strict_types=1);

namespace App\Auth;

use App\Models\HomeLink;
use Illuminate\Support\Facades\Config;

/**
 * The secret of a player's link: sixteen letters and digits, eighty bits, easy to type from paper. It is made from what the database has
 * and what only this installation has, so that a sheet can be printed again while nobody who reads the database can open a page.
 */
final class HomeCode
{
    /** Without I, L, O and U: nothing is taken for something else (Crockford's base 32). */
    private const LETTERS = '0123456789ABCDEFGHJKMNPQRSTVWXYZ';

    private const LENGTH = 16;

    public static function of(string $nonce): string
    {
        $bytes = hash_hmac('sha256', "home-link:{$nonce}", Config::string('app.key'), binary: true);
        $code = '';
        for ($i = 0; $i < self::LENGTH; $i++) {
            $code .= self::LETTERS[ord($bytes[$i]) % 32];
        }

        return $code;
    }

    /** As somebody typed it: small letters, hyphens and spaces, and letters that look like digits. Null where it cannot be one. */
    public static function read(string $typed): ?string
    {
        $code = strtr((string) preg_replace('/[\s-]+/', '', strtoupper($typed)), ['I' => '1', 'L' => '1', 'O' => '0']);

        return preg_match('/\A['.self::LETTERS.']{'.self::LENGTH.'}\z/', $code) === 1 ? $code : null;
    }

    /** Null where the link was made under another key of the installation: then only a new one can be shown. */
    public static function ofLink(HomeLink $link): ?string
    {
        $code = self::of($link->nonce);

        return hash_equals($link->token_hash, self::hash($code)) ? $code : null;
    }

    /** The link that a code opens, across clubs: whoever has the secret says by it which player is meant. */
    public static function linkOf(string $typed): ?HomeLink
    {
        $code = self::read($typed);

        return $code === null ? null : HomeLink::query()->withoutGlobalScope('club')->where('token_hash', self::hash($code))
            ->where('expires_at_utc', '>', now('UTC'))->first();
    }

    /** In groups of four, for paper. */
    public static function shown(string $code): string
    {
        return implode('-', str_split($code, 4));
    }

    public static function hash(string $code): string
    {
        return hash('sha256', $code);
    }
}
