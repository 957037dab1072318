<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\ResetResource;
use App\Models\Squad;
use App\OpenApi\Get;
use App\Queries\DrillBookQuery;
use FleetSparrow\Core\Layout\Reset;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

class ResetController extends Controller
{
    #[
        Get(
            '/squads/{squad}/reset',
            'From one drill\'s markers to the next: which stay, which move, which are laid or lifted. One station of each.',
            answers: 'ResetDrawing',
            query: ['from' => 'string', 'to' => 'string'],
        ),
    ]
    public function __invoke(Request $request, Squad $squad, DrillBookQuery $book): JsonResponse
    {
        Gate::authorize('view', $squad);
        $request->validate(
            ['from' => ['required', 'string', 'max:80'], 'to' => ['required', 'string', 'max:80']],
            ['*' => 'Name two drills of the book.'],
        );
        $layouts = [];
        foreach (['from', 'to'] as $which) {
            $layouts[] = $book->version($squad, $request->string($which)->toString())
                ?->drill()
                ->layout ?? throw ValidationException::withMessages([$which => ['This drill is not in the book any more.']]);
        }
        [$before, $after] = $layouts;

        return new JsonResponse(ResetResource::of($before->markers(), Reset::between($before->markers(), $after->markers())));
    }
}
