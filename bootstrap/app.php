<?php

declare(strict_types=1);

use App\Http\Middleware\ActForClub;
use App\Http\Problem;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        commands: __DIR__.'/../routes/console.php',
        health: '/up',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // Same origin only: the front end is served from here.
        $middleware->remove(HandleCors::class);
        $middleware->redirectGuestsTo(fn () => null);
        $middleware->alias(['club' => ActForClub::class]);
        // The club must be known before a model is bound, so that another club's ids find nothing.
        $middleware->prependToPriorityList(before: SubstituteBindings::class, prepend: ActForClub::class);
        $middleware->trimStrings(except: ['password']);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->dontFlash(['password']);
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*'));
        $exceptions->render(fn (Throwable $fault, Request $request) => $request->is('api/*') ? Problem::from($fault) : null);
    })
    ->create();

// Everything written while running lives under var/, so that the tree stays as it was checked out.
$app->useStoragePath(dirname(__DIR__).'/var/storage');

return $app;
