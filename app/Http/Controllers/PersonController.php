<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People\ChangePerson;
use App\Http\Requests\PersonRequest;
use App\Http\Resources\PersonResource;
use App\Models\Invitation;
use App\Models\User;
use App\OpenApi\Delete;
use App\OpenApi\Get;
use App\OpenApi\Put;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

class PersonController extends Controller
{
    #[Get('/club/people', 'The club\'s staff and its open invitations.', answers: 'People')]
    public function index(Request $request): JsonResponse
    {
        $club = $this->user($request)->club;
        Gate::authorize('manage', $club);

        return new JsonResponse([
            'people' => User::query()
                ->where('club_id', $club->id)
                ->with('squads')
                ->orderBy('name')
                ->get()
                ->map(PersonResource::of(...))
                ->all(),
            'invitations' => Invitation::query()
                ->tap(Invitation::open(...))
                ->with('squad')
                ->orderBy('id')
                ->get()
                ->map(PersonResource::invitation(...))
                ->all(),
        ]);
    }

    #[Put('/club/people/{person}', 'Gives somebody other squads and roles.', answers: 'Person', takes: 'PersonFields')]
    public function update(PersonRequest $request, User $person, ChangePerson $action): JsonResponse
    {
        return new JsonResponse(
            PersonResource::of(
                $action->change($person, $request->boolean('isLead'), $request->roles(), $this->user($request))->load('squads'),
            ),
        );
    }

    #[Delete('/club/people/{person}', 'Takes somebody off the staff; the numbers they wrote stay.', status: 204)]
    public function destroy(Request $request, User $person, ChangePerson $action): JsonResponse
    {
        Gate::authorize('manage', $this->user($request)->club);
        $action->remove($person, $this->user($request));

        return new JsonResponse(null, 204);
    }
}
