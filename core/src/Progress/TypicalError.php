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
    private function __construct(private float $squares, public int $degrees)
    {
    }

    /** @param  list<float>  $values  oldest first */
    public static function of(array $values): self
    {
        $differences = [];
        for ($i = 1; $i < count($values); $i++) {
            $differences[] = $values[$i] - $values[$i - 1];
        }
        $mean = $differences === [] ? 0.0 : array_sum($differences) / count($differences);

        return new self(
            array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $differences)),
            max(0, count($differences) - 1),
        );
    }

    /** @param  list<LineReading>  $lines  of one task, a player each */
    public static function pooled(array $lines): self
    {
        [$squares, $degrees] = [0.0, 0];
        foreach ($lines as $line) {
            $one = self::of(array_map(static fn (SessionValue $day): float => $day->median, $line->days));
            [$squares, $degrees] = [$squares + $one->squares, $degrees + $one->degrees];
        }

        return new self($squares, $degrees);
    }

    /** In the unit of the number; null where there are no two differences to tell it by. */
    public function value(): ?float
    {
        return $this->degrees < 1 ? null : sqrt($this->squares / $this->degrees / 2.0);
    }
}
