<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\OpenApi\Shape;
use FleetSparrow\Core\Run\Reminder;

#[Shape('Reminder', [
    'words' => 'string', 'times' => 'int', 'since' => 'date', 'lastOn' => 'date', 'fixedOn' => 'date?',
])]
#[Shape('OpenReminder', ['playerId' => 'int'], extends: 'Reminder')]
final class ReminderResource
{
    /** @return array{words: string, times: int, since: string, lastOn: string, fixedOn: string|null} */
    public static function of(Reminder $one): array
    {
        return [
            'words' => $one->words,
            'times' => $one->times,
            'since' => $one->since->iso(),
            'lastOn' => $one->lastOn->iso(),
            'fixedOn' => $one->fixedOn?->iso(),
        ];
    }

    /**
     * @param  array<int, Reminder>  $open  by player id
     * @return list<array<string, mixed>>
     */
    public static function open(array $open): array
    {
        return array_map(
            static fn (int $player, Reminder $one): array => ['playerId' => $player] + self::of($one),
            array_keys($open),
            array_values($open),
        );
    }
}
