<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Exception\InvalidRecord;

/** A number that a mark of its kind can have, in whole steps of that kind. */
final readonly class MarkValue
{
    private function __construct(public MarkKind $kind, public float $value)
    {
    }

    /**
     * Times, distances and points are rounded half up to hundredths, so that they stay as typed; counts must be whole.
     *
     * @throws InvalidRecord If the number is outside what the kind can mean, or a count is not whole.
     */
    public static function of(MarkKind $kind, float $value): self
    {
        $measure = $kind->measure();
        if (! is_finite($value) || $value < $measure->least || $value > $measure->most) {
            throw InvalidRecord::outOfRange($measure->subject, $measure->least, $measure->most);
        }
        if ($measure->step === 1.0 && floor($value) !== $value) {
            throw InvalidRecord::notWhole($measure->subject);
        }

        return new self($kind, round($value, 2));
    }

    /** @throws InvalidRecord If no number of this line can be so, as 12 of 10 cannot. */
    public function within(Bounds $bounds): void
    {
        if (! $bounds->hold($this->value)) {
            throw InvalidRecord::outOfRange($this->kind->measure()->subject, $bounds->least, $bounds->most);
        }
    }
}
