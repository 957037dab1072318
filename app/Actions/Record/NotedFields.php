<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Exchange\Import\DeviceInstant;
use App\Models\TrainingSession;
use DateTimeZone;
use FleetSparrow\Core\Shared\Uuid;
use Illuminate\Support\Facades\DB;

/** Reads what a device noted in a run, item by item, and keeps each once; a bad one never refuses the others. */
final class NotedFields
{
    /**
     * @param  list<mixed>  $items  whatever a device sent
     * @param  callable(array<mixed>): array<string, mixed>  $columns  of one item; throws `MarkRefused`
     * @return list<array{index: int, uuid: string|null, status: string, code?: string, message?: string}>
     */
    public static function keep(string $table, TrainingSession $session, array $items, callable $columns): array
    {
        $players = $session->squad->players->modelKeys();

        return DB::transaction(fn (): array => array_map(
            function (int $index, mixed $item) use ($table, $session, $players, $columns): array {
                $answer = ['index' => $index, 'uuid' => is_array($item) && is_string($item['uuid'] ?? null) ? $item['uuid'] : null];
                try {
                    $row = self::who($item, $players) + $columns((array) $item);
                } catch (MarkRefused $refusal) {
                    return $answer + ['status' => 'refused', 'code' => $refusal->reason, 'message' => $refusal->getMessage()];
                }
                $isNew = DB::table($table)->insertOrIgnore(
                    $row + ['club_id' => $session->club_id, 'training_session_id' => $session->id],
                ) > 0;

                return $answer + ['status' => $isNew ? 'accepted' : 'duplicate'];
            },
            array_keys($items),
            $items,
        ));
    }

    /**
     * @param  array<int|string>  $players  ids of the session's squad
     * @return array{uuid: string, player_id: int}
     *
     * @throws MarkRefused
     */
    private static function who(mixed $item, array $players): array
    {
        if (! is_array($item) || ! is_string($item['uuid'] ?? null) || ! Uuid::isOne($item['uuid'])) {
            throw new MarkRefused('uuid', 'This needs a UUID of its own.');
        }
        $player = $item['playerId'] ?? null;
        if (! is_int($player) || ! in_array($player, $players, true)) {
            throw new MarkRefused('player', 'This player is not in this session\'s squad any more.');
        }

        return ['uuid' => $item['uuid'], 'player_id' => $player];
    }

    /**
     * @param  array<mixed>  $item
     * @return string in UTC, as the database writes it
     *
     * @throws MarkRefused
     */
    public static function instant(array $item, string $field): string
    {
        $at = is_string($item[$field] ?? null) ? DeviceInstant::tryFrom($item[$field]) : null;
        if ($at === null) {
            throw new MarkRefused('when', 'This needs the day and time it was noted, such as 2026-03-12T18:00:00Z.');
        }

        return $at->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d H:i:s.v');
    }
}
