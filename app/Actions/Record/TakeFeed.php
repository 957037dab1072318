<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Exchange\Import\DeviceInstant;
use App\Models\Player;
use App\Models\TouchFeed;
use DateTimeZone;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Exception\InvalidRecord;
use FleetSparrow\Core\Run\FeedLine;
use Illuminate\Support\Facades\DB;
use JsonException;

/** Takes the touches a device counted, line by line: each once, in any order, however often it is sent; a bad one holds back no other. */
final class TakeFeed
{
    public const MOST_LINES = 500;

    /**
     * @return array{accepted: int, duplicates: int, refused: list<array{line: int, message: string}>} lines count from 1
     */
    public function take(TouchFeed $feed, string $body): array
    {
        $players = Player::query()->where('squad_id', $feed->session->squad_id)->pluck('id')->map(intval(...))->flip()->all();
        [$rows, $refused, $sent] = [[], [], 0];
        foreach (explode("\n", $body) as $i => $text) {
            if (trim($text) === '') {
                continue;
            }
            $sent++;
            try {
                $row = self::row($text, $players);
                $rows[$row['uuid']] ??= $row + ['club_id' => $feed->club_id, 'training_session_id' => $feed->training_session_id];
            } catch (CoreException $refusal) {
                $refused[] = ['line' => $i + 1, 'message' => $refusal->getMessage()];
            }
        }
        $accepted = $rows === [] ? 0 : DB::table('touch_feed_lines')->insertOrIgnore(array_values($rows));

        return ['accepted' => $accepted, 'duplicates' => $sent - count($refused) - $accepted, 'refused' => $refused];
    }

    /**
     * @param  array<int, int>  $players
     * @return array{uuid: string, player_id: int, touched_at_utc: string, side: string|null, surface: string|null}
     *
     * @throws InvalidRecord If the line cannot be taken.
     */
    private static function row(string $text, array $players): array
    {
        try {
            $fields = json_decode($text, true, 4, JSON_THROW_ON_ERROR);
        } catch (JsonException) {
            throw InvalidRecord::feed('A line is one object of JSON.');
        }
        $line = FeedLine::fromFields(is_array($fields) ? $fields : []);
        $at = DeviceInstant::tryFrom($line->at)
            ?? throw InvalidRecord::feed('The instant is one of ISO 8601 with its zone, such as 2026-03-12T18:05:07.250Z.');
        if (! isset($players[$line->playerId])) {
            throw InvalidRecord::feed('This player is not one of the squad whose session it is.');
        }

        return [
            'uuid' => $line->id,
            'player_id' => $line->playerId,
            'touched_at_utc' => $at->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d H:i:s.v'),
            'side' => $line->side,
            'surface' => $line->surface?->value,
        ];
    }
}
