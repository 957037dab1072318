<?php

declare(strict_types=1);

namespace App\Actions\Record;

use FleetSparrow\Core\Season\SessionLoad;

/** What a session or a day at home left on a player, as the table of loads has it. */
final class LoadColumns
{
    /** @return array<string, int|float> column → value */
    public static function of(SessionLoad $load): array
    {
        return [
            'method' => SessionLoad::METHOD,
            'touches' => $load->touches,
            'footed_touches' => $load->footedTouches,
            'weaker_touches' => $load->weakerTouches,
            'strikes' => $load->strikes,
            'headers' => $load->headers,
            'heading_minutes' => $load->headingMinutes,
        ];
    }
}
