<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Drill\KeepOwnDrill;
use App\Auth\AuditTrail;
use App\Http\Requests\DrillRequest;
use App\Http\Resources\DrillPageResource;
use App\Http\Resources\DrillResource;
use App\Models\DrillVersion;
use App\Models\OwnDrill;
use App\Models\Squad;
use App\OpenApi\Delete;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\OpenApi\Put;
use App\Queries\DrillBookQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpFoundation\Response;

class DrillController extends Controller
{
    #[Get('/squads/{squad}/drills', 'Every drill the squad can plan with, measured in its unit.', answers: 'Drills')]
    public function index(Squad $squad, DrillBookQuery $book): JsonResponse
    {
        Gate::authorize('view', $squad);

        return new JsonResponse(
            [
                'drills' => $book->versions($squad)
                    ->map(fn (DrillVersion $version): array => DrillResource::of($version, $squad->length_unit))
                    ->values()
                    ->all(),
            ],
        );
    }

    #[Get('/squads/{squad}/drills/{slug}', 'One drill with its fields, and whose it is.', answers: 'DrillPage')]
    public function show(Squad $squad, string $slug, DrillBookQuery $book): JsonResponse
    {
        Gate::authorize('view', $squad);

        return new JsonResponse(DrillPageResource::of($book->version($squad, $slug) ?? abort(404), $squad));
    }

    #[Post('/squads/{squad}/drills', 'Keeps a drill of the squad\'s own.', answers: 'DrillPage', takes: 'DrillInHand', status: 201)]
    public function store(DrillRequest $request, Squad $squad, KeepOwnDrill $action, DrillBookQuery $book): JsonResponse
    {
        $request->drill();
        $from = $request->filled('from') ? $request->string('from')->toString() : null;
        $version = $action->keep($squad, $request->drillFields(), null, $from);

        return new JsonResponse(DrillPageResource::of($book->version($squad, $version->slug) ?? abort(404), $squad), 201);
    }

    #[
        Put(
            '/squads/{squad}/drills/{slug}',
            'Keeps the next version of a drill of the squad\'s own, unless it was changed elsewhere: then 412 with the drill as it stands.',
            answers: 'DrillPage',
            takes: 'DrillInHand',
            headers: ['If-Match' => 'The version that was changed, in quotes.'],
        ),
    ]
    public function update(DrillRequest $request, Squad $squad, string $slug, KeepOwnDrill $action, DrillBookQuery $book): JsonResponse
    {
        $own = self::own($squad, $slug);
        $version = $this->changedVersion($request);
        $page = fn (): array => DrillPageResource::of($book->version($squad, $slug) ?? abort(404), $squad);
        $request->drill();
        $this->unlessStale(fn () => $action->keep($squad, $request->drillFields(), $own, $own->copied_from, $version), $page);

        return new JsonResponse($page());
    }

    #[
        Delete(
            '/squads/{squad}/drills/{slug}',
            'Retires a drill of the squad\'s own: it leaves the book, and stays in the plans and numbers it has.',
            status: 204,
        ),
    ]
    public function destroy(Request $request, Squad $squad, string $slug, AuditTrail $trail): Response
    {
        Gate::authorize('plan', $squad);
        $own = self::own($squad, $slug);
        $trail->noteOf(
            $this->user($request),
            'drill.retired',
            (string) DrillVersion::query()->where('own_drill_id', $own->id)->orderByDesc('id')->value('name'),
            $squad->id,
        );
        $own->update(['retired_at_utc' => now()]);
        DrillVersion::query()->where('own_drill_id', $own->id)->update(['is_current' => false]);

        return response()->noContent();
    }

    /** The squad's own drill of that name; a shared one of another squad is copied, not changed. */
    public static function own(Squad $squad, string $slug): OwnDrill
    {
        return OwnDrill::query()->where('squad_id', $squad->id)->where('slug', $slug)->whereNull('retired_at_utc')->firstOrFail();
    }
}
