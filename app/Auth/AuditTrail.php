<?php

declare(strict_types=1);

namespace App\Auth;

use App\Models\AuditEntry;
use App\Models\User;
use App\Tenancy\ClubContext;

/** Notes who did what: to a child's records, to an account, a session, the settings. Private notes are named, never quoted. */
final class AuditTrail
{
    public function __construct(private readonly ClubContext $context)
    {
    }

    /** @param  array<string, mixed>  $changes  field → [before, after] */
    public function note(?User $by, string $action, int $squadId, int $playerId, array $changes = []): void
    {
        $this->noteAll($by, [['action' => $action, 'squadId' => $squadId, 'playerId' => $playerId, 'changes' => $changes]]);
    }

    /**
     * About something else than a child.
     *
     * @param  string  $about  whom or what, by name: an account that is gone is still read of
     * @param  array<string, mixed>  $changes  field → [before, after]
     */
    public function noteOf(?User $by, string $action, string $about, ?int $squadId = null, array $changes = []): void
    {
        $this->noteAll(
            $by,
            [['action' => $action, 'squadId' => $squadId, 'playerId' => null, 'about' => mb_substr($about, 0, 190), 'changes' => $changes]],
        );
    }

    /**
     * @param  list<array{action: string, squadId: int|null, playerId: int|null, about?: string, changes: array<string, mixed>}>  $entries
     */
    public function noteAll(?User $by, array $entries): void
    {
        $clubId = $this->context->clubId();
        AuditEntry::query()->toBase()->insert(array_map(fn (array $entry): array => [
            'club_id' => $clubId,
            'squad_id' => $entry['squadId'],
            'player_id' => $entry['playerId'],
            'user_id' => $by?->id,
            'action' => $entry['action'],
            'about' => $entry['about'] ?? '',
            'changes' => json_encode((object) $entry['changes'], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            'at_utc' => now('UTC')->format('Y-m-d H:i:s.v'),
        ], $entries));
    }

    /** What was said about a child goes with the child; that somebody erased them stays. */
    public function forget(int $playerId): void
    {
        AuditEntry::query()->where('player_id', $playerId)->delete();
    }
}
