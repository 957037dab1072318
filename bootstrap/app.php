<?php

declare(strict_types=1);

use App\Actions\StaleVersion;
use App\Http\Middleware\ActForClub;
use App\Http\Middleware\LimitBody;
use App\Http\Middleware\NameRequest;
use App\Http\Middleware\NoteSeen;
use App\Http\Middleware\OpenByLink;
use App\Http\Middleware\SafeHeaders;
use App\Http\Problem;
use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Database\QueryException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Http\Request;
use Illuminate\Routing\Middleware\SubstituteBindings;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Route;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(
        web: __DIR__.'/../routes/web.php',
        // Called from pages of this origin alone: with their session and token, as no api of strangers would be.
        then: function (): void {
            Route::middleware('throttle:feed')->prefix('api/v1')->group(__DIR__.'/../routes/feed.php');
            Route::middleware(['throttle:home', 'by-link'])->prefix('api/v1')->group(__DIR__.'/../routes/home.php');
            Route::middleware('web')->prefix('api/v1')->group(__DIR__.'/../routes/api.php');
        },
        commands: __DIR__.'/../routes/console.php',
        health: '/up',
    )
    ->withMiddleware(function (Middleware $middleware): void {
        // Same origin only: the front end is served from here.
        $middleware->remove(HandleCors::class);
        $middleware->redirectGuestsTo(fn () => null);
        // Outermost, so that nothing is read before its size is known, and every answer carries the headers.
        $middleware->prepend([SafeHeaders::class, NameRequest::class, LimitBody::class]);
        $middleware->group('club', [ActForClub::class, NoteSeen::class]);
        $middleware->alias(['by-link' => OpenByLink::class]);
        // The club must be known before a model is bound, so that another club's ids find nothing.
        $middleware->prependToPriorityList(before: SubstituteBindings::class, prepend: ActForClub::class);
        // Nothing of a preview is kept, and it is asked for at every key pressed.
        $middleware->trimStrings(
            except: ['password', 'currentPassword', fn (Request $request): bool => $request->is('api/v1/squads/*/preview')],
        );
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        // Somebody else was quicker, or what was asked for cannot be: that is an answer, and no fault of ours.
        $exceptions->dontReport([StaleVersion::class, CoreException::class]);
        $exceptions->dontFlash(['password', 'currentPassword']);
        $exceptions->shouldRenderJsonWhen(fn (Request $request): bool => $request->is('api/*'));
        // The message of a query fault carries the values: names, numbers, addresses. Only the statement is logged.
        $exceptions->report(function (QueryException $fault): bool {
            Log::error(
                'The database refused a statement.',
                ['sql' => $fault->getSql(), 'code' => $fault->errorInfo[1] ?? $fault->getCode()],
            );

            return false;
        });
        $exceptions->render(fn (Throwable $fault, Request $request) => $request->is('api/*') ? Problem::from($fault, $request) : null);
    })
    ->create();

// Everything written while running lives under var/, so that the tree stays as it was checked out.
$app->useStoragePath(dirname(__DIR__).'/var/storage');

return $app;
