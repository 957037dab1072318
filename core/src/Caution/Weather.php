<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Caution;

/** How hot it is today: the switch anybody can press, and the figure behind it for those who want it. */
final readonly class Weather
{
    /** From this figure a session is run with more water and shade; this tool's own value, the squad's to change. */
    public const CARE_CELSIUS = 25.0;

    /** From this figure a session is moved to a cooler hour; this tool's own value, the squad's to change. */
    public const STOP_CELSIUS = 30.0;

    private const WATER_MINUTES = 20.0;

    private const WATER_MINUTES_HOT = 10.0;

    private function __construct(
        public bool $isSaidHot,
        public ?float $wetBulbGlobeCelsius,
        public float $careCelsius,
        public float $stopCelsius,
    ) {
    }

    public static function mild(): self
    {
        return new self(false, null, self::CARE_CELSIUS, self::STOP_CELSIUS);
    }

    /**
     * @param  float|null  $wetBulbGlobeCelsius  null when nobody has measured
     */
    public static function of(
        bool $isSaidHot,
        ?float $wetBulbGlobeCelsius,
        float $careCelsius = self::CARE_CELSIUS,
        float $stopCelsius = self::STOP_CELSIUS,
    ): self {
        return new self($isSaidHot, $wetBulbGlobeCelsius, $careCelsius, $stopCelsius);
    }

    public function isHot(): bool
    {
        return $this->isSaidHot || ($this->wetBulbGlobeCelsius ?? -INF) >= $this->careCelsius;
    }

    public function isTooHot(): bool
    {
        return ($this->wetBulbGlobeCelsius ?? -INF) >= $this->stopCelsius;
    }

    /** Minutes of work after which there should have been water (default: 20, in the heat 10). */
    public function waterMinutes(): float
    {
        return $this->isHot() ? self::WATER_MINUTES_HOT : self::WATER_MINUTES;
    }

    /** Null when nothing is to be said. */
    public function sentence(): ?string
    {
        $figure = $this->wetBulbGlobeCelsius === null
            ? ''
            : sprintf(' Wet-bulb globe %.1f °C, from temperature and humidity.', $this->wetBulbGlobeCelsius);

        return match (true) {
            $this->isTooHot() => sprintf(
                'Too hot: at or over %g °C.%s Move it to a cooler hour or the shade; your local heat rules come first.',
                $this->stopCelsius,
                $figure,
            ),
            $this->isHot() => "Hot today: water every ten minutes, shade, shorter work.{$figure} "
                .'Stop on dizziness or headache; your local heat rules come first.',
            default => null,
        };
    }
}
