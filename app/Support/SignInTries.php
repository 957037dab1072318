<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Cache\RateLimiter;
use Illuminate\Support\Str;
use Symfony\Component\HttpKernel\Exception\TooManyRequestsHttpException;

/** Slows down guessing: failed tries are counted by e-mail and address, and by address alone. A success forgives its own. */
final class SignInTries
{
    public const PER_EMAIL = 8;

    public const PER_ADDRESS = 40;

    private const SECONDS = 60;

    public function __construct(private readonly RateLimiter $limiter)
    {
    }

    /** @throws TooManyRequestsHttpException */
    public function refuseTooMany(string $email, string $address): void
    {
        if ($this->limiter->tooManyAttempts(self::key($email, $address), self::PER_EMAIL) || $this->limiter->tooManyAttempts("sign-in.{$address}", self::PER_ADDRESS)) {
            throw new TooManyRequestsHttpException(self::SECONDS);
        }
    }

    public function failed(string $email, string $address): void
    {
        $this->limiter->hit(self::key($email, $address), self::SECONDS);
        $this->limiter->hit("sign-in.{$address}", self::SECONDS);
    }

    public function succeeded(string $email, string $address): void
    {
        $this->limiter->clear(self::key($email, $address));
    }

    private static function key(string $email, string $address): string
    {
        return 'sign-in.'.hash('sha256', Str::lower($email)."|{$address}");
    }
}
