<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Auth\PasswordText;
use App\Auth\SignInDesk;
use App\Auth\SignInTries;
use App\Http\Requests\SignInRequest;
use App\Http\Resources\MeResource;
use App\Models\SignIn;
use App\Models\User;
use App\OpenApi\Delete;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\Tenancy\ClubContext;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Hash;
use Illuminate\Validation\ValidationException;

class SignInController extends Controller
{
    /** The hash of a password nobody has; before it comes what it costs to check. */
    private const NOBODY = 'YjetU2jWyDjeM7pL8Ghmx.K3Sxrc9BtvhtSa9mgP8CRRUpLcN0wCa';

    public function __construct(private readonly SignInDesk $desk)
    {
    }

    #[Get('/sign-ins', 'The devices you are signed in on.', answers: 'SignIns')]
    public function index(Request $request): JsonResponse
    {
        $current = SignInDesk::currentId($request);
        $signIns = $this->user($request)->signIns()->orderByDesc('seen_at_utc')->get();

        return new JsonResponse(['signIns' => $signIns->map(fn (SignIn $one): array => [
            'id' => $one->id,
            'device' => $one->device,
            'signedInAt' => $one->signed_in_at_utc->toIso8601ZuluString(),
            'seenAt' => $one->seen_at_utc->toIso8601ZuluString(),
            'isThis' => $one->id === $current,
        ])->all()]);
    }

    #[Get('/me', 'Who is signed in, and which squads are open to them.', answers: 'Me')]
    public function show(Request $request): JsonResponse
    {
        return new JsonResponse(MeResource::of($this->user($request), $this->day($request)));
    }

    #[Post('/sign-in', 'Signs in with e-mail and password.', answers: 'Me', takes: 'SignInFields')]
    public function store(SignInRequest $request, ClubContext $context, SignInTries $tries): JsonResponse
    {
        $email = $request->email();
        $password = $request->string('password')->toString();
        $tries->refuseTooMany($email, $request);
        $user = User::query()->where('email', $email)->first();
        // Checked against something even for an unknown address, as dear as a real one: so the time taken tells nobody which exist.
        $nobodys = sprintf('$2y$%02d$%s', Config::integer('hashing.bcrypt.rounds'), self::NOBODY);
        $isRight = Hash::check(PasswordText::canBeHashed($password) ? $password : '', $user->password ?? $nobodys);
        if (! $isRight || $user === null) {
            $tries->failed($email, $request);
            throw ValidationException::withMessages(['password' => 'E-mail and password do not go together. Try again.']);
        }
        $tries->succeeded($user, $request);
        $this->desk->begin($request, $user);
        $context->actFor($user->club_id);

        return $this->show($request);
    }

    #[Delete('/sign-in', 'Signs out on this device.', answers: 'SignedOut')]
    public function destroy(Request $request): JsonResponse
    {
        $this->desk->end($request);

        return new JsonResponse(['signedIn' => false]);
    }
}
