<?php

declare(strict_types=1);

namespace App\Auth;

use App\Models\User;
use Illuminate\Auth\EloquentUserProvider;
use Illuminate\Contracts\Auth\UserProvider;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\Request;

/** Finds the user of a session only while its sign-in has not been ended: one query for both. */
final class SignInUserProvider extends EloquentUserProvider implements UserProvider
{
    public function retrieveById($identifier): ?User
    {
        $signInId = SignInDesk::currentId(resolve(Request::class));
        if ($signInId === null) {
            return null;
        }

        return User::query()->whereKey($identifier)->whereHas('signIns', fn (Builder $signIns) => $signIns->whereKey($signInId))->first();
    }
}
