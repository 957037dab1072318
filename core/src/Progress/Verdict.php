<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Statistics\StudentT;

/**
 * Whether a player's last six to eight session values have changed: the mean of the later half less that of the earlier one, d, against
 * SE = s·√(2/h) with s² = (8·TE²squad + 5·TE²own)/13 and Student's t with 13 degrees of freedom. Where fewer stand behind a typical
 * error it weighs as many degrees of freedom as it has, up to 8 and 5. Better where P(Δ > 0) ≥ 0.95 and P(Δ > the smallest worthwhile
 * change) ≥ 0.75; clearly so at 0.95; the same for worse.
 *
 * Read at fixed points only, at six values and at every eight, so that a new number does not turn it about.
 */
final readonly class Verdict
{
    public const FEWEST = 6;

    public const WINDOW = 8;

    private const SQUAD_DEGREES = 8;

    private const OWN_DEGREES = 5;

    private const SURE = 0.95;

    private const LIKELY = 0.75;

    /**
     * @param  float|null  $change  of the later half against the earlier one, over nought for better; null with too few
     * @param  float|null  $chance  that it is better at all
     * @param  int  $values  that were read, or where they are too few, that there are
     * @param  float|null  $before  mean of the earlier half
     * @param  float|null  $after  mean of the later half
     * @param  float|null  $spread  how far a session value strays though nothing has changed, s
     * @param  float|null  $worthwhile  the smallest change worth a word
     */
    private function __construct(
        public Trend $trend,
        public ?float $change,
        public ?float $chance,
        public int $values,
        public ?float $before = null,
        public ?float $after = null,
        public ?float $spread = null,
        public ?float $degrees = null,
        public ?float $worthwhile = null,
    ) {
    }

    public static function of(LineReading $line, SquadLine $squad): self
    {
        $values = self::atLastPoint(array_map(static fn (SessionValue $day): float => $day->median, $line->days));
        $error = self::error(TypicalError::of($values), $squad->error);
        $half = intdiv(count($values), 2);
        if ($values === [] || $error === null) {
            return new self(Trend::TooFew, null, null, count($line->days));
        }
        [$spread, $degrees] = $error;
        [$before, $after] = [array_sum(array_slice($values, 0, $half)) / $half, array_sum(array_slice($values, -$half)) / $half];
        $change = ($after - $before) * ($line->kind->better() === Better::Higher ? 1.0 : -1.0);
        $deviation = max(1e-9, $spread * sqrt(2.0 / $half));
        $over = static fn (float $least): float => StudentT::cdf(($change - $least) / $deviation, $degrees);
        $worthwhile = $squad->worthwhile ?? $line->kind->step();

        $trend = match (true) {
            $over(0.0) >= self::SURE && $over($worthwhile) >= self::SURE => Trend::ClearlyBetter,
            $over(0.0) >= self::SURE && $over($worthwhile) >= self::LIKELY => Trend::Better,
            $over(0.0) <= 1.0 - self::SURE && $over(-$worthwhile) <= 1.0 - self::SURE => Trend::ClearlyWorse,
            $over(0.0) <= 1.0 - self::SURE && $over(-$worthwhile) <= 1.0 - self::LIKELY => Trend::Worse,
            default => Trend::NoClearChange,
        };

        return new self(
            trend: $trend,
            change: $change,
            chance: $over(0.0),
            values: count($values),
            before: $before,
            after: $after,
            spread: $spread,
            degrees: $degrees,
            worthwhile: $worthwhile,
        );
    }

    /**
     * @param  list<float>  $values  oldest first
     * @return list<float> the last eight up to a multiple of eight, or the first six or seven; nothing under six
     */
    private static function atLastPoint(array $values): array
    {
        $count = count($values);

        return match (true) {
            $count < self::FEWEST => [],
            $count < self::WINDOW => array_slice($values, 0, self::FEWEST),
            default => array_slice($values, intdiv($count, self::WINDOW) * self::WINDOW - self::WINDOW, self::WINDOW),
        };
    }

    /** @return array{float, float}|null standard deviation of a session value and degrees of freedom */
    private static function error(TypicalError $own, TypicalError $squad): ?array
    {
        $mine = min(self::OWN_DEGREES, $own->degrees);
        $theirs = min(self::SQUAD_DEGREES, $squad->degrees);
        $degrees = $mine + $theirs;
        if ($degrees < 1) {
            return null;
        }
        $variance = ($theirs * ($squad->value() ?? 0.0) ** 2 + $mine * ($own->value() ?? 0.0) ** 2) / $degrees;

        return [sqrt($variance), (float) $degrees];
    }
}
