<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Statistics\Median;

/**
 * Fade inside a session: (last set − first set) ÷ first set, the middle one of the last sessions, turned so that under nought is worse;
 * and how far the sets of a session stray, as a coefficient of variation.
 */
final readonly class DropOff
{
    private const SESSIONS = 6;

    /** Fewer sessions than this tell nothing of a habit; this tool's own value, as the two below. */
    private const FEWEST = 4;

    private const FADES_FROM = -0.1;

    private const MOSTLY = 0.75;

    /**
     * @param  float  $share  the middle one
     * @param  float  $variation  the middle one
     * @param  non-empty-list<float>  $shares  oldest first
     */
    private function __construct(public float $share, public float $variation, public array $shares)
    {
    }

    /**
     * @param  list<list<float>>  $sessions  the sets of each, in the order they were done, the oldest session first
     * @return self|null null where no session has two sets and a first one over nought
     */
    public static function of(array $sessions, Better $better): ?self
    {
        [$shares, $variations] = [[], []];
        foreach ($sessions as $sets) {
            if (count($sets) >= 2 && $sets[0] > 0.0) {
                $share = ($sets[count($sets) - 1] - $sets[0]) / $sets[0];
                $shares[] = $better === Better::Higher ? $share : -$share;
                $variations[] = self::variation($sets);
            }
        }
        $shares = array_slice($shares, -self::SESSIONS);

        return $shares === [] ? null : new self(Median::of($shares), Median::of(array_slice($variations, -self::SESSIONS)), $shares);
    }

    /** Whether the last set is mostly a tenth behind the first, or more. */
    public function isHabit(): bool
    {
        $behind = count(array_filter($this->shares, static fn (float $share): bool => $share < 0.0));

        return count($this->shares) >= self::FEWEST && $this->share <= self::FADES_FROM && $behind >= self::MOSTLY * count($this->shares);
    }

    /** @param  non-empty-list<float>  $sets */
    private static function variation(array $sets): float
    {
        $mean = array_sum($sets) / count($sets);
        $squares = array_sum(array_map(static fn (float $one): float => ($one - $mean) ** 2, $sets));

        return $mean <= 0.0 ? 0.0 : sqrt($squares / (count($sets) - 1)) / $mean;
    }
}
