<?php

declare(strict_types=1);

use App\Http\Controllers\AcceptInvitationController;
use App\Http\Controllers\ActualController;
use App\Http\Controllers\AdviceController;
use App\Http\Controllers\AttendanceController;
use App\Http\Controllers\ClubController;
use App\Http\Controllers\DrillChoicesController;
use App\Http\Controllers\DrillController;
use App\Http\Controllers\DrillFileController;
use App\Http\Controllers\DrillScoreController;
use App\Http\Controllers\DrillSearchController;
use App\Http\Controllers\DrillSharingController;
use App\Http\Controllers\DrillTargetController;
use App\Http\Controllers\DrillTrialController;
use App\Http\Controllers\EndSignInController;
use App\Http\Controllers\FeedController;
use App\Http\Controllers\GuestController;
use App\Http\Controllers\HomeLinkController;
use App\Http\Controllers\HomeSquadController;
use App\Http\Controllers\InvitationController;
use App\Http\Controllers\LadderController;
use App\Http\Controllers\LastTimeController;
use App\Http\Controllers\LineMarksController;
use App\Http\Controllers\LookController;
use App\Http\Controllers\MarkBatchController;
use App\Http\Controllers\MoveController;
use App\Http\Controllers\PaperController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PasswordResetController;
use App\Http\Controllers\PersonController;
use App\Http\Controllers\PlanPreviewController;
use App\Http\Controllers\PlayerController;
use App\Http\Controllers\PlayerNoteController;
use App\Http\Controllers\PlayerSquadController;
use App\Http\Controllers\ProposalsController;
use App\Http\Controllers\PulseController;
use App\Http\Controllers\RecapController;
use App\Http\Controllers\ReminderController;
use App\Http\Controllers\ResetController;
use App\Http\Controllers\ResetLinkController;
use App\Http\Controllers\RoutineController;
use App\Http\Controllers\RunController;
use App\Http\Controllers\RunPositionController;
use App\Http\Controllers\SearchIndexController;
use App\Http\Controllers\SeasonController;
use App\Http\Controllers\SessionCalendarController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\SquadController;
use App\Http\Controllers\SquadSettingsController;
use App\Http\Controllers\TodayController;
use App\Http\Controllers\TrailController;
use App\Http\Controllers\TrainingSessionController;
use Illuminate\Support\Facades\Route;

/*
| The JSON interface, below /api/v1; bootstrap/app.php gives it the session and the token of the page it is called from.
*/

Route::post('sign-in', [SignInController::class, 'store']);
Route::middleware('throttle:open-door')->group(function (): void {
    Route::get('invitations/{token}', [InvitationController::class, 'show']);
    Route::post('invitations/{token}', AcceptInvitationController::class);
    Route::post('password-resets', [PasswordResetController::class, 'store']);
    Route::middleware('signed:relative')->group(function (): void {
        Route::get('password-resets/{account}', [PasswordResetController::class, 'show'])->name('password-resets.show');
        Route::post('password-resets/{account}', [PasswordResetController::class, 'update']);
    });
});

