<?php

declare(strict_types=1);

namespace App\Http;

use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\Exceptions\ThrottleRequestsException;
use Illuminate\Http\JsonResponse;
use Illuminate\Routing\Exceptions\InvalidSignatureException;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use PDOException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** Problem details (RFC 9457) with a stable `code`, one sentence, and the fields at fault. */
final class Problem
{
    public static function from(Throwable $fault): JsonResponse
    {
        return match (true) {
            $fault instanceof ValidationException => self::of(422, 'invalid', 'Some of what was entered cannot be used.', self::fields($fault)),
            $fault instanceof CoreException => self::of(422, $fault->reason(), $fault->getMessage()),
            $fault instanceof AuthenticationException => self::of(401, 'signed-out', 'You are signed out. Sign in again to go on; nothing typed is lost.'),
            $fault instanceof TokenMismatchException => self::of(419, 'token-stale', 'This page is older than your sign-in. Try once more.'),
            $fault instanceof ThrottleRequestsException => self::of(429, 'too-many-tries', 'Too many tries. Wait a minute and try again.'),
            $fault instanceof StaleVersion => self::of(412, 'stale-version', $fault->getMessage(), extra: ['current' => $fault->current]),
            $fault instanceof PDOException => self::of(503, 'records-away', 'The club\'s records cannot be reached just now. Numbers stay on this device and are sent later.'),
            $fault instanceof InvalidSignatureException => self::ofStatus(403, 'link-spent'),
            $fault instanceof ModelNotFoundException => self::of(404, 'not-found', 'There is nothing here for you under this address.'),
            $fault instanceof HttpExceptionInterface => self::ofStatus($fault->getStatusCode(), $fault->getMessage()),
            default => self::of(500, 'fault', 'Something broke on our side. It has been noted; try again.'),
        };
    }

    private static function ofStatus(int $status, string $message = ''): JsonResponse
    {
        return match ($status) {
            403 => $message === 'link-spent'
                ? self::of(403, 'link-spent', 'This link is no longer good. Ask your club lead for a new one.')
                : self::of(403, 'role', $message === '' ? 'Your role does not cover this.' : $message),
            404 => self::of(404, 'not-found', 'There is nothing here for you under this address.'),
            405 => self::of(405, 'not-allowed', 'This cannot be done here.'),
            413 => self::of(413, 'too-large', 'That is more than can be taken at once.'),
            419 => self::of(419, 'token-stale', 'This page is older than your sign-in. Try once more.'),
            428 => self::of(428, 'version-missing', 'Say which version of the plan was changed (If-Match).'),
            429 => self::of(429, 'too-many-tries', 'Too many tries. Wait a minute and try again.'),
            default => self::of($status, 'refused', 'This cannot be done.'),
        };
    }

    /**
     * @param  list<array{path: string, message: string}>  $fields
     * @param  array<string, mixed>  $extra
     */
    private static function of(int $status, string $code, string $detail, array $fields = [], array $extra = []): JsonResponse
    {
        return new JsonResponse(
            ['type' => 'about:blank', 'title' => $code, 'status' => $status, 'code' => $code, 'detail' => $detail, 'fields' => $fields] + $extra,
            $status,
            ['Content-Type' => 'application/problem+json'],
        );
    }

    /** @return list<array{path: string, message: string}> */
    private static function fields(ValidationException $fault): array
    {
        $fields = [];
        foreach ($fault->errors() as $path => $messages) {
            $fields[] = ['path' => (string) $path, 'message' => (string) ($messages[0] ?? '')];
        }

        return $fields;
    }
}
