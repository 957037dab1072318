<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Auth\AuditTrail;
use App\Auth\PasswordText;
use App\Auth\SignInDesk;
use App\Models\User;
use App\Tenancy\ClubContext;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

/** A new password ends every other sign-in: whoever had the old one is out. */
final class SetPassword
{
    public const LEAST_LETTERS = 10;

    public const WRONG = 'This is not your password of today.';

    public function __construct(
        private readonly SignInDesk $desk,
        private readonly AuditTrail $trail,
        private readonly ClubContext $context,
    ) {
    }

    /**
     * By somebody who is signed in: a borrowed device must not be enough.
     *
     * @throws ValidationException If the password of today is another.
     */
    public function change(User $user, string $current, string $password, ?int $keepSignInId): void
    {
        if (! PasswordText::canBeHashed($current) || ! Hash::check($current, $user->password)) {
            throw ValidationException::withMessages(['currentPassword' => self::WRONG]);
        }
        $this->set($user, $password, $keepSignInId);
    }

    public function set(User $user, string $password, ?int $keepSignInId = null): void
    {
        $this->context->actFor($user->club_id);
        DB::transaction(function () use ($user, $password, $keepSignInId): void {
            $user->update(['password' => $password]);
            $this->desk->endAll($user, $keepSignInId);
            $this->trail->noteOf($user, 'staff.password', $user->name);
        });
    }
}
