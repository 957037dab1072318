<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People\AcceptInvitation;
use App\Auth\SignInDesk;
use App\Auth\SignInTries;
use App\Http\Requests\AcceptInvitationRequest;
use App\Http\Resources\MeResource;
use App\OpenApi\Post;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;

class AcceptInvitationController extends Controller
{
    #[Post('/invitations/{token}', 'Takes the place offered and signs in.', answers: 'Me', takes: 'AcceptFields', status: 201)]
    public function __invoke(
        AcceptInvitationRequest $request,
        string $token,
        AcceptInvitation $action,
        SignInDesk $desk,
        SignInTries $tries,
    ): JsonResponse {
        // Behind the link an account's password may be asked for: guessing it is counted as at the door.
        $email = $action->find($token)->email;
        $tries->refuseTooMany($email, $request);
        try {
            $user = $action->accept($token, $request->string('name')->trim()->toString(), $request->string('password')->toString());
        } catch (ValidationException $wrongPassword) {
            $tries->failed($email, $request);
            throw $wrongPassword;
        }
        $desk->begin($request, $user);

        return new JsonResponse(MeResource::of($user, $user->club->day()), 201);
    }
}
