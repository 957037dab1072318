<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Auth\AuditTrail;
use App\Auth\PasswordText;
use App\Models\Invitation;
use App\Models\User;
use App\Tenancy\ClubContext;
use App\Tenancy\Role;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/** Takes up a place on the staff: a new account, or one more squad for somebody of the club. */
final class AcceptInvitation
{
    public function __construct(private readonly ClubContext $context, private readonly AuditTrail $trail)
    {
    }

    /** @throws ModelNotFoundException<Invitation> If there is none, or it has expired or been used. */
    public function find(string $token): Invitation
    {
        // Whose club it is, only the link can say.
        $invitation = Invitation::query()
            ->withoutGlobalScope('club')
            ->tap(Invitation::open(...))
            ->where('token_hash', hash('sha256', $token))
            ->firstOrFail();
        $this->context->actFor($invitation->club_id);

        return $invitation;
    }

    /** An address that has an account takes the place with that account's password. */
    public function accept(string $token, string $name, string $password): User
    {
        return DB::transaction(function () use ($token, $name, $password): User {
            $invitation = $this->find($token);
            Invitation::query()->whereKey($invitation->id)->lockForUpdate()->tap(Invitation::open(...))->firstOrFail();
            $user = User::query()->where('email', $invitation->email)->first();
            if (
                $user !== null
                && ($user->club_id !== $invitation->club_id || ! PasswordText::canBeHashed($password) || ! Hash::check(
                    $password,
                    $user->password,
                ))
            ) {
                throw ValidationException::withMessages(
                    ['password' => 'This address has an account already. Enter its password to take the place.'],
                );
            }
            $user ??= User::query()->create(
                ['club_id' => $invitation->club_id, 'name' => $name, 'email' => $invitation->email, 'password' => $password],
            );
            if ($invitation->role === Role::Lead) {
                $user->update(['is_lead' => true]);
            } else {
                $user->squads()->syncWithoutDetaching(
                    [(int) $invitation->squad_id => ['role' => $invitation->role->value, 'club_id' => $user->club_id]],
                );
            }
            $invitation->update(['accepted_at_utc' => now('UTC')]);
            $this->trail->noteOf($user, 'staff.joined', $user->name, $invitation->squad_id, ['role' => ['', $invitation->role->value]]);

            return $user->refresh();
        });
    }
}
