<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Http\EarlyScript;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Vite;
use Symfony\Component\HttpFoundation\Response;

/**
 * What a browser may do with an answer. One script stands in a page and no style: what the component library adds while running carries
 * the page's nonce.
 */
final class SafeHeaders
{
    public function handle(Request $request, Closure $next): Response
    {
        $nonce = Vite::useCspNonce();
        $response = $next($request);
        $response->headers->add([
            'Content-Security-Policy' => implode('; ', [
                "default-src 'none'",
                "script-src 'self'".($request->is('api/*') ? '' : ' '.EarlyScript::source()),
                "style-src 'self' 'nonce-{$nonce}'",
                "img-src 'self' data:",
                "font-src 'self'",
                "connect-src 'self'",
                "manifest-src 'self'",
                "worker-src 'self'",
                "base-uri 'none'",
                "form-action 'self'",
                "frame-ancestors 'none'",
            ]),
            'Permissions-Policy' => 'camera=(), geolocation=(), microphone=(), payment=()',
        ]);
        // Not on a machine of one's own: its name would be held to HTTPS for every other program too.
        if ($request->isSecure() && app()->environment('production')) {
            $response->headers->set('Strict-Transport-Security', 'max-age=31536000');
        }
        if ($request->is('api/*')) {
            // Children's records: no cache on the way keeps them.
            $response->headers->set('Cache-Control', 'no-store, private');
            $response->headers->set('X-Contract', (string) config('app.contract'));
        }

        return $response;
    }
}
