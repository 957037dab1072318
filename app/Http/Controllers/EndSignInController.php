<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\OpenApi\Delete;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

class EndSignInController extends Controller
{
    #[Delete('/sign-ins/{signIn}', 'Ends one of your sign-ins, as when a phone was lost.', status: 204)]
    public function __invoke(Request $request, int $signIn): JsonResponse
    {
        $this->user($request)->signIns()->whereKey($signIn)->firstOrFail()->delete();

        return new JsonResponse(null, 204);
    }
}
