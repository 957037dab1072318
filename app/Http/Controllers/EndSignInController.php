<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Auth\AuditTrail;
use App\OpenApi\Delete;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

class EndSignInController extends Controller
{
    #[Delete('/sign-ins/{signIn}', 'Ends one of your sign-ins, as when a phone was lost.', status: 204)]
    public function __invoke(Request $request, int $signIn, AuditTrail $trail): JsonResponse
    {
        $user = $this->user($request);
        $ended = $user->signIns()->whereKey($signIn)->firstOrFail();
        $trail->noteOf($user, 'staff.sign-in-ended', "{$user->name}, {$ended->device}");
        $ended->delete();

        return new JsonResponse(null, 204);
    }
}
