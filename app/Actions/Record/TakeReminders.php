<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Exchange\Import\DeviceInstant;
use App\Models\TrainingSession;
use App\Models\User;
use DateTimeZone;
use FleetSparrow\Core\Run\ReminderKind;
use FleetSparrow\Core\Shared\Uuid;
use Illuminate\Support\Facades\DB;

/** Takes what was noted beside names in a run: each once, in any order; a bad one never refuses the others. */
final class TakeReminders
{
    public const MOST_LETTERS = 60;

    /**
     * @param  list<mixed>  $items  whatever a device sent
     * @return list<array{index: int, uuid: string|null, status: string, code?: string, message?: string}>
     */
    public function take(TrainingSession $session, array $items, User $by): array
    {
        $players = $session->squad->players->modelKeys();

        return DB::transaction(fn (): array => array_map(
            function (int $index, mixed $item) use ($session, $players, $by): array {
                $answer = ['index' => $index, 'uuid' => is_array($item) && is_string($item['uuid'] ?? null) ? $item['uuid'] : null];
                try {
                    $row = self::row($item, $players);
                } catch (MarkRefused $refusal) {
                    return $answer + ['status' => 'refused', 'code' => $refusal->reason, 'message' => $refusal->getMessage()];
                }
                $isNew = DB::table('reminder_events')->insertOrIgnore($row + [
                    'club_id' => $session->club_id, 'training_session_id' => $session->id, 'noted_by' => $by->id,
                ]) > 0;

                return $answer + ['status' => $isNew ? 'accepted' : 'duplicate'];
            },
            array_keys($items),
            $items,
        ));
    }

    /**
     * @param  array<int|string>  $players  ids of the session's squad
     * @return array<string, mixed>
     *
     * @throws MarkRefused
     */
    private static function row(mixed $item, array $players): array
    {
        if (! is_array($item) || ! is_string($item['uuid'] ?? null) || ! Uuid::isOne($item['uuid'])) {
            throw new MarkRefused('uuid', 'A reminder needs a UUID of its own.');
        }
        if (! in_array($item['playerId'] ?? null, $players, true)) {
            throw new MarkRefused('player', 'This player is not in this session\'s squad any more.');
        }
        $kind = is_string($item['kind'] ?? null) ? ReminderKind::tryFrom($item['kind']) : null;
        $words = is_string($item['words'] ?? '') ? trim($item['words'] ?? '') : '';
        if ($kind === null) {
            throw new MarkRefused('kind', 'A reminder is said, again, fixed, watch or seen.');
        }
        if ($kind->isPrivate() ? $words !== '' : $words === '') {
            throw new MarkRefused('words', $kind->isPrivate() ? 'Who is watched is watched without words.' : 'Say what is to be mended.');
        }
        if (mb_strlen($words) > self::MOST_LETTERS) {
            throw new MarkRefused('words', 'A reminder has at most '.self::MOST_LETTERS.' letters.');
        }
        $at = is_string($item['notedAt'] ?? null) ? DeviceInstant::tryFrom($item['notedAt']) : null;
        if ($at === null) {
            throw new MarkRefused('noted-at', 'A reminder needs the day and time it was noted, such as 2026-03-12T18:00:00Z.');
        }

        return [
            'uuid' => $item['uuid'],
            'player_id' => $item['playerId'],
            'kind' => $kind->value,
            'words' => $words,
            'noted_at_utc' => $at->setTimezone(new DateTimeZone('UTC'))->format('Y-m-d H:i:s.v'),
        ];
    }
}
