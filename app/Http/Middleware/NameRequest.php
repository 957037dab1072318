<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Str;
use Symfony\Component\HttpFoundation\Response;

/** Gives every request a name, which stands in the log beside a fault and in the answer: whoever saw it can say which it was. */
final class NameRequest
{
    public const ATTRIBUTE = 'request-name';

    public const HEADER = 'X-Request-Id';

    public function handle(Request $request, Closure $next): Response
    {
        $name = Str::lower(Str::random(10));
        $request->attributes->set(self::ATTRIBUTE, $name);
        Log::withContext(['request' => $name]);
        $response = $next($request);
        $response->headers->set(self::HEADER, $name);

        return $response;
    }
}
