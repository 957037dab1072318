<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Exception\InvalidRecord;

/**
 * What a number is made of, where more of it was seen than the number: kept beside it, and part of no record line.
 *
 * Example: `MarkParts::of(PartsKind::Halves, [18, 15], 33)->numbers` is `[18, 15]`.
 */
final readonly class MarkParts
{
    private const MOST = 9999;

    /** @param  list<int>  $numbers */
    private function __construct(public PartsKind $kind, public array $numbers)
    {
    }

    /**
     * @param  list<int>  $numbers  two halves; right and left; the total beside an unbroken run; good and tried
     * @param  float  $value  the number they belong to
     *
     * @throws InvalidRecord If there are not as many as the kind has, one is outside 0 to 9999, or they do not come to the number.
     */
    public static function of(PartsKind $kind, array $numbers, float $value, bool $isVoid = false): self
    {
        $inRange = array_filter($numbers, static fn (int $one): bool => $one >= 0 && $one <= self::MOST);
        if (count($numbers) !== $kind->count() || $inRange !== $numbers) {
            throw InvalidRecord::parts("{$kind->words()} are {$kind->count()} whole numbers from 0 to ".self::MOST.'.');
        }
        $isFitting = match ($kind) {
            PartsKind::Halves, PartsKind::Feet => (float) array_sum($numbers) === $value,
            PartsKind::Total => $numbers[0] >= $value,
            PartsKind::GoodAndTried => $numbers[0] <= $numbers[1],
        };
        if (! $isVoid && ! $isFitting) {
            throw InvalidRecord::parts("{$kind->words()} do not come to the number beside them.");
        }

        return new self($kind, $numbers);
    }
}
