<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Auth\AuditTrail;
use App\Http\Resources\DrillPageResource;
use App\Models\Squad;
use App\OpenApi\Put;
use App\OpenApi\Shape;
use App\Queries\DrillBookQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

#[Shape('DrillSharing', ['isShared' => 'bool'])]
class DrillSharingController extends Controller
{
    #[
        Put(
            '/squads/{squad}/drills/{slug}/sharing',
            'Shows a drill of the squad\'s own to the club\'s other squads, or no longer.',
            answers: 'DrillPage',
            takes: 'DrillSharing',
        ),
    ]
    public function __invoke(Request $request, Squad $squad, string $slug, DrillBookQuery $book, AuditTrail $trail): JsonResponse
    {
        Gate::authorize('plan', $squad);
        $request->validate(['isShared' => ['required', 'boolean']], ['isShared.*' => 'Say yes or no.']);
        $own = DrillController::own($squad, $slug);
        $trail->noteOf(
            $this->user($request),
            'drill.sharing',
            (string) $book->version($squad, $slug)?->name,
            $squad->id,
            ['shared' => [$own->is_shared, $request->boolean('isShared')]],
        );
        $own->update(['is_shared' => $request->boolean('isShared')]);

        return new JsonResponse(DrillPageResource::of($book->version($squad, $slug) ?? abort(404), $squad));
    }
}