Route::middleware(['auth', 'club'])->group(function (): void {
    Route::delete('sign-in', [SignInController::class, 'destroy']);
    Route::get('sign-ins', [SignInController::class, 'index']);
    Route::delete('sign-ins/{signIn}', EndSignInController::class);
    Route::get('me', [SignInController::class, 'show']);
    Route::put('me/password', [PasswordController::class, 'update']);
    Route::get('pulse', PulseController::class);

    Route::get('club/settings', [ClubController::class, 'show']);
    Route::put('club/settings', [ClubController::class, 'update']);
    Route::get('club/trail', TrailController::class);
    Route::post('club/squads', [SquadController::class, 'store']);
    Route::get('club/people', [PersonController::class, 'index']);
    Route::put('club/people/{person}', [PersonController::class, 'update']);
    Route::delete('club/people/{person}', [PersonController::class, 'destroy']);
    Route::post('club/people/{person}/reset-link', ResetLinkController::class);
    Route::post('club/invitations', [InvitationController::class, 'store']);
    Route::delete('club/invitations/{invitation}', [InvitationController::class, 'destroy']);

    Route::get('drill-choices', DrillChoicesController::class);
    Route::get('moves', [MoveController::class, 'index']);
    Route::get('moves/{slug}', [MoveController::class, 'show']);

    Route::get('squads/{squad}', [SquadController::class, 'show']);
    Route::get('squads/{squad}/settings', [SquadSettingsController::class, 'show']);
    Route::put('squads/{squad}/settings', [SquadSettingsController::class, 'update']);
    Route::get('squads/{squad}/drills', [DrillController::class, 'index']);
    Route::post('squads/{squad}/drills', [DrillController::class, 'store']);
    Route::get('squads/{squad}/drills/{slug}', [DrillController::class, 'show']);
    Route::put('squads/{squad}/drills/{slug}', [DrillController::class, 'update']);
    Route::delete('squads/{squad}/drills/{slug}', [DrillController::class, 'destroy']);
    Route::put('squads/{squad}/drills/{slug}/sharing', DrillSharingController::class);
    Route::put('squads/{squad}/drills/{slug}/target', DrillTargetController::class);
    Route::get('squads/{squad}/drills/{slug}/file', [DrillFileController::class, 'show']);
    Route::get('squads/{squad}/drills/{slug}/last-time', LastTimeController::class);
    Route::post('squads/{squad}/drills/{slug}/score', DrillScoreController::class);
    Route::get('squads/{squad}/search-index', SearchIndexController::class);
    Route::get('squads/{squad}/drill-search', DrillSearchController::class);
    Route::post('squads/{squad}/drill-trials', DrillTrialController::class);
    Route::post('squads/{squad}/drill-files', [DrillFileController::class, 'store']);
    Route::get('squads/{squad}/ladders', LadderController::class);
    Route::get('squads/{squad}/reset', ResetController::class);
    Route::get('squads/{squad}/today', TodayController::class);
    Route::post('squads/{squad}/preview', PlanPreviewController::class);
    Route::post('squads/{squad}/proposals', ProposalsController::class);
    Route::post('squads/{squad}/sessions', [TrainingSessionController::class, 'store']);
    Route::post('squads/{squad}/players', [PlayerController::class, 'store']);
    Route::get('squads/{squad}/season', [SeasonController::class, 'show']);
    Route::get('squads/{squad}/what-if', [SeasonController::class, 'whatIf']);
    Route::post('squads/{squad}/seasons', [SeasonController::class, 'store']);
    Route::delete('squads/{squad}/seasons/{season}', [SeasonController::class, 'destroy'])->whereNumber('season');
    Route::post('squads/{squad}/paper-days', [PaperController::class, 'store']);
    Route::get('squads/{squad}/home', [HomeSquadController::class, 'show']);
    Route::put('squads/{squad}/home-routines', [HomeSquadController::class, 'keep']);
    Route::put('squads/{squad}/home-links', [HomeSquadController::class, 'open']);
    Route::get('squads/{squad}/home-sheets', [HomeSquadController::class, 'sheets']);
    Route::post('squads/{squad}/home-sheets', [HomeSquadController::class, 'take']);
    Route::post('squads/{squad}/home-answers', [HomeSquadController::class, 'answer']);
    Route::post('squads/{squad}/guests', [GuestController::class, 'store']);

    Route::get('players/{player}', [PlayerController::class, 'show']);
    Route::put('players/{player}', [PlayerController::class, 'update']);
    Route::delete('players/{player}', [PlayerController::class, 'destroy']);
    Route::get('players/{player}/routine', [RoutineController::class, 'show']);
    Route::put('players/{player}/routine', [RoutineController::class, 'update']);
    Route::get('players/{player}/home-link', [HomeLinkController::class, 'show']);
    Route::put('players/{player}/home-link', [HomeLinkController::class, 'update']);
    Route::delete('players/{player}/home-link', [HomeLinkController::class, 'destroy']);
    Route::put('players/{player}/squad', PlayerSquadController::class);
    Route::get('players/{player}/note', [PlayerNoteController::class, 'show']);
    Route::put('players/{player}/note', [PlayerNoteController::class, 'update']);
    Route::get('players/{player}/lines/{lineKey}', LineMarksController::class);
    Route::put('players/{player}/advice/{slug}', AdviceController::class);

    Route::get('sessions/{session}', [TrainingSessionController::class, 'show']);
    Route::put('sessions/{session}', [TrainingSessionController::class, 'update']);
    Route::delete('sessions/{session}', [TrainingSessionController::class, 'destroy']);
    Route::post('sessions/{session}/feed', [FeedController::class, 'store']);
    Route::get('sessions/{session}/feed', [FeedController::class, 'show']);
    Route::get('sessions/{session}/actual', ActualController::class);
    Route::get('sessions/{session}/holdings', [TrainingSessionController::class, 'holdings']);
    Route::get('sessions/{session}/calendar', SessionCalendarController::class);
    Route::put('sessions/{session}/attendance', [AttendanceController::class, 'update']);
    Route::get('sessions/{session}/run', [RunController::class, 'show']);
    Route::put('sessions/{session}/run', [RunController::class, 'update']);
    Route::get('sessions/{session}/position', [RunPositionController::class, 'show']);
    Route::put('sessions/{session}/position', [RunPositionController::class, 'update']);
    Route::post('sessions/{session}/looks', [LookController::class, 'store']);
    Route::post('sessions/{session}/reminders', [ReminderController::class, 'store']);
    Route::put('sessions/{session}/recap', [RecapController::class, 'update']);

    Route::post('marks', [MarkBatchController::class, 'store']);
});

Route::any('{path}', fn () => abort(404))->where('path', '.*');
