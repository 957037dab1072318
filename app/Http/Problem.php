<?php

declare(strict_types=1);

namespace App\Http;

use App\Actions\StaleVersion;
use App\Http\Middleware\NameRequest;
use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Routing\Exceptions\InvalidSignatureException;
use Illuminate\Session\TokenMismatchException;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Throwable;

/** Problem details (RFC 9457) with a stable `code`, one sentence, and the fields at fault. */
final class Problem
{
    public static function from(Throwable $fault, Request $request): JsonResponse
    {
        return match (true) {
            $fault instanceof ValidationException => self::of(
                422,
                'invalid',
                'Some of what was entered cannot be used.',
                self::fields($fault),
            ),
            $fault instanceof CoreException => self::of(422, $fault->reason(), $fault->getMessage()),
            $fault instanceof AuthenticationException => self::of(
                401,
                'signed-out',
                'You are signed out. Sign in again to go on; nothing typed is lost.',
            ),
            $fault instanceof TokenMismatchException => self::of(
                419,
                'token-stale',
                'This page is older than your sign-in. Try once more.',
            ),
            $fault instanceof StaleVersion => self::stale($fault),
            LostConnection::caused($fault) => self::of(
                503,
                'records-away',
                'The club\'s records cannot be reached just now. Numbers stay on this device and are sent later.',
            ),
            $fault instanceof InvalidSignatureException => self::ofStatus(403, 'link-spent'),
            $fault instanceof ModelNotFoundException => self::of(404, 'not-found', 'There is nothing here for you under this address.'),
            $fault instanceof HttpExceptionInterface => self::http($fault),
            default => self::fault($request),
        };
    }

    private static function stale(StaleVersion $fault): JsonResponse
    {
        $versions = ['sentVersion' => $fault->sent, 'currentVersion' => $fault->now];

        return self::of(
            412,
            'stale-version',
            $fault->getMessage(),
            extra: $versions + ($fault->current === [] ? [] : ['current' => $fault->current]),
        );
    }

    /** A bug, or a table that is not as the code thinks: in the log under the same name. */
    private static function fault(Request $request): JsonResponse
    {
        $name = $request->attributes->get(NameRequest::ATTRIBUTE);
        $name = is_string($name) ? $name : 'unnamed';

        return self::of(
            500,
            'fault',
            "Something broke on our side. It has been noted as {$name}; trying again will not mend it.",
            extra: ['requestId' => $name],
        );
    }

    /** With its headers: how long to wait, what is allowed. */
    private static function http(HttpExceptionInterface $fault): JsonResponse
    {
        $wait = $fault->getHeaders()['Retry-After'] ?? null;
        $answer = $fault->getStatusCode() === 429
            ? self::of(429, 'too-many-tries', 'Too many tries. '.self::waitWords((int) $wait).' and try again.')
            : self::ofStatus($fault->getStatusCode(), $fault->getMessage());
        foreach ($fault->getHeaders() as $name => $value) {
            $answer->headers->set($name, is_scalar($value) ? (string) $value : null);
        }

        return $answer;
    }

    private static function waitWords(int $seconds): string
    {
        return match (true) {
            $seconds <= 60 => 'Wait a minute',
            default => 'Wait '.(int) ceil($seconds / 60).' minutes',
        };
    }

    private static function ofStatus(int $status, string $message = ''): JsonResponse
    {
        return match ($status) {
            401 => $message === 'link-closed'
                ? self::of(401, 'link-closed', 'This page is not open any more. Ask your coach for a new link.')
                : self::of(401, 'unknown-token', 'This token is not known, or its time is over. Let the device count anew from the run.'),
            403 => $message === 'link-spent'
                ? self::of(403, 'link-spent', 'This link is no longer good. Ask your club lead for a new one.')
                : self::of(403, 'role', $message === '' ? 'Your role does not cover this.' : $message),
            404 => self::of(404, 'not-found', 'There is nothing here for you under this address.'),
            405 => self::of(405, 'not-allowed', 'This cannot be done here.'),
            413 => self::of(413, 'too-large', 'That is more than can be taken at once.'),
            419 => self::of(419, 'token-stale', 'This page is older than your sign-in. Try once more.'),
            422 => self::of(422, 'too-deep', 'That is nested deeper than anything that is sent here.'),
            428 => self::of(428, 'version-missing', 'Say which version was changed (If-Match).'),
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
            [
                'type' => 'about:blank',
                'title' => $code,
                'status' => $status,
                'code' => $code,
                'detail' => $detail,
                'fields' => $fields,
            ] + $extra,
            $status,
            ['Content-Type' => 'application/problem+json'],
            JSON_INVALID_UTF8_SUBSTITUTE,
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
