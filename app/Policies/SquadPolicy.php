<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Squad;
use App\Models\User;
use App\Tenancy\Ability;
use Illuminate\Auth\Access\Response;

/** A squad is open to its own staff and to the club lead. To anybody else it does not exist. */
class SquadPolicy
{
    public function view(User $user, Squad $squad): Response
    {
        return $this->decide($user, $squad, Ability::View);
    }

    public function run(User $user, Squad $squad): Response
    {
        return $this->decide($user, $squad, Ability::Run);
    }

    public function plan(User $user, Squad $squad): Response
    {
        return $this->decide($user, $squad, Ability::Plan);
    }

    public function notes(User $user, Squad $squad): Response
    {
        return $this->decide($user, $squad, Ability::Notes);
    }

    public function settings(User $user, Squad $squad): Response
    {
        return $this->decide($user, $squad, Ability::Settings);
    }

    private function decide(User $user, Squad $squad, Ability $ability): Response
    {
        $role = $user->roleIn($squad);

        return match (true) {
            $role === null => Response::denyAsNotFound(),
            $role->may($ability) => Response::allow(),
            default => Response::deny($ability->refusal()),
        };
    }
}
