<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

use FleetSparrow\Core\Exception\InvalidValue;

/**
 * Between which shares the true one lies, out of hits of attempts: Wilson's score interval (Wilson 1927, J. Am. Stat. Assoc. 22:209–212;
 * method 3 of Newcombe 1998, Stat. Med. 17:857–872). R: prop.test(hits, attempts, correct = FALSE).
 *
 * Example: `round(ShareInterval::of(81, 263)->low, 4)` is `0.2553`.
 */
final readonly class ShareInterval
{
    /** @param  float  $share  hits ÷ attempts */
    private function __construct(public float $share, public float $low, public float $high)
    {
    }

    /**
     * @param  float  $confidence  over 0 and under 1
     *
     * @throws InvalidValue If there was no attempt, or hits are outside 0 to attempts.
     */
    public static function of(int $hits, int $attempts, float $confidence = 0.95): self
    {
        if ($attempts < 1 || $hits < 0 || $hits > $attempts) {
            throw InvalidValue::noShare($hits, $attempts);
        }
        $z = NormalDistribution::quantile(0.5 + $confidence / 2.0);
        $share = $hits / $attempts;
        $middle = $share + $z * $z / (2.0 * $attempts);
        $reach = $z * sqrt($share * (1.0 - $share) / $attempts + $z * $z / (4.0 * $attempts * $attempts));
        $whole = 1.0 + $z * $z / $attempts;

        return new self($share, max(0.0, ($middle - $reach) / $whole), min(1.0, ($middle + $reach) / $whole));
    }
}
