<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People\SetPassword;
use App\Auth\EmailAddress;
use App\Auth\LinkPost;
use App\Auth\Links;
use App\Http\Requests\NewPasswordRequest;
use App\Mail\LinkMail;
use App\Models\User;
use App\OpenApi\Get;
use App\OpenApi\Post;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Behind a signed link that the club lead hands over, or that is mailed where mail has been set up. */
class PasswordResetController extends Controller
{
    #[
        Get(
            '/password-resets/{account}',
            'Whose password a signed link sets.',
            answers: 'ResetOffer',
            query: ['expires' => 'int', 'fingerprint' => 'string', 'signature' => 'string'],
        ),
    ]
    public function show(Request $request, User $account): JsonResponse
    {
        $this->refuseSpent($request, $account);

        return new JsonResponse(['name' => $account->name, 'email' => $account->email]);
    }

    #[
        Post(
            '/password-resets/{account}',
            'Sets the password and ends every sign-in; the link works once.',
            answers: 'ResetOffer',
            takes: 'NewPasswordFields',
            query: ['expires' => 'int', 'fingerprint' => 'string', 'signature' => 'string'],
        ),
    ]
    public function update(NewPasswordRequest $request, User $account, SetPassword $action): JsonResponse
    {
        $this->refuseSpent($request, $account);
        $action->set($account, $request->string('password')->toString());

        return new JsonResponse(['name' => $account->name, 'email' => $account->email]);
    }

    #[
        Post(
            '/password-resets',
            'Asks for a reset link by mail. The answer is the same whether the address is known or not.',
            answers: 'ResetAsked',
            takes: 'EmailFields',
        ),
    ]
    public function store(Request $request, LinkPost $post): JsonResponse
    {
        $request->validate(['email' => ['required', 'string', 'email', 'max:190']], ['email.*' => 'Enter your e-mail address.']);
        $user = User::query()->where('email', EmailAddress::canonical($request->string('email')->toString()))->first();
        if ($user !== null) {
            $link = Links::mailed(Links::reset($user, now()->toImmutable()->addHours(Links::RESET_HOURS)));
            // After the answer, so that the time it takes tells nobody which addresses are known.
            $mail = new LinkMail(
                'A new password for Fleet Sparrow',
                'With this link you set a new password; it is good for '.Links::RESET_HOURS.' hours:',
                $link,
            );
            defer(fn (): bool => $post->send($user->email, $mail));
        }

        return new JsonResponse(['byMail' => LinkPost::isSetUp()]);
    }

    private function refuseSpent(Request $request, User $account): void
    {
        abort_unless(hash_equals(Links::fingerprint($account), $request->string('fingerprint')->toString()), 403, 'link-spent');
    }
}
