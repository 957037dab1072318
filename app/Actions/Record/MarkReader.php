<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Models\Player;
use App\Models\RecordLine;
use App\Models\TrainingSession;
use App\Models\User;
use App\Support\ClubDay;
use App\Support\Role;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Record\MarkValue;
use Illuminate\Support\Collection;

/** Reads the marks a device sent into rows, or says why one cannot be taken. A fixed number of queries for a whole batch. */
final class MarkReader
{
    private const UUID = '/\A[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}\z/';

    private const COUNTED_BY = ['coach', 'partner', 'self'];

    /** Of one mark: a choice between readings names each of them. */
    private const MOST_SUPERSEDED = 20;

    /**
     * @param  Collection<int, Player>  $players
     * @param  Collection<int, TrainingSession>  $sessions
     * @param  Collection<string, RecordLine>  $lines
     * @param  array<int, Role>  $roles  squad id → what the sender is to it
     * @param  array<int, string>  $grounds  squad id → ground
     */
    private function __construct(
        private readonly User $by,
        private readonly Collection $players,
        private readonly Collection $sessions,
        private readonly Collection $lines,
        private readonly array $roles,
        private readonly array $grounds,
        private readonly ClubDay $day,
    ) {
    }

    /**
     * Locks the players the batch speaks of: two batches about one child are taken one after the other, so that what is
     * worked out from the marks always rests on all of them.
     *
     * @param  list<array<string, mixed>>  $items
     */
    public static function for(array $items, User $by): self
    {
        $roles = [];
        $grounds = [];
        foreach ($by->openSquads() as ['squad' => $squad, 'role' => $role]) {
            $roles[$squad->id] = $role;
            $grounds[$squad->id] = $squad->ground->value;
        }

        return new self(
            $by,
            Player::query()->whereKey(self::column($items, 'playerId'))->whereIn('squad_id', array_keys($roles))->orderBy('id')->lockForUpdate()->get()->keyBy('id'),
            TrainingSession::query()->whereKey(self::column($items, 'sessionId'))->whereIn('squad_id', array_keys($roles))->get()->keyBy('id'),
            RecordLine::query()->whereKey(self::column($items, 'lineKey'))->get()->keyBy('line_key'),
            $roles,
            $grounds,
            ClubDay::ofUser($by),
        );
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @return list<int|string>
     */
    public static function column(array $items, string $name): array
    {
        $values = [];
        foreach ($items as $item) {
            $value = $item[$name] ?? null;
            if (is_int($value) || is_string($value)) {
                $values[] = $value;
            }
        }

        return array_values(array_unique($values));
    }

    /** @return list<int> squads the batch speaks of */
    public function squadIds(): array
    {
        return array_values(array_unique($this->sessions->map(fn (TrainingSession $session): int => $session->squad_id)->all()));
    }

    public function squadOf(int $playerId): int
    {
        return $this->players[$playerId]->squad_id;
    }

    /**
     * @param  array<string, mixed>  $item
     * @return array{array<string, mixed>|null, array{code?: string, message?: string}}
     */
    public function row(array $item): array
    {
        if (! self::isUuid($item['uuid'] ?? null)) {
            return $this->refused('uuid', 'A mark needs a UUID made on the device.');
        }
        $player = is_int($item['playerId'] ?? null) ? $this->players->get($item['playerId']) : null;
        $session = is_int($item['sessionId'] ?? null) ? $this->sessions->get($item['sessionId']) : null;
        if ($player === null || $session === null || $player->squad_id !== $session->squad_id) {
            return $this->refused('not-found', 'This player or session is not one of yours.');
        }
        $line = is_string($item['lineKey'] ?? null) ? $this->lines->get($item['lineKey']) : null;
        if ($line === null) {
            return $this->refused('line-unknown', 'What this number measures is not known here.');
        }
        $try = $item['tryNumber'] ?? null;
        if (! is_int($try) || $try < 1 || $try > 200) {
            return $this->refused('try-number', 'The try must be between 1 and 200.');
        }
        $supersedes = $this->superseded($item);
        if ($supersedes === null) {
            return $this->refused('supersedes', 'A correction names other marks by their UUID, at most '.self::MOST_SUPERSEDED.'.');
        }
        $value = $item['value'] ?? null;
        if (! is_int($value) && ! is_float($value)) {
            return $this->refused('value', 'A mark needs a number.');
        }
        $reason = $item['reason'] ?? '';
        if (! is_string($reason) || mb_strlen($reason) > 200) {
            return $this->refused('reason', 'A reason has at most 200 letters.');
        }
        try {
            $mark = MarkValue::of($line->kind, (float) $value);
        } catch (CoreException $refusal) {
            return $this->refused($refusal->reason(), $refusal->getMessage());
        }
        $countedBy = $item['countedBy'] ?? 'coach';

        return [[
            'uuid' => $item['uuid'],
            'club_id' => $this->by->club_id,
            'player_id' => $player->id,
            'training_session_id' => $session->id,
            'line_key' => $line->line_key,
            'try_number' => $try,
            'value' => number_format($mark->value, 1, '.', ''),
            'is_void' => ($item['isVoid'] ?? false) === true,
            'is_disputed' => ($item['isDisputed'] ?? false) === true,
            'reason' => trim($reason),
            'source' => $this->isCoachOf($session->squad_id) ? 'coach' : 'assistant',
            'counted_by' => in_array($countedBy, self::COUNTED_BY, true) ? $countedBy : 'coach',
            'ground' => $this->grounds[$session->squad_id],
            // The number belongs to the session's day, however late it is sent.
            'marked_on' => $this->day->on($session->starts_at_utc)->iso(),
            'recorded_at_utc' => $this->recordedAt($item['recordedAt'] ?? null)->format('Y-m-d H:i:s.v'),
            'supersedes' => $supersedes === [] ? null : json_encode($supersedes, JSON_THROW_ON_ERROR),
            'entered_by' => $this->by->id,
            'created_at' => now(),
            'updated_at' => now(),
        ], []];
    }

    /**
     * @param  array<string, mixed>  $item
     * @return list<string>|null sorted; null when they cannot be read
     */
    private function superseded(array $item): ?array
    {
        $uuids = $item['supersedesUuids'] ?? [];
        if (! is_array($uuids) || count($uuids) > self::MOST_SUPERSEDED) {
            return null;
        }
        foreach ($uuids as $uuid) {
            if (! self::isUuid($uuid) || $uuid === $item['uuid']) {
                return null;
            }
        }
        /** @var list<string> $sorted */
        $sorted = array_values(array_unique($uuids));
        sort($sorted);

        return $sorted;
    }

    private function isCoachOf(int $squadId): bool
    {
        return $this->roles[$squadId] !== Role::Assistant;
    }

    private static function isUuid(mixed $text): bool
    {
        return is_string($text) && preg_match(self::UUID, $text) === 1;
    }

    /** A device's clock is its own: a time that cannot be read, or lies ahead, becomes now. */
    private function recordedAt(mixed $text): CarbonImmutable
    {
        $now = CarbonImmutable::now('UTC');
        if (! is_string($text) || preg_match('/\A\d{4}-[01]\d-[0-3]\dT[0-2]\d:[0-5]\d:[0-5]\d(\.\d{1,3})?Z\z/', $text) !== 1) {
            return $now;
        }
        $at = CarbonImmutable::parse($text);

        return $at->lessThan($now) && $at->greaterThan($now->subYears(2)) ? $at : $now;
    }

    /** @return array{null, array{code: string, message: string}} */
    private function refused(string $code, string $message): array
    {
        return [null, ['code' => $code, 'message' => $message]];
    }
}
