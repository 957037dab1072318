<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exchange\Export\CalendarFile;
use App\Models\TrainingSession;
use App\OpenApi\Get;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

class SessionCalendarController extends Controller
{
    #[
        Get(
            '/sessions/{session}/calendar',
            'The session as an iCalendar file (RFC 5545), with no child\'s name in it.',
            answers: 'text/calendar',
        ),
    ]
    public function __invoke(Request $request, TrainingSession $session): Response
    {
        Gate::authorize('view', $session->squad);

        return new Response(
            CalendarFile::of($session, $request->getHost()),
            200,
            [
                'Content-Type' => 'text/calendar; charset=utf-8',
                'Content-Disposition' => "attachment; filename=\"session-{$session->id}.ics\"",
            ],
        );
    }
}
