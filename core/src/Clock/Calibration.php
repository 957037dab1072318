<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Clock;

use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Shared\Evidence;
use FleetSparrow\Core\Statistics\Median;

/**
 * How a coach's own times run against the planned ones: f = (n·R + k) ÷ (n + k), where R is the median of actual ÷ planned over n past
 * blocks and k = 3, so that one odd evening moves little; 1 with none. The spread about R is pulled toward the default in the same way.
 * What was passed in under a third of the plan, or took over three times as long, does not look like work and is left out. The tool's
 * own rule.
 *
 * Example: `round(Calibration::of([[8, 10], [10, 14], [8, 9], [9, 13]])->factor, 4)` is `1.1857`.
 */
final readonly class Calibration
{
    private const PRIOR_BLOCKS = 3;

    /** Under one part in so many, or over so many times: this tool's own value. */
    private const BELIEVED_WITHIN = 3.0;

    private function __construct(public float $factor, public float $variation, public int $blocks, public int $leftOut)
    {
    }

    /**
     * How the factors of a coach are known.
     *
     * @param  array<string, self>  $parts  laying out, explaining … → factor
     */
    public static function evidence(array $parts): Evidence
    {
        return new Evidence(
            'The median of actual ÷ planned over your last forty stretches of each kind, in all squads, pulled toward 1 as if three more '
                .'had gone to plan. What was passed in under a third of the plan, or took over three times as long, is left out.',
            array_map(
                static fn (string $part, self $one): string => sprintf(
                    '%s: %.2f from %d, %d left out.',
                    $part,
                    $one->factor,
                    $one->blocks,
                    $one->leftOut,
                ),
                array_keys($parts),
                array_values($parts),
            ),
            array_sum(array_map(static fn (self $one): int => $one->blocks, $parts)),
            'This tool\'s own rule.',
        );
    }

    public static function none(float $variation = 0.25): self
    {
        return new self(1.0, $variation, 0, 0);
    }

    /**
     * @param  list<array{float|int, float|int}>  $times  seconds planned, and seconds it took
     * @param  float  $variation  coefficient of variation before any block
     *
     * @throws InvalidPlan If a planned time is not over 0, or an actual one is negative.
     */
    public static function of(array $times, float $variation = 0.25): self
    {
        foreach ($times as [$planned, $actual]) {
            if (! ($planned > 0.0 && is_finite((float) $planned) && $actual >= 0.0 && is_finite((float) $actual))) {
                throw InvalidPlan::impossibleTimes();
            }
        }
        $ratios = array_values(array_filter(
            array_map(static fn (array $one): float => $one[1] / $one[0], $times),
            static fn (float $ratio): bool => $ratio >= 1.0 / self::BELIEVED_WITHIN && $ratio <= self::BELIEVED_WITHIN,
        ));
        $n = count($ratios);
        $ratio = $n === 0 ? 1.0 : Median::of($ratios);
        $squares = array_sum(array_map(static fn (float $one): float => ($one / $ratio - 1.0) ** 2, $ratios));
        $own = $n > 1 ? sqrt($squares / ($n - 1)) : $variation;

        return new self(
            ($n * $ratio + self::PRIOR_BLOCKS) / ($n + self::PRIOR_BLOCKS),
            ($n * $own + self::PRIOR_BLOCKS * $variation) / ($n + self::PRIOR_BLOCKS),
            $n,
            count($times) - $n,
        );
    }

    /** What is said beside a time it was applied to; nothing while there is none. */
    public function sentence(): string
    {
        $left = $this->leftOut === 0 ? '' : sprintf(
            ' %d left out: passed in under a third of the plan, or over three times as long.',
            $this->leftOut,
        );

        return $this->blocks === 0
            ? $left
            : sprintf(' Times %.2f, from your last %d %s.', $this->factor, $this->blocks, $this->blocks === 1 ? 'block' : 'blocks').$left;
    }
}
