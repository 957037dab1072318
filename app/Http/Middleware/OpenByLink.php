<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Models\HomeLink;
use App\Tenancy\ClubContext;
use Closure;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\HttpException;

/** Lets in whoever has the secret of a player's link, and sets the club of that player before anything is read. */
final class OpenByLink
{
    public function __construct(private readonly ClubContext $context)
    {
    }

    public function handle(Request $request, Closure $next): Response
    {
        $link = Auth::guard('home')->user();
        if (! $link instanceof HomeLink) {
            throw new HttpException(401, 'link-closed');
        }
        $this->context->actFor($link->club_id);
        $request->attributes->set(HomeLink::class, $link);

        return $next($request);
    }
}
