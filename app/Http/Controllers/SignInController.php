<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SignInRequest;
use App\Models\Squad;
use App\Models\User;
use App\Support\ClubContext;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

class SignInController extends Controller
{
    /** The cheapest signed-in answer: is the sign-in still good? */
    public function index(): JsonResponse
    {
        return new JsonResponse(['signedIn' => true]);
    }

    public function show(Request $request): JsonResponse
    {
        return new JsonResponse($this->me($request));
    }

    public function store(SignInRequest $request, ClubContext $context): JsonResponse
    {
        if (! Auth::attempt(['email' => $request->string('email')->toString(), 'password' => $request->string('password')->toString()])) {
            throw ValidationException::withMessages(['password' => 'E-mail and password do not go together. Try again.']);
        }
        $request->session()->regenerate();
        /** @var User $user */
        $user = $request->user();
        $context->actFor($user->club_id);

        return new JsonResponse($this->me($request));
    }

    public function destroy(Request $request): JsonResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(['signedIn' => false]);
    }

    /** @return array<string, mixed> */
    private function me(Request $request): array
    {
        /** @var User $user */
        $user = $request->user();

        return [
            'name' => $user->name,
            'clubName' => $user->club->name,
            'today' => $this->day($request)->today()->iso(),
            'squads' => $user->squads()->orderBy('squads.id')->get()->map(fn (Squad $squad): array => [
                'id' => $squad->id,
                'name' => $squad->name,
                'ageGroup' => $squad->age_group,
                'lengthUnit' => $squad->length_unit->value,
                'role' => $squad->getRelation('pivot')->getAttribute('role'),
            ])->all(),
        ];
    }
}
