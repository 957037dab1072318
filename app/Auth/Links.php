<?php

declare(strict_types=1);

namespace App\Auth;

use App\Models\User;
use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\URL;

/**
 * Paths that open a door once: they are shown to the club lead, or mailed, and never logged. The origin is added where the
 * link is shown or mailed: what a request calls this host is not believed.
 */
final class Links
{
    public const RESET_HOURS = 24;

    public static function invitation(string $token): string
    {
        return "/invitation/{$token}";
    }

    /** The secret stands behind the hash: a browser sends that to no server, so it is in no log. */
    public static function atHome(string $code): string
    {
        return "/at-home/#{$code}";
    }

    /** Signed, and good until it expires or the password has changed, whichever comes first. */
    public static function reset(User $user, CarbonImmutable $expires): string
    {
        $path = URL::temporarySignedRoute(
            'password-resets.show',
            $expires,
            ['account' => $user->id, 'fingerprint' => self::fingerprint($user)],
            absolute: false,
        );

        return '/reset/'.$user->id.'?'.parse_url($path, PHP_URL_QUERY);
    }

    /** With the origin from the configuration, for mail. */
    public static function mailed(string $path): string
    {
        return Config::string('app.url').$path;
    }

    /** Of the stored hash: it changes with the password, so a link works once. */
    public static function fingerprint(User $user): string
    {
        return substr(hash('sha256', $user->password), 0, 16);
    }
}
