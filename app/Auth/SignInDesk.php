<?php

declare(strict_types=1);

namespace App\Auth;

use App\Models\SignIn;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;

/** Begins and ends sign-ins. The row in `sign_ins` is what counts; the session only names it. */
final class SignInDesk
{
    public const SESSION_KEY = 'sign_in_id';

    private const SEEN_KEY = 'seen_at';

    private const SEEN_EVERY_SECONDS = 600;

    public function begin(Request $request, User $user): void
    {
        Auth::login($user);
        $request->session()->regenerate();
        $signIn = SignIn::query()->create([
            'club_id' => $user->club_id,
            'user_id' => $user->id,
            'device' => self::device((string) $request->userAgent()),
            'signed_in_at_utc' => now('UTC'),
            'seen_at_utc' => now('UTC'),
        ]);
        $request->session()->put([self::SESSION_KEY => $signIn->id, self::SEEN_KEY => now()->getTimestamp()]);
    }

    public function end(Request $request): void
    {
        SignIn::query()->whereKey($request->session()->get(self::SESSION_KEY))->delete();
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
    }

    /** Ends every sign-in of somebody, save the one given. */
    public function endAll(User $user, ?int $exceptId = null): void
    {
        $user->signIns()->when($exceptId !== null, fn ($query) => $query->whereKeyNot($exceptId))->delete();
    }

    public static function currentId(Request $request): ?int
    {
        $id = $request->hasSession() ? $request->session()->get(self::SESSION_KEY) : null;

        return is_int($id) ? $id : null;
    }

    /** Every ten minutes at most, so that an ordinary request writes nothing. */
    public function seen(Request $request): void
    {
        $id = self::currentId($request);
        if ($id === null || now()->getTimestamp() - (int) $request->session()->get(self::SEEN_KEY, 0) < self::SEEN_EVERY_SECONDS) {
            return;
        }
        SignIn::query()->whereKey($id)->update(['seen_at_utc' => now('UTC')]);
        $request->session()->put(self::SEEN_KEY, now()->getTimestamp());
    }

    /** A word or two to tell one's devices apart; the browser's full self-description is not kept. */
    private static function device(string $userAgent): string
    {
        $browser = match (true) {
            str_contains($userAgent, 'Firefox/') => 'Firefox',
            str_contains($userAgent, 'Edg/') => 'Edge',
            str_contains($userAgent, 'Chrome/') => 'Chrome or Chromium',
            str_contains($userAgent, 'Safari/') => 'Safari',
            default => 'A browser',
        };
        $system = match (true) {
            str_contains($userAgent, 'Android') => 'Android',
            str_contains($userAgent, 'iPhone'), str_contains($userAgent, 'iPad') => 'iOS',
            str_contains($userAgent, 'Windows') => 'Windows',
            str_contains($userAgent, 'Macintosh') => 'macOS',
            str_contains($userAgent, 'Linux') => 'Linux',
            default => 'an unknown system',
        };

        return "{$browser} on {$system}";
    }
}
