<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\SessionValue;

/**
 * How far a number strays from one session to the next though nothing has changed: the standard deviation of the differences between
 * consecutive session values, ÷ √2 (Hopkins 2000, Sports Medicine 30(1):1–15). Of several players their variances are pooled by their
 * degrees of freedom.
 */
final readonly class TypicalError
{
    /** @param  float  $squares  of the differences about their mean */
    private function __construct(public float $squares, public int $degrees)
    {
    }

    /** @param  list<float>  $values  oldest first */
    public static function of(array $values): self
    {
        [$count, $sum, $squares] = [0, 0.0, 0.0];
        for ($i = 1; $i < count($values); $i++) {
            $difference = $values[$i] - $values[$i - 1];
            [$count, $sum, $squares] = [$count + 1, $sum + $difference, $squares + $difference ** 2];
        }

        return self::ofSums($count, $sum, $squares);
    }

    /**
     * From the differences between consecutive session values of one player.
     *
     * @param  float  $sum  of the differences
     * @param  float  $squares  sum of their squares
     */
    public static function ofSums(int $count, float $sum, float $squares): self
    {
        return $count < 2 ? new self(0.0, 0) : new self(max(0.0, $squares - $sum ** 2 / $count), $count - 1);
    }

    /** With those of another player: variances pooled by their degrees of freedom. */
    public function and(self $other): self
    {
        return new self($this->squares + $other->squares, $this->degrees + $other->degrees);
    }

    /** @param  list<LineReading>  $lines  of one task, a player each */
    public static function pooled(array $lines): self
    {
        $pooled = new self(0.0, 0);
        foreach ($lines as $line) {
            $pooled = $pooled->and(self::of(array_map(static fn (SessionValue $day): float => $day->median, $line->days)));
        }

        return $pooled;
    }

    /** In the unit of the number; null where there are no two differences to tell it by. */
    public function value(): ?float
    {
        return $this->degrees < 1 ? null : sqrt($this->squares / $this->degrees / 2.0);
    }
}
