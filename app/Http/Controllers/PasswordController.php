<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People\SetPassword;
use App\Auth\SignInDesk;
use App\Auth\SignInTries;
use App\Http\Requests\PasswordRequest;
use App\OpenApi\Put;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;

class PasswordController extends Controller
{
    #[Put('/me/password', 'Changes your password and signs every other device out.', answers: 'Pulse', takes: 'PasswordFields')]
    public function update(PasswordRequest $request, SetPassword $action, SignInTries $tries): JsonResponse
    {
        $user = $this->user($request);
        // Guessing here is counted as at the door.
        $tries->refuseTooMany($user->email, $request);
        try {
            $action->change(
                $user,
                $request->string('currentPassword')->toString(),
                $request->string('password')->toString(),
                SignInDesk::currentId($request),
            );
        } catch (ValidationException $wrongPassword) {
            $tries->failed($user->email, $request);
            throw $wrongPassword;
        }

        return new JsonResponse(['signedIn' => true]);
    }
}
