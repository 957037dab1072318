<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Caution;

use FleetSparrow\Core\Exception\InvalidPlan;

/**
 * Wet-bulb globe temperature in moderately strong sun and light wind, from air temperature and humidity:
 * 0.567·T + 0.393·e + 3.94 with vapour pressure e = RH ÷ 100 × 6.105 × exp(17.27·T ÷ (237.7 + T)) in hPa.
 *
 * Australian Bureau of Meteorology, approximation used for thermal comfort; it overstates under cloud and in wind.
 *
 * Example: `round(WetBulbGlobe::celsius(30.0, 50.0), 1)` is `29.3`.
 */
final class WetBulbGlobe
{
    /**
     * @param  float  $temperatureCelsius  of the air, in the shade
     * @param  float  $humidityPercent  relative
     *
     * @throws InvalidPlan If the temperature is outside −20 to 55 °C, or humidity outside 0 to 100.
     */
    public static function celsius(float $temperatureCelsius, float $humidityPercent): float
    {
        if (! ($temperatureCelsius >= -20.0 && $temperatureCelsius <= 55.0)) {
            throw InvalidPlan::at('temperatureCelsius', 'The temperature must be between −20 and 55 °C.');
        }
        if (! ($humidityPercent >= 0.0 && $humidityPercent <= 100.0)) {
            throw InvalidPlan::at('humidityPercent', 'Humidity must be between 0 and 100%.');
        }
        $vapour = $humidityPercent / 100.0 * 6.105 * exp(17.27 * $temperatureCelsius / (237.7 + $temperatureCelsius));

        return 0.567 * $temperatureCelsius + 0.393 * $vapour + 3.94;
    }
}
