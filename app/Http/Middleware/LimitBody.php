<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/**
 * Before anything is read: how long a body may be, and how deep. Whoever carries no session cookie, and so can only be at the
 * door, needs a few hundred bytes. The web server refuses what is longer than anybody may send.
 */
final class LimitBody
{
    private const STRANGERS_BYTES = 16_384;

    private const MOST_BYTES = 2_097_152;

    /** A drill file, the deepest that is sent, has twelve. */
    private const DEEPEST = 32;

    public function handle(Request $request, Closure $next): Response
    {
        $most = $request->cookies->has(Config::string('session.cookie')) ? self::MOST_BYTES : self::STRANGERS_BYTES;
        $said = (int) $request->headers->get('Content-Length', '0');
        $length = $said > $most ? $said : strlen($request->getContent());
        if ($length > $most) {
            throw new HttpException(413);
        }
        if ($length > 0 && self::isDeep($request->getContent())) {
            throw new HttpException(422, 'too-deep');
        }

        return $next($request);
    }

    /** Counts brackets outside strings, so that nothing has to be built to know. */
    private static function isDeep(string $json): bool
    {
        // What can open or close, or hide that: a string with its escapes goes as one piece.
        /** @var int<0, max> $depth */
        $depth = 0;
        $at = 0;
        $length = strlen($json);
        while (($at += strcspn($json, '[]{}"', $at)) < $length) {
            $sign = $json[$at];
            if ($sign === '"') {
                do {
                    $at++;
                    $at += strcspn($json, '"\\', $at);
                    $isEscape = $at < $length && $json[$at] === '\\';
                    $at += $isEscape ? 1 : 0;
                } while ($isEscape);
            } else {
                $depth = max(0, $depth + ($sign === '[' || $sign === '{' ? 1 : -1));
            }
            if ($depth > self::DEEPEST) {
                return true;
            }
            $at++;
        }

        return false;
    }
}
