<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\KeepPlan;
use App\Models\TrainingSession;
use App\OpenApi\Put;
use App\Rules\WholeNumbers;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

class AttendanceController extends Controller
{
    #[
        Put(
            '/sessions/{session}/attendance',
            'Who is coming; the whole staff may say so, at the pitch as well.',
            answers: 'Attendance',
            takes: 'Attendance',
        ),
    ]
    public function update(Request $request, TrainingSession $session, KeepPlan $action): JsonResponse
    {
        Gate::authorize('run', $session->squad);
        /** @var array{comingPlayerIds: list<int>} $data */
        $data = $request->validate(['comingPlayerIds' => ['present', 'array', 'max:250', new WholeNumbers]]);
        $action->changeAttendance($session, array_map(intval(...), $data['comingPlayerIds']), $this->user($request));

        return new JsonResponse(['comingPlayerIds' => $session->load(['attendances', 'squad.players'])->comingPlayerIds()]);
    }
}
