<?php

declare(strict_types=1);

use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;
use Illuminate\View\Middleware\ShareErrorsFromSession;

// A player's page at home is an entry of its own, as the shell is: it knows nothing of squads, plans and settings.
Route::view('/at-home', 'at-home')->withoutMiddleware('web');
// The shell is the same for everybody and needs neither session nor database, so it loads when the database is away.
Route::view('/{path?}', 'shell')
    ->where('path', '^(?!api/|build[a-z-]*/|at-home|up$).*')
    ->withoutMiddleware(
        [
            EncryptCookies::class,
            AddQueuedCookiesToResponse::class,
            StartSession::class,
            ShareErrorsFromSession::class,
            ValidateCsrfToken::class,
        ],
    );
