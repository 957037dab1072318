<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Auth\AuditTrail;
use App\Auth\Links;
use App\Models\User;
use App\OpenApi\Post;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

class ResetLinkController extends Controller
{
    #[
        Post(
            '/club/people/{person}/reset-link',
            'Makes a signed link with which somebody sets a new password.',
            answers: 'ResetLink',
            status: 201,
        ),
    ]
    public function __invoke(Request $request, User $person, AuditTrail $trail): JsonResponse
    {
        Gate::authorize('manage', $this->user($request)->club);
        $expires = now()->addHours(Links::RESET_HOURS)->toImmutable();

        $trail->noteOf($this->user($request), 'staff.reset-link', $person->name);

        return new JsonResponse(['path' => Links::reset($person, $expires), 'expiresAt' => $expires->utc()->toIso8601ZuluString()], 201);
    }
}
