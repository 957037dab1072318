<?php

declare(strict_types=1);

namespace App\Settings;

use App\Models\Club;
use DateTimeZone;

/** What a club chooses for all its squads. */
final class ClubSettings
{
    /** @return list<Setting> in the order shown */
    public static function all(): array
    {
        $zones = DateTimeZone::listIdentifiers();

        return [
            Setting::text('name', 'name', 'Club name', 'Shown to those you invite.', 120),
            Setting::choice(
                'timeZone',
                'time_zone',
                'Time zone',
                'Sessions start, and days end, by this clock.',
                array_combine($zones, $zones),
                'UTC',
            ),
            Setting::choice(
                'weekStartsOn',
                'week_starts_on',
                'Week starts on',
                'Weeks are counted from this day in every view.',
                ['1' => 'Monday', '6' => 'Saturday', '7' => 'Sunday'],
                '1',
            ),
        ];
    }

    /** @return array<string, mixed> */
    public static function values(Club $club): array
    {
        return ['name' => $club->name, 'timeZone' => $club->time_zone, 'weekStartsOn' => (string) $club->week_starts_on];
    }

    /**
     * @param  array<string, mixed>  $values  validated
     * @return array<string, mixed>
     */
    public static function columns(array $values): array
    {
        $columns = [];
        foreach (self::all() as $setting) {
            $columns[$setting->column] = $values[$setting->key];
        }

        return $columns;
    }
}
