<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\AuditEntry;
use App\OpenApi\Shape;

#[Shape('TrailEntry', ['at' => 'instant', 'by' => 'string', 'what' => 'string'])]
#[Shape('ClubTrailEntry', ['about' => 'string', 'squad' => 'string?'], extends: 'TrailEntry')]
#[Shape('PlayerNote', ['note' => 'string', 'trail' => 'TrailEntry[]'])]
#[Shape('NoteFields', ['note' => 'string'])]
final class TrailResource
{
    private const WORDS = [
        'player.added' => 'added the player',
        'player.changed' => 'changed',
        'note.changed' => 'changed the private note',
        'player.advice' => 'answered advice',
        'player.moved' => 'moved to another squad',
        'home.link-opened' => 'opened a page at home',
        'home.link-closed' => 'closed the page at home',
        'home.confirmed' => 'confirmed numbers from home',
        'season.ended' => 'ended a season',
        'mark.corrected' => 'corrected a number',
        'mark.voided' => 'made a try void',
        'mark.disputed' => 'disputed a try',
        'attendance.changed' => 'said who comes',
        'player.erased' => 'erased a player',
        'staff.invited' => 'offered a place',
        'staff.uninvited' => 'took an invitation back',
        'staff.joined' => 'took the place offered',
        'staff.changed' => 'changed roles',
        'staff.removed' => 'took off the staff',
        'staff.reset-link' => 'made a link for a new password',
        'staff.password' => 'set a new password',
        'staff.sign-in-ended' => 'ended a sign-in',
        'settings.changed' => 'changed settings',
        'squad.added' => 'added a squad',
        'session.deleted' => 'deleted a session',
        'drill.retired' => 'retired a drill',
        'drill.sharing' => 'changed who sees a drill',
        'drill.target' => 'changed the number to beat of a drill',
    ];

    private const FIELDS = [
        'name' => 'name',
        'bib' => 'bib',
        'strong_foot' => 'strong foot',
        'birth_year' => 'birth year',
        'private_note' => 'private note',
        'value' => 'number',
        'reason' => 'reason',
        'coming' => 'coming',
        'role' => 'role',
        'is_lead' => 'club lead',
        'numbers' => 'numbers',
    ];

    /** @return array<string, mixed> */
    public static function of(AuditEntry $entry): array
    {
        $changes = [];
        foreach ($entry->changes as $field => $change) {
            $words = self::FIELDS[$field] ?? str_replace('_', ' ', $field);
            [$before, $after] = is_array($change) && count($change) === 2 ? array_map(self::shown(...), $change) : [null, null];
            $changes[] = $after === null ? $words : "{$words} from {$before} to {$after}";
        }
        $what = self::WORDS[$entry->action] ?? $entry->action;

        return [
            'at' => $entry->at_utc->toIso8601ZuluString(),
            'by' => $entry->user->name ?? ($entry->user_id === null ? 'somebody' : 'somebody no longer on the staff'),
            'what' => $entry->action === 'note.changed' || $changes === [] ? $what : "{$what}: ".implode(', ', $changes),
        ];
    }

    /** @return array<string, mixed> as the club lead reads it: about whom, too */
    public static function inClub(AuditEntry $entry): array
    {
        return self::of($entry) + [
            'about' => $entry->about !== '' ? $entry->about : ($entry->player->name ?? 'a player no longer there'),
            'squad' => $entry->squad?->name,
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
