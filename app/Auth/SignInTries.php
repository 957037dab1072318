<?php

declare(strict_types=1);

namespace App\Auth;

use App\Models\User;
use Illuminate\Cache\RateLimiter;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/**
 * Slows down guessing at any secret: a password, the current one, a link. Failed tries are counted by what is guessed at and
 * the address they come from, by the address alone, and by what is guessed at alone.
 *
 * The last two could be used by a stranger to keep a coach, or everybody behind one address, out. So a browser that has
 * signed in before carries a sign of that, and its tries at that account are counted by it and nothing else.
 */
final class SignInTries
{
    public const PER_PAIR = 8;

    public const PER_ADDRESS = 40;

    public const PER_SECRET = 100;

    private const SECONDS = 60;

    private const SECONDS_PER_SECRET = 900;

    private const COOKIE = 'fleet_sparrow_known';

    private const COOKIE_MINUTES = 60 * 24 * 365;

    public function __construct(private readonly RateLimiter $limiter)
    {
    }

    /**
     * @param  string  $secret  what is guessed at: an account's address in its one spelling, or a link
     *
     * @throws TooManyRequestsHttpException With the seconds to wait.
     */
    public function refuseTooMany(string $secret, Request $request): void
    {
        $wait = 0;
        foreach ($this->counters($secret, $request) as [$key, $most]) {
            if ($this->limiter->tooManyAttempts($key, $most)) {
                $wait = max($wait, $this->limiter->availableIn($key));
            }
        }
        if ($wait > 0) {
            throw new TooManyRequestsHttpException($wait);
        }
    }

    public function failed(string $secret, Request $request): void
    {
        foreach ($this->counters($secret, $request) as [$key, , $seconds]) {
            $this->limiter->hit($key, $seconds);
        }
    }

    /** Forgives what was counted of this browser or address, and has the browser known from now on. */
    public function succeeded(User $user, Request $request): void
    {
        $this->limiter->clear($this->counters($user->email, $request)[0][0]);
        Cookie::queue(
            self::COOKIE,
            json_encode(['account' => $user->id, 'sign' => Str::random(20)], JSON_THROW_ON_ERROR),
            self::COOKIE_MINUTES,
        );
    }

    /** @return list<array{string, int, int}> counter, most, seconds */
    private function counters(string $secret, Request $request): array
    {
        $of = fn (string ...$parts): string => 'tries.'.hash('sha256', implode('|', $parts));
        $sign = $this->knownSign($secret, $request);
        if ($sign !== null) {
            return [[$of('known', $sign), self::PER_PAIR, self::SECONDS]];
        }
        $address = (string) $request->ip();

        return [
            [$of('pair', $secret, $address), self::PER_PAIR, self::SECONDS],
            [$of('address', $address), self::PER_ADDRESS, self::SECONDS],
            [$of('secret', $secret), self::PER_SECRET, self::SECONDS_PER_SECRET],
        ];
    }

    /** What a browser carries that has signed in to this account before; the cookie is encrypted, so nobody makes one. */
    private function knownSign(string $secret, Request $request): ?string
    {
        $cookie = $request->cookie(self::COOKIE);
        $known = is_string($cookie) ? json_decode($cookie, true) : null;
        if (! is_array($known) || ! is_int($known['account'] ?? null) || ! is_string($known['sign'] ?? null)) {
            return null;
        }

        return User::query()->whereKey($known['account'])->where('email', $secret)->exists() ? $known['sign'] : null;
    }
}
