<?php

declare(strict_types=1);

namespace App\Http\Controllers;

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
    public function update(Request $request, TrainingSession $session): JsonResponse
    {
        Gate::authorize('run', $session->squad);
        $request->validate(
            ['answers' => ['present', 'nullable', 'string', 'max:500'], 'howHard' => ['present', 'nullable', Rule::enum(HowHard::class)]],
            [
                'answers.max' => 'At most 500 letters: what they said, in a few words.',
                'howHard' => 'A session was too easy, about right or too hard.',
            ],
        );
        $session->update(
            ['recap_answers' => $request->string('answers')->toString(), 'recap_how_hard' => $request->enum('howHard', HowHard::class)],
        );

        return new JsonResponse(SessionResource::recap($session));
    }
}
