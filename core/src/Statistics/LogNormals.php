<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Statistics;

use FleetSparrow\Core\Shared\Memo;

/** Log-normal distributions of any mean, their shape worked out once, and what all shapes are made of once for all. */
final class LogNormals
{
    public static function of(Memo $memo, float $mean, float $coefficientOfVariation): Quantiles
    {
        if ($mean <= 0.0 || $coefficientOfVariation <= 0.0) {
            return Quantiles::fixed($mean);
        }

        return $memo->kept(
            "log-normal {$coefficientOfVariation}",
            static fn (): Quantiles => Quantiles::logNormal(1.0, $coefficientOfVariation, self::middles($memo, Quantiles::COUNT)),
            Quantiles::class,
        )->times($mean);
    }

    /**
     * @param  int<1, max>  $slices
     * @return list<float> the standard normal values in the middle of each
     */
    public static function middles(Memo $memo, int $slices): array
    {
        return $memo->of("normal middles {$slices}", static fn (): array => NormalDistribution::middles($slices));
    }

    /**
     * The sum of independent ones.
     *
     * @param  list<array{float, float}>  $parts  mean and coefficient of variation
     */
    public static function sum(Memo $memo, array $parts): Quantiles
    {
        $question = 'sum of log-normals '.json_encode($parts, JSON_THROW_ON_ERROR);

        return $memo->kept($question, static fn (): Quantiles => Quantiles::sum(array_map(
            static fn (array $part): Quantiles => self::of($memo, ...$part),
            $parts,
        )), Quantiles::class);
    }
}
