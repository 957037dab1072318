<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

use FleetSparrow\Core\Shared\Memo;

/** Log-normal distributions of any mean, their shape worked out once. */
final class LogNormals
{
    public static function of(Memo $memo, float $mean, float $coefficientOfVariation): Quantiles
    {
        if ($mean <= 0.0 || $coefficientOfVariation <= 0.0) {
            return Quantiles::fixed($mean);
        }

        return $memo->of(
            "log-normal {$coefficientOfVariation}",
            static fn (): Quantiles => Quantiles::logNormal(1.0, $coefficientOfVariation),
        )->times($mean);
    }
}
