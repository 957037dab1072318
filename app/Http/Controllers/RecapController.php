<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\KeepRecap;
use App\Http\Resources\SessionResource;
use App\Models\TrainingSession;
use App\OpenApi\Put;
use FleetSparrow\Core\Plan\HowHard;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

class RecapController extends Controller
{
    #[
        Put(
            '/sessions/{session}/recap',
            'What the group said the session was about, and how hard it was: kept for next time.',
            answers: 'Recap',
            takes: 'Recap',
        ),
    ]
    public function update(Request $request, TrainingSession $session, KeepRecap $recap): JsonResponse
    {
        Gate::authorize('run', $session->squad);
        $request->validate(
            [
                'answers' => ['present', 'nullable', 'string', 'max:500'],
                'howHard' => ['present', 'nullable', Rule::enum(HowHard::class)],
                'onlyTried' => ['boolean'],
            ],
            [
                'answers.max' => 'At most 500 letters: what they said, in a few words.',
                'howHard' => 'A session was too easy, about right or too hard.',
            ],
        );
        $recap->run(
            $session,
            $request->string('answers')->toString(),
            $request->enum('howHard', HowHard::class),
            $request->has('onlyTried') ? $request->boolean('onlyTried') : $session->is_only_tried,
        );

        return new JsonResponse(SessionResource::recap($session));
    }
}
