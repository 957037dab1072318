<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\AuditEntry;
use App\OpenApi\Shape;

#[Shape('TrailEntry', ['at' => 'instant', 'by' => 'string', 'what' => 'string'])]
#[Shape('PlayerNote', ['note' => 'string', 'trail' => 'TrailEntry[]'])]
#[Shape('NoteFields', ['note' => 'string'])]
final class TrailResource
{
    private const WORDS = [
        'player.added' => 'added the player',
        'player.changed' => 'changed',
        'note.changed' => 'changed the private note',
        'mark.corrected' => 'corrected a number',
        'mark.voided' => 'made a try void',
        'mark.disputed' => 'disputed a try',
        'attendance.changed' => 'said who comes',
    ];

    private const FIELDS = ['name' => 'name', 'bib' => 'bib', 'strong_foot' => 'strong foot', 'birth_year' => 'birth year', 'private_note' => 'private note', 'value' => 'number', 'reason' => 'reason', 'coming' => 'coming'];

    /** @return array<string, mixed> */
    public static function of(AuditEntry $entry): array
    {
        $changes = [];
        foreach ($entry->changes as $field => $change) {
            $words = self::FIELDS[$field] ?? $field;
            [$before, $after] = is_array($change) && count($change) === 2 ? array_map(self::shown(...), $change) : [null, null];
            $changes[] = $after === null ? $words : "{$words} from {$before} to {$after}";
        }
        $what = self::WORDS[$entry->action] ?? $entry->action;

        return [
            'at' => $entry->at_utc->toIso8601ZuluString(),
            'by' => $entry->user->name ?? 'somebody no longer on the staff',
            'what' => $entry->action === 'note.changed' || $changes === [] ? $what : "{$what}: ".implode(', ', $changes),
        ];
    }

    private static function shown(mixed $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            $value === null, $value === '' => 'nothing',
            is_scalar($value) => (string) $value,
            default => (string) json_encode($value),
        };
    }
}
