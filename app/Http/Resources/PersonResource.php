<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\Invitation;
use App\Models\Squad;
use App\Models\User;
use App\OpenApi\Shape;

#[Shape('SquadRole', ['squadId' => 'int', 'role' => "'coach'|'assistant'"])]
#[Shape('Person', ['id' => 'int', 'name' => 'string', 'email' => 'string', 'isLead' => 'bool', 'roles' => 'SquadRole[]'])]
#[
    Shape(
        'Invitation',
        ['id' => 'int', 'email' => 'string', 'role' => "'lead'|'coach'|'assistant'", 'squadName' => 'string?', 'expiresAt' => 'instant'],
    ),
]
#[Shape('People', ['people' => 'Person[]', 'invitations' => 'Invitation[]'])]
#[Shape('InvitationMade', ['id' => 'int', 'path' => 'string', 'expiresAt' => 'instant', 'mailed' => 'bool'])]
#[
    Shape(
        'InvitationOffer',
        [
            'clubName' => 'string',
            'squadName' => 'string?',
            'role' => "'lead'|'coach'|'assistant'",
            'email' => 'string',
            'hasAccount' => 'bool',
        ],
    ),
]
#[Shape('ResetLink', ['path' => 'string', 'expiresAt' => 'instant'])]
#[Shape('ResetOffer', ['name' => 'string', 'email' => 'string'])]
#[Shape('ResetAsked', ['byMail' => 'bool'])]
#[Shape('EmailFields', ['email' => 'string'])]
#[Shape('NewPasswordFields', ['password' => 'string'])]
#[Shape('PasswordFields', ['currentPassword' => 'string', 'password' => 'string'])]
#[Shape('AcceptFields', ['name' => 'string', 'password' => 'string'])]
final class PersonResource
{
    /** @return array<string, mixed> */
    public static function of(User $person): array
    {
        return [
            'id' => $person->id,
            'name' => $person->name,
            'email' => $person->email,
            'isLead' => $person->is_lead,
            'roles' => $person->squads->sortBy('id')
                ->map(fn (Squad $squad): array => ['squadId' => $squad->id, 'role' => $squad->getRelation('pivot')->getAttribute('role')])
                ->values()
                ->all(),
        ];
    }

    /** @return array<string, mixed> */
    public static function invitation(Invitation $invitation): array
    {
        return [
            'id' => $invitation->id,
            'email' => $invitation->email,
            'role' => $invitation->role->value,
            'squadName' => $invitation->squad?->name,
            'expiresAt' => $invitation->expires_at_utc->toIso8601ZuluString(),
        ];
    }
}
