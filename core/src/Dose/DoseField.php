<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;

/** One field of a dose: what it is called, and what can be carried out at all. Checked once, on the way in. */
final readonly class DoseField
{
    /** @param  'whole'|'seconds'|'minutes'|'yes'|'sides'|'tempos'  $type */
    private function __construct(
        public string $name,
        public string $label,
        public string $type,
        public float $least,
        public float $most,
        public bool $mayBeLeftOut,
    ) {
    }

    public static function whole(string $name, string $label, int $least, int $most): self
    {
        return new self($name, $label, 'whole', (float) $least, (float) $most, false);
    }

    public static function seconds(string $name, string $label, float $least, float $most): self
    {
        return new self($name, $label, 'seconds', $least, $most, false);
    }

    public static function minutes(string $name, string $label, float $least, float $most): self
    {
        return new self($name, $label, 'minutes', $least, $most, false);
    }

    public static function yes(string $name, string $label): self
    {
        return new self($name, $label, 'yes', 0.0, 1.0, false);
    }

    public static function sides(): self
    {
        return new self('sides', 'Feet', 'sides', 0.0, 0.0, false);
    }

    public static function tempos(): self
    {
        return new self('tempos', 'A tempo for each length', 'tempos', 0.0, 0.0, true);
    }

    public static function sets(string $label = 'Sets'): self
    {
        return self::whole('sets', $label, 1, 20);
    }

    public static function rest(): self
    {
        return self::seconds('restSeconds', 'Rest', 0.0, 600.0);
    }

    /**
     * @template T of int|float
     *
     * @param  T  $value
     * @return T
     *
     * @throws InvalidDose If it is not a finite number within the limits.
     */
    public function held(int|float $value): int|float
    {
        if (! ($value >= $this->least && $value <= $this->most)) {
            throw InvalidDose::because("dose.{$this->name}", sprintf(
                '%s must be between %g and %g%s.', $this->label, $this->least, $this->most, $this->type === 'seconds' ? ' seconds' : '',
            ));
        }

        return $value;
    }
}
