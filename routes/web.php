<?php

declare(strict_types=1);

use App\Http\Controllers\AttendanceController;
use App\Http\Controllers\DrillController;
use App\Http\Controllers\MarkBatchController;
use App\Http\Controllers\PlanPreviewController;
use App\Http\Controllers\PlayerController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\SquadController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\TrainingSessionController;
use Illuminate\Cookie\Middleware\AddQueuedCookiesToResponse;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Route;
use Illuminate\View\Middleware\ShareErrorsFromSession;

Route::prefix('api/v1')->group(function (): void {
    Route::post('sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in');

    Route::middleware(['auth', 'club'])->group(function (): void {
        Route::delete('sign-in', [SignInController::class, 'destroy']);
        Route::get('me', [SignInController::class, 'show']);
        Route::get('pulse', [SignInController::class, 'index']);

        Route::get('squads/{squad}/drills', [DrillController::class, 'index']);

        Route::get('squads/{squad}', [SquadController::class, 'show']);
        Route::get('squads/{squad}/today', TodayController::class);
        Route::post('squads/{squad}/preview', PlanPreviewController::class);
        Route::post('squads/{squad}/sessions', [TrainingSessionController::class, 'store']);
        Route::post('squads/{squad}/players', [PlayerController::class, 'store']);

        Route::get('players/{player}', [PlayerController::class, 'show']);
        Route::put('players/{player}', [PlayerController::class, 'update']);

        Route::get('sessions/{session}', [TrainingSessionController::class, 'show']);
        Route::put('sessions/{session}', [TrainingSessionController::class, 'update']);
        Route::put('sessions/{session}/attendance', [AttendanceController::class, 'update']);
        Route::get('sessions/{session}/run', [RunController::class, 'show']);
        Route::put('sessions/{session}/run', [RunController::class, 'update']);

        Route::post('marks', [MarkBatchController::class, 'store']);
    });

    Route::any('{path}', fn () => abort(404))->where('path', '.*');
});

// The shell is the same for everybody and needs neither session nor database, so it loads when the database is away.
Route::view('/{path?}', 'shell')
    ->where('path', '^(?!api/|build/|up$).*')
    ->withoutMiddleware([EncryptCookies::class, AddQueuedCookiesToResponse::class, StartSession::class, ShareErrorsFromSession::class, ValidateCsrfToken::class]);
