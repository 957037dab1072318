<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People\SetPassword;
use App\Http\Requests\PasswordRequest;
use App\OpenApi\Put;
use Illuminate\Http\JsonResponse;

class PasswordController extends Controller
{
    #[Put('/me/password', 'Changes your password and signs every other device out.', answers: 'Pulse', takes: 'PasswordFields')]
    public function update(PasswordRequest $request, SetPassword $action): JsonResponse
    {
        $action->change($this->user($request), $request->string('currentPassword')->toString(), $request->string('password')->toString(), $request);

        return new JsonResponse(['signedIn' => true]);
    }
}
