<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\StaleVersion;
use App\Models\User;
use App\Tenancy\ClubDay;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\Request;

abstract class Controller
{
    protected function day(Request $request): ClubDay
    {
        return $this->user($request)->club->day();
    }

    /** The version that was changed, as `If-Match` says; 428 without one. */
    protected function changedVersion(Request $request): int
    {
        $said = trim((string) $request->headers->get('If-Match'), '"');
        abort_if($said === '', 428);

        // What is no version of ours matches none.
        return preg_match('/\A[1-9]\d{0,8}\z/', $said) === 1 ? (int) $said : 0;
    }

    /**
     * Does the work; where it finds that something was changed elsewhere, the answer shows it as it stands.
     *
     * @template T
     *
     * @param  callable(): T  $work
     * @param  callable(): array<string, mixed>  $current
     * @return T
     *
     * @throws StaleVersion
     */
    protected function unlessStale(callable $work, callable $current): mixed
    {
        try {
            return $work();
        } catch (StaleVersion $stale) {
            throw $stale->showing($current());
        }
    }

    protected function user(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new AuthenticationException;
    }
}
