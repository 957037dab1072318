<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Squad;
use App\Models\User;
use Illuminate\Auth\Access\Response;

/** A squad is open to its own staff. To anybody else it does not exist. */
class SquadPolicy
{
    public function view(User $user, Squad $squad): Response
    {
        return $this->roleIn($user, $squad) !== null ? Response::allow() : Response::denyAsNotFound();
    }

    /** Plans, players and settings: the coach's. Running and writing numbers down is for the whole staff. */
    public function plan(User $user, Squad $squad): Response
    {
        return match ($this->roleIn($user, $squad)) {
            'coach' => Response::allow(),
            null => Response::denyAsNotFound(),
            default => Response::deny('Only the squad\'s coach can change this.'),
        };
    }

    private function roleIn(User $user, Squad $squad): ?string
    {
        /** @var string|null $role */
        $role = $squad->staff()->newPivotQuery()->where('user_id', $user->id)->value('role');

        return $role;
    }
}
