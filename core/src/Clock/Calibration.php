<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Clock;

use FleetSparrow\Core\Exception\InvalidPlan;

/**
 * How a coach's own times run against the planned ones: f = (n·R + k) ÷ (n + k) with R = Σ actual ÷ Σ planned over n past blocks
 * and k = 3, so that one odd evening moves little; 1 with none. The spread about f is pulled toward the default in the same way.
 * The tool's own rule.
 *
 * Example: `round(Calibration::of([[8, 10], [10, 14], [8, 9], [9, 13]])->factor, 4)` is `1.1796`.
 */
final readonly class Calibration
{
    private const PRIOR_BLOCKS = 3;

    private function __construct(public float $factor, public float $variation, public int $blocks)
    {
    }

    public static function none(float $variation = 0.25): self
    {
        return new self(1.0, $variation, 0);
    }

    /**
     * @param  list<array{float|int, float|int}>  $times  seconds planned, and seconds it took
     * @param  float  $variation  coefficient of variation before any block
     *
     * @throws InvalidPlan If a planned time is not over 0, or an actual one is negative.
     */
    public static function of(array $times, float $variation = 0.25): self
    {
        if ($times === []) {
            return self::none($variation);
        }
        foreach ($times as [$planned, $actual]) {
            if (! ($planned > 0.0 && is_finite((float) $planned) && $actual >= 0.0 && is_finite((float) $actual))) {
                throw InvalidPlan::impossibleTimes();
            }
        }
        $n = count($times);
        $ratio = array_sum(array_column($times, 1)) / array_sum(array_column($times, 0));
        $factor = ($n * $ratio + self::PRIOR_BLOCKS) / ($n + self::PRIOR_BLOCKS);
        $squares = array_sum(array_map(static fn (array $one): float => ($one[1] / ($ratio * $one[0] + 1e-9) - 1.0) ** 2, $times));
        $own = $n > 1 ? sqrt($squares / ($n - 1)) : $variation;

        return new self($factor, ($n * $own + self::PRIOR_BLOCKS * $variation) / ($n + self::PRIOR_BLOCKS), $n);
    }

    /** What is said beside a time it was applied to; nothing while there is none. */
    public function sentence(): string
    {
        return $this->blocks === 0
            ? ''
            : sprintf(' Times %.2f, from your last %d %s.', $this->factor, $this->blocks, $this->blocks === 1 ? 'block' : 'blocks');
    }
}
