<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Exchange\Import\DeviceInstant;
use App\Models\RecordLine;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Record\Bounds;
use FleetSparrow\Core\Record\MarkParts;
use FleetSparrow\Core\Record\MarkValue;
use FleetSparrow\Core\Record\PartsKind;
use FleetSparrow\Core\Shared\Uuid;

/** Reads the single fields of a mark as a device sent it; what cannot be read is refused. */
final class MarkFields
{
    private const COUNTED_BY = ['coach', 'partner', 'self'];

    /** Of one mark: a choice between readings names each of them. */
    private const MOST_SUPERSEDED = 20;

    /** @param  array<string, mixed>  $item */
    public static function tryNumber(array $item): int
    {
        $try = $item['tryNumber'] ?? null;

        return is_int($try) && $try >= 1 && $try <= 200 ? $try : throw new MarkRefused('try-number', 'The try must be between 1 and 200.');
    }

    /**
     * @param  array<string, mixed>  $item
     * @return string|null a sorted JSON list; null for none
     */
    public static function superseded(array $item): ?string
    {
        $uuids = $item['supersedesUuids'] ?? [];
        $isList = is_array($uuids)
            && array_is_list($uuids)
            && count($uuids) <= self::MOST_SUPERSEDED
            && array_filter($uuids, fn (mixed $uuid): bool => ! self::isUuid($uuid) || $uuid === $item['uuid']) === [];
        if (! $isList) {
            throw new MarkRefused('supersedes', 'A correction names other marks by their UUID, at most '.self::MOST_SUPERSEDED.'.');
        }
        $sorted = array_values(array_unique($uuids));
        sort($sorted);

        return $sorted === [] ? null : json_encode($sorted, JSON_THROW_ON_ERROR);
    }

    /** @param  array<string, mixed>  $item */
    public static function value(array $item, RecordLine $line): string
    {
        $value = $item['value'] ?? null;
        if (! is_int($value) && ! is_float($value)) {
            throw new MarkRefused('value', 'A mark needs a number.');
        }
        try {
            $number = MarkValue::of($line->kind, (float) $value);
            // A void try counts for nothing, whatever stands beside it.
            if (($item['isVoid'] ?? false) !== true) {
                $number->within(Bounds::of($line->kind, $line->task));
            }

            return number_format($number->value, 2, '.', '');
        } catch (CoreException $refusal) {
            throw new MarkRefused($refusal->reason(), $refusal->getMessage());
        }
    }

    /**
     * @param  array<string, mixed>  $item
     * @return string|null JSON; null where nothing was seen in parts
     */
    public static function parts(array $item): ?string
    {
        $parts = $item['parts'] ?? null;
        if ($parts === null) {
            return null;
        }
        $kind = is_array($parts) && is_string($parts['kind'] ?? null) ? PartsKind::tryFrom($parts['kind']) : null;
        $numbers = is_array($parts) && is_array($parts['numbers'] ?? null) ? array_values($parts['numbers']) : [];
        if ($kind === null || $numbers === [] || array_filter($numbers, is_int(...)) !== $numbers) {
            throw new MarkRefused('parts', 'What a number is made of has a kind and whole numbers.');
        }
        try {
            $read = MarkParts::of($kind, $numbers, (float) $item['value'], ($item['isVoid'] ?? false) === true);
        } catch (CoreException $refusal) {
            throw new MarkRefused($refusal->reason(), $refusal->getMessage());
        }

        return json_encode(['kind' => $read->kind->value, 'numbers' => $read->numbers], JSON_THROW_ON_ERROR);
    }

    /** @param  array<string, mixed>  $item */
    public static function reason(array $item): string
    {
        $reason = $item['reason'] ?? '';

        return is_string($reason) && mb_strlen($reason) <= 200
            ? trim($reason)
            : throw new MarkRefused('reason', 'A reason is at most 200 letters of text.');
    }

    public static function isUuid(mixed $text): bool
    {
        return is_string($text) && Uuid::isOne($text);
    }

    /** A device's clock is its own: a time that cannot be read, or lies ahead, becomes now. */
    public static function recordedAt(mixed $text): CarbonImmutable
    {
        $now = CarbonImmutable::now('UTC');
        $instant = is_string($text) ? DeviceInstant::tryFrom($text) : null;
        if ($instant === null) {
            return $now;
        }
        $at = CarbonImmutable::instance($instant)->utc();

        return $at->lessThan($now) && $at->greaterThan($now->subYears(2)) ? $at : $now;
    }

    /** @param  array<string, mixed>  $item */
    public static function countedBy(array $item): string
    {
        $by = $item['countedBy'] ?? null;

        return is_string($by) && in_array($by, self::COUNTED_BY, true) ? $by : 'coach';
    }
}
