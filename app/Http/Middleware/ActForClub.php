<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\User;
use App\Tenancy\ClubContext;
use Closure;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/** Sets the club of the signed-in user before any model is bound, so that ids of another club find nothing. */
final class ActForClub
{
    public function __construct(private readonly ClubContext $context)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $user = $request->user();
        if ($user instanceof User) {
            $this->context->actFor($user->club_id);
        }

        return $next($request);
    }
}
