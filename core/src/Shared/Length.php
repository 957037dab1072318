<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

use FleetSparrow\Core\Exception\InvalidValue;

/**
 * A distance on the ground, kept in whole tenths of a millimetre so that 4 yd and 3.6576 m are the same value.
 *
 * Example: `Length::of(4.0, LengthUnit::Yard)->metres()` is `3.6576`.
 */
final readonly class Length
{
    private function __construct(public int $tenthsOfMillimetre)
    {
    }

    /**
     * Rounded half up to a tenth of a millimetre.
     *
     * @throws InvalidValue If the value is not finite, is negative, or is over 1 km.
     */
    public static function of(float $value, LengthUnit $unit): self
    {
        $tenths = $value * $unit->tenthsOfMillimetre();
        if (! is_finite($tenths) || $tenths < 0.0 || $tenths > 10_000_000.0) {
            throw InvalidValue::lengthOutOfRange();
        }

        return new self((int) round($tenths));
    }

    public static function ofMetres(float $metres): self
    {
        return self::of($metres, LengthUnit::Metre);
    }

    public function metres(): float
    {
        return $this->tenthsOfMillimetre / 10_000;
    }

    /** The value in a unit, rounded half up to hundredths, for showing. */
    public function in(LengthUnit $unit): float
    {
        return round($this->tenthsOfMillimetre / $unit->tenthsOfMillimetre(), 2);
    }

    public function equals(self $other): bool
    {
        return $this->tenthsOfMillimetre === $other->tenthsOfMillimetre;
    }
}
