<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People\AcceptInvitation;
use App\Actions\People\InvitePerson;
use App\Auth\AuditTrail;
use App\Http\Requests\InvitationRequest;
use App\Models\Invitation;
use App\Models\User;
use App\OpenApi\Delete;
use App\OpenApi\Get;
use App\OpenApi\Post;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;

class InvitationController extends Controller
{
    #[Get('/invitations/{token}', 'What a place on the staff is offered behind a link.', answers: 'InvitationOffer')]
    public function show(string $token, AcceptInvitation $invitations): JsonResponse
    {
        $invitation = $invitations->find($token);

        return new JsonResponse([
            'clubName' => $invitation->club->name,
            'squadName' => $invitation->squad?->name,
            'role' => $invitation->role->value,
            'email' => $invitation->email,
            'hasAccount' => User::query()->where('email', $invitation->email)->where('club_id', $invitation->club_id)->exists(),
        ]);
    }

    #[
        Post(
            '/club/invitations',
            'Makes an invitation and its link, which is shown this once.',
            answers: 'InvitationMade',
            takes: 'InvitationFields',
            status: 201,
        ),
    ]
    public function store(InvitationRequest $request, InvitePerson $action): JsonResponse
    {
        $made = $action->invite($this->user($request), $request->email(), $request->role(), $request->squad());

        return new JsonResponse(
            [
                'id' => $made['invitation']->id,
                'path' => $made['path'],
                'expiresAt' => $made['invitation']->expires_at_utc->toIso8601ZuluString(),
                'mailed' => $made['mailed'],
            ],
            201,
        );
    }

    #[Delete('/club/invitations/{invitation}', 'Takes an invitation back; its link is dead at once.', status: 204)]
    public function destroy(Request $request, Invitation $invitation, AuditTrail $trail): JsonResponse
    {
        Gate::authorize('manage', $this->user($request)->club);
        DB::transaction(function () use ($request, $invitation, $trail): void {
            $trail->noteOf($this->user($request), 'staff.uninvited', $invitation->email, $invitation->squad_id);
            $invitation->delete();
        });

        return new JsonResponse(null, 204);
    }
}
