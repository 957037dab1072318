<?php

declare(strict_types=1);

namespace App\Actions\People;

use App\Models\User;
use App\Support\SignInDesk;
use Illuminate\Support\Facades\DB;

/** A new password ends every other sign-in: whoever had the old one is out. */
final class SetPassword
{
    public const LEAST_LETTERS = 10;

    public function __construct(private readonly SignInDesk $desk)
    {
    }

    public function set(User $user, string $password, ?int $keepSignInId = null): void
    {
        DB::transaction(function () use ($user, $password, $keepSignInId): void {
            $user->update(['password' => $password]);
            $this->desk->endAll($user, $keepSignInId);
        });
    }
}
