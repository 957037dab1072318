<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Statistics\StudentT;

/**
 * What a player's next day on a line is likely to bring, out of the last eight: Student's t about their mean, x̄ ± t·s·√(1 + 1/n); where
 * the line climbs or falls beyond doubt (its slope is twice told from none at 95%), about the regression's forecast. The interval for
 * a next observation is in any handbook of statistics; R: predict(lm(x ~ i), interval = "prediction").
 */
final readonly class Prediction
{
    private const DAYS = 8;

    private const FEWEST = 4;

    /** Fewer days than this have no trend. */
    private const FEWEST_FOR_A_TREND = 5;

    private function __construct(public float $centre, public float $spread, public float $degrees)
    {
    }

    /** Null with fewer than four days, and where all are the same: nothing says how far it strays. */
    public static function of(LineReading $line): ?self
    {
        $values = array_map(static fn (SessionValue $day): float => $day->best, array_slice($line->days, -self::DAYS));
        $count = count($values);
        if ($count < self::FEWEST) {
            return null;
        }
        $mean = array_sum($values) / $count;
        $squares = array_sum(array_map(static fn (float $value): float => ($value - $mean) ** 2, $values));
        if ($squares <= 0.0) {
            return null;
        }

        return self::onATrend($values, $mean) ?? new self($mean, sqrt($squares / ($count - 1) * (1.0 + 1.0 / $count)), $count - 1.0);
    }

    /** The chance that the next day is at least as good as this. */
    public function chanceOf(float $value, Better $better): float
    {
        $under = StudentT::cdf(($value - $this->centre) / $this->spread, $this->degrees);

        return $better === Better::Higher ? 1.0 - $under : $under;
    }

    /** The number that is reached or bettered with this chance. */
    public function reachedWith(float $chance, Better $better): float
    {
        $away = StudentT::quantile(1.0 - $chance, $this->degrees) * $this->spread;

        return $better === Better::Higher ? $this->centre + $away : $this->centre - $away;
    }

    /** @param  list<float>  $values */
    private static function onATrend(array $values, float $mean): ?self
    {
        $count = count($values);
        if ($count < self::FEWEST_FOR_A_TREND) {
            return null;
        }
        $middle = ($count + 1) / 2.0;
        [$across, $along] = [0.0, 0.0];
        foreach ($values as $i => $value) {
            $along += ($i + 1 - $middle) ** 2;
            $across += ($i + 1 - $middle) * ($value - $mean);
        }
        $slope = $across / $along;
        $left = 0.0;
        foreach ($values as $i => $value) {
            $left += ($value - $mean - $slope * ($i + 1 - $middle)) ** 2;
        }
        $degrees = $count - 2.0;
        $error = sqrt($left / $degrees);
        if ($error <= 0.0 || abs($slope) / ($error / sqrt($along)) < StudentT::quantile(0.975, $degrees)) {
            return null;
        }
        $next = $count + 1 - $middle;

        return new self($mean + $slope * $next, $error * sqrt(1.0 + 1.0 / $count + $next ** 2 / $along), $degrees);
    }
}
