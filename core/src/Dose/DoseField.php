<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;

/** One field of a dose: what it is called, and what can be carried out at all. Checked once, on the way in. */
final readonly class DoseField
{
    /**
     * @param  'whole'|'seconds'|'minutes'|'yes'|'sides'|'tempos'|'limit'|'choice'  $type
     * @param  float|string|null  $start  what stands there when a coach chooses this kind; null where nothing does
     * @param  array<int|string, string>|null  $words  what no and yes mean here, or each of the choices
     */
    private function __construct(
        public string $name,
        public string $label,
        public string $type,
        public float $least,
        public float $most,
        public float|string|null $start,
        public ?array $words = null,
    ) {
    }

    public static function whole(string $name, string $label, int $least, int $most, int $start): self
    {
        return new self($name, $label, 'whole', (float) $least, (float) $most, (float) $start);
    }

    public static function seconds(string $name, string $label, float $least, float $most, float $start): self
    {
        return new self($name, $label, 'seconds', $least, $most, $start);
    }

    public static function minutes(string $name, string $label, float $least, float $most, float $start): self
    {
        return new self($name, $label, 'minutes', $least, $most, $start);
    }

    public static function yes(string $name, string $label, string $no, string $yes, bool $start): self
    {
        return new self($name, $label, 'yes', 0.0, 1.0, (float) $start, [$no, $yes]);
    }

    public static function sides(): self
    {
        return new self('sides', 'Feet', 'sides', 0.0, 0.0, DoseSides::Each->value);
    }

    public static function tempos(): self
    {
        return new self('tempos', 'A tempo for each length', 'tempos', 0.0, 0.0, null);
    }

    /** When a coach stops a go that would not end; left out for the usual time, 0 for never. */
    public static function limit(): self
    {
        return new self('limitSeconds', 'A go is stopped', 'limit', 0.0, 3600.0, null);
    }

    /** @param  non-empty-array<string, string>  $words  each of the choices → what it means; left out for the first */
    public static function choice(string $name, string $label, array $words): self
    {
        return new self($name, $label, 'choice', 0.0, 0.0, null, $words);
    }

    public static function sets(string $label = 'Sets', int $start = 2): self
    {
        return self::whole('sets', $label, 1, 20, $start);
    }

    public static function rest(float $start = 20.0): self
    {
        return self::seconds('restSeconds', 'Rest', 0.0, 600.0, $start);
    }

    /** What has no value to start with may be left out. */
    public function mayBeLeftOut(): bool
    {
        return $this->start === null;
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
            $unit = in_array($this->type, ['seconds', 'limit'], true) ? ' seconds' : '';

            throw InvalidDose::at(
                "dose.{$this->name}",
                sprintf('%s must be between %g and %g%s.', $this->label, $this->least, $this->most, $unit),
            );
        }

        return $value;
    }
}
