<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Models\TrainingSession;
use App\Models\User;
use FleetSparrow\Core\Run\ReminderKind;

/** Takes what was noted beside names in a run: each once, in any order. */
final class TakeReminders
{
    public const MOST_LETTERS = 60;

    /**
     * @param  list<mixed>  $items  whatever a device sent
     * @return list<array{index: int, uuid: string|null, status: string, code?: string, message?: string}>
     */
    public function take(TrainingSession $session, array $items, User $by): array
    {
        $columns = fn (array $item): array => self::columns($item) + ['noted_by' => $by->id];

        return NotedFields::keep('reminder_events', $session, $items, $columns);
    }

    /**
     * @param  array<mixed>  $item
     * @return array<string, mixed>
     *
     * @throws MarkRefused
     */
    private static function columns(array $item): array
    {
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

        return ['kind' => $kind->value, 'words' => $words, 'noted_at_utc' => NotedFields::instant($item, 'notedAt')];
    }
}
