<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

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

        return $count < 2 ? new self(0.0, 0) : new self(max(0.0, $squares - $sum ** 2 / $count), $count - 1);
    }

    /** From figures worked out before. */
    public static function ofFigures(float $squares, int $degrees): self
    {
        return new self($squares, $degrees);
    }

    /** With those of another player: variances pooled by their degrees of freedom. */
    public function and(self $other): self
    {
        return new self($this->squares + $other->squares, $this->degrees + $other->degrees);
    }

    /** @param  list<list<float>>  $players  session values of one task, a player each, oldest first */
    public static function pooled(array $players): self
    {
        $pooled = new self(0.0, 0);
        foreach ($players as $values) {
            $pooled = $pooled->and(self::of($values));
        }

        return $pooled;
    }

    /** In the unit of the number; null where there are no two differences to tell it by. */
    public function value(): ?float
    {
        return $this->degrees < 1 ? null : sqrt($this->squares / $this->degrees / 2.0);
    }
}
