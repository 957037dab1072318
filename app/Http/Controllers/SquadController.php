<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Auth\AuditTrail;
use App\Http\Requests\SquadRequest;
use App\Http\Resources\BoardResource;
use App\Models\Squad;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\Planning\SeasonSpan;
use App\Planning\SquadHistory;
use App\Queries\BoardQuery;
use FleetSparrow\Core\Progress\LineStory;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

class SquadController extends Controller
{
    #[
        Get(
            '/squads/{squad}',
            'Everyone, and how each stands on each record line against their own past. The season that goes on, or one that has ended.',
            answers: 'SquadBoard',
            query: ['season?' => 'int'],
        ),
    ]
    public function show(Request $request, Squad $squad, BoardQuery $boards, SquadHistory $history): JsonResponse
    {
        Gate::authorize('view', $squad);
        $day = $this->day($request);
        $span = SeasonSpan::tryOf($squad, $day->today(), $request->has('season') ? $request->integer('season') : null) ?? abort(404);

        return new JsonResponse([
            'id' => $squad->id,
            'name' => $squad->name,
            'ageGroup' => $squad->age_group,
            'today' => $day->today()->iso(),
            'endedSeasons' => $history->rememberAside($squad, 'ended', fn (): array => SeasonSpan::ended($squad)),
        ] + BoardResource::said($history->remember(
            $squad,
            "board.{$span->key()}",
            fn (): array => BoardResource::of(
                $boards->of($squad, $span, $day, fn (LineStory $story): ?array => BoardResource::cell($story, $span->until)),
                $squad,
            ),
        )));
    }

    #[Post('/club/squads', 'Adds a squad to the club.', answers: 'SquadMade', takes: 'SquadFields', status: 201)]
    public function store(SquadRequest $request, AuditTrail $trail): JsonResponse
    {
        $squad = Squad::query()->create(
            ['name' => $request->string('name')->trim()->toString(), 'age_group' => $request->string('ageGroup')->toString()],
        );
        $trail->noteOf($this->user($request), 'squad.added', $squad->name, $squad->id);

        return new JsonResponse(['id' => $squad->id], 201);
    }
}
