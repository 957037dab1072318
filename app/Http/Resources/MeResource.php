<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\User;
use App\OpenApi\Shape;
use App\Tenancy\ClubDay;

#[
    Shape(
        'SquadRef',
        [
            'id' => 'int',
            'name' => 'string',
            'ageGroup' => 'string',
            'lengthUnit' => "'m'|'yd'|'ft'|'pace'",
            'footWording' => "'other'|'weaker'",
            'role' => "'lead'|'coach'|'assistant'",
        ],
    ),
]
#[
    Shape(
        'Me',
        [
            'id' => 'int',
            'name' => 'string',
            'email' => 'string',
            'clubName' => 'string',
            'isLead' => 'bool',
            'today' => 'date',
            'squads' => 'SquadRef[]',
        ],
    ),
]
#[Shape('SignInFields', ['email' => 'string', 'password' => 'string'])]
#[Shape('SignedOut', ['signedIn' => 'bool'])]
#[Shape('Pulse', ['signedIn' => 'bool'])]
#[Shape('SignIn', ['id' => 'int', 'device' => 'string', 'signedInAt' => 'instant', 'seenAt' => 'instant', 'isThis' => 'bool'])]
#[Shape('SignIns', ['signIns' => 'SignIn[]'])]
#[Shape('FieldFault', ['path' => 'string', 'message' => 'string'])]
#[
    Shape(
        'Problem',
        [
            'type' => 'string',
            'title' => 'string',
            'status' => 'int',
            'code' => 'string',
            'detail' => 'string',
            'fields' => 'FieldFault[]',
            'current?' => 'object',
            'sentVersion?' => 'int',
            'currentVersion?' => 'int',
            'requestId?' => 'string',
        ],
    ),
]
final class MeResource
{
    /** @return array<string, mixed> */
    public static function of(User $user, ClubDay $day): array
    {
        return [
            'id' => $user->id,
            'name' => $user->name,
            'email' => $user->email,
            'clubName' => $user->club->name,
            'isLead' => $user->is_lead,
            'today' => $day->today()->iso(),
            'squads' => array_map(fn (array $open): array => [
                'id' => $open['squad']->id,
                'name' => $open['squad']->name,
                'ageGroup' => $open['squad']->age_group,
                'lengthUnit' => $open['squad']->length_unit->value,
                'footWording' => $open['squad']->foot_wording,
                'role' => $open['role']->value,
            ], $user->openSquads()),
        ];
    }
}
