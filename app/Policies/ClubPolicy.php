<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Club;
use App\Models\User;
use App\Tenancy\Ability;
use App\Tenancy\Role;
use Illuminate\Auth\Access\Response;

/** The club's people and settings are the lead's. */
class ClubPolicy
{
    public function manage(User $user, Club $club): Response
    {
        $isLead = $user->is_lead && $user->club_id === $club->id;

        return $isLead && Role::Lead->may(Ability::Manage) ? Response::allow() : Response::deny(Ability::Manage->refusal());
    }
}
