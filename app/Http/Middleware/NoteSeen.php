<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Auth\SignInDesk;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Keeps the list of sign-ins honest about when each was last used. */
final class NoteSeen
{
    public function __construct(private readonly SignInDesk $desk)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $this->desk->seen($request);

        return $next($request);
    }
}
