<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Record\AnswerAdvice;
use App\Models\Player;
use App\OpenApi\Put;
use App\OpenApi\Shape;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

#[Shape('AdviceAnswer', ['answer' => "'yes'|'no'", 'why' => 'string'])]
class AdviceController extends Controller
{
    #[
        Put(
            '/players/{player}/advice/{slug}',
            'What the coach says to the advice of one ladder, with the reason as it was read: yes moves the player, no is remembered.',
            takes: 'AdviceAnswer',
            status: 204,
        ),
    ]
    public function __invoke(Request $request, Player $player, string $slug, AnswerAdvice $action): JsonResponse
    {
        Gate::authorize('plan', $player->squad);
        $request->validate(
            ['answer' => ['required', 'in:yes,no'], 'why' => ['required', 'string', 'max:400']],
            ['answer.*' => 'Say yes or no.', 'why.*' => 'Say which advice this answers.'],
        );
        $isKept = $action->answer(
            $player,
            $slug,
            $request->string('answer')->toString() === 'yes',
            $request->string('why')->toString(),
            $this->user($request),
        );
        if (! $isKept) {
            throw ValidationException::withMessages(['why' => 'New numbers have come in, and the advice is another by now. Look again.']);
        }

        return new JsonResponse(null, 204);
    }
}
