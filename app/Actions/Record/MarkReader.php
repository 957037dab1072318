<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Models\Mark;
use App\Models\Player;
use App\Models\RecordLine;
use App\Models\TrainingSession;
use App\Models\User;
use App\Planning\SquadHistory;
use App\Tenancy\ClubDay;
use App\Tenancy\Role;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use LogicException;

/** Reads the marks a device sent into rows, or says why one cannot be taken. A fixed number of queries for a whole batch. */
final class MarkReader
{
    /**
     * @param  Collection<int, Player>  $players
     * @param  Collection<int, TrainingSession>  $sessions
     * @param  Collection<string, RecordLine>  $lines
     * @param  array<int, Role>  $roles  squad id → what the sender is to it
     * @param  array<int, string>  $grounds  squad id → ground
     * @param  array<string, string>  $former  former key and ball size → key of a line
     * @param  array<int, int>  $balls  squad id → size
     */
    private function __construct(
        private readonly User $by,
        private readonly Collection $players,
        private readonly Collection $sessions,
        private readonly Collection $lines,
        private readonly array $roles,
        private readonly array $grounds,
        private readonly array $former,
        private readonly array $balls,
        private readonly ClubDay $day,
    ) {
    }

    /**
     * Locks the players the batch speaks of: two batches about one child are taken one after the other, so that what is
     * worked out from the marks always rests on all of them.
     *
     * @param  list<array<string, mixed>>  $items
     */
    public static function for(array $items, User $by, SquadHistory $history): self
    {
        $roles = [];
        $grounds = [];
        $balls = [];
        foreach ($by->openSquads() as ['squad' => $squad, 'role' => $role]) {
            $roles[$squad->id] = $role;
            $grounds[$squad->id] = $squad->ground->value;
            $balls[$squad->id] = $squad->ballSize();
        }

        $sessions = TrainingSession::query()
            ->whereKey(self::numbers($items, 'sessionId'))
            ->whereIn('squad_id', array_keys($roles))
            ->get()
            ->keyBy('id');
        $history->hold(array_values(array_unique($sessions->map(fn (TrainingSession $session): int => $session->squad_id)->all())));

        $keys = self::words($items, 'lineKey');
        $lines = RecordLine::query()->whereKey($keys)->get()->keyBy('line_key');
        $former = self::former(array_values(array_diff($keys, $lines->keys()->all())));

        return new self(
            by: $by,
            players: self::locked($items, array_keys($roles)),
            sessions: $sessions,
            lines: $former === [] ? $lines : $lines->union(RecordLine::query()->whereKey(array_values($former))->get()->keyBy('line_key')),
            roles: $roles,
            grounds: $grounds,
            former: $former,
            balls: $balls,
            day: $by->club->day(),
        );
    }

    /**
     * Lines that have another name by now; a phone may hold numbers under the former one.
     *
     * @param  list<string>  $unknown
     * @return array<string, string> former key and ball size → key
     */
    private static function former(array $unknown): array
    {
        $former = [];
        foreach ($unknown === [] ? [] : DB::table('former_lines')->whereIn('former_key', $unknown)->get() as $one) {
            $former["{$one->former_key} {$one->ball_size}"] = (string) $one->line_key;
        }

        return $former;
    }

    /**
     * The players the batch speaks of, and those it takes a number away from.
     *
     * @param  list<array<string, mixed>>  $items
     * @param  list<int>  $squadIds
     * @return Collection<int, Player>
     */
    private static function locked(array $items, array $squadIds): Collection
    {
        $superseded = array_merge(
            [],
            ...array_map(
                fn (array $item): array => array_values(array_filter((array) ($item['supersedesUuids'] ?? []), MarkFields::isUuid(...))),
                $items,
            ),
        );
        $others = $superseded === [] ? [] : Mark::query()->whereKey($superseded)->toBase()->pluck('player_id')->all();

        return Player::query()
            ->whereKey([...self::numbers($items, 'playerId'), ...$others])
            ->whereIn('squad_id', $squadIds)
            ->orderBy('id')
            ->lockForUpdate()
            ->get()
            ->toBase()
            ->keyBy('id');
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @return list<int>
     */
    private static function numbers(array $items, string $name): array
    {
        return array_values(array_unique(array_filter(array_column($items, $name), is_int(...))));
    }

    /**
     * What could be a key: a column compared with something else than text compares as numbers.
     *
     * @param  list<array<string, mixed>>  $items
     * @return list<string>
     */
    private static function words(array $items, string $name): array
    {
        return array_values(
            array_unique(
                array_filter(
                    array_column($items, $name),
                    fn (mixed $value): bool => is_string($value) && preg_match('/\A[0-9a-f]{1,64}\z/', $value) === 1,
                ),
            ),
        );
    }

    /** @return list<int> squads the batch speaks of */
    public function squadIds(): array
    {
        return array_values(array_unique($this->sessions->map(fn (TrainingSession $session): int => $session->squad_id)->all()));
    }

    /** @return list<int> players the batch speaks of, and those it takes a number away from */
    public function playerIds(): array
    {
        return array_values(array_map(intval(...), $this->players->keys()->all()));
    }

    public function squadOf(int $playerId): int
    {
        return $this->players->get($playerId)->squad_id ?? throw new LogicException('A mark of a player that was not read.');
    }

    /**
     * @param  array<string, mixed>  $item
     * @return array<string, mixed> a row of `marks`
     *
     * @throws MarkRefused
     */
    public function row(array $item): array
    {
        if (! MarkFields::isUuid($item['uuid'] ?? null)) {
            throw new MarkRefused('uuid', 'A mark needs a UUID made on the device.');
        }
        [$player, $session] = $this->whose($item);
        $key = is_string($item['lineKey'] ?? null) ? $item['lineKey'] : '';
        $line = $this->lines->get($this->former["{$key} {$this->balls[$session->squad_id]}"] ?? $key);
        if ($line === null) {
            throw new MarkRefused('line-unknown', 'What this number measures is not known here.');
        }

        return [
            'uuid' => $item['uuid'],
            'club_id' => $this->by->club_id,
            'player_id' => $player->id,
            'training_session_id' => $session->id,
            'line_key' => $line->line_key,
            'try_number' => MarkFields::tryNumber($item),
            'supersedes' => MarkFields::superseded($item),
            'value' => MarkFields::value($item, $line),
            'is_void' => ($item['isVoid'] ?? false) === true,
            'is_disputed' => ($item['isDisputed'] ?? false) === true,
            'reason' => MarkFields::reason($item),
            'parts' => MarkFields::parts($item),
            'source' => match (true) {
                $session->is_home => 'home',
                $this->roles[$session->squad_id] === Role::Assistant => 'assistant',
                default => 'coach',
            },
            'counted_by' => MarkFields::countedBy($item),
            'ground' => $this->grounds[$session->squad_id],
            // The number belongs to the session's day, however late it is sent.
            'marked_on' => $this->day->on($session->starts_at_utc)->iso(),
            'recorded_at_utc' => MarkFields::recordedAt($item['recordedAt'] ?? null)->format('Y-m-d H:i:s.v'),
            'entered_by' => $this->by->id,
            'created_at' => now(),
            'updated_at' => now(),
        ];
    }

    /**
     * @param  array<string, mixed>  $item
     * @return array{Player, TrainingSession}
     */
    private function whose(array $item): array
    {
        $player = is_int($item['playerId'] ?? null) ? $this->players->get($item['playerId']) : null;
        $session = is_int($item['sessionId'] ?? null) ? $this->sessions->get($item['sessionId']) : null;
        if ($player === null || $session === null || ($player->squad_id !== $session->squad_id && ! self::came($player, $session))) {
            throw new MarkRefused('not-found', 'This player or session is not one of yours.');
        }

        return [$player, $session];
    }

    /** Who has moved to another squad since keeps the numbers of the sessions they came to, and those can be mended. */
    private static function came(Player $player, TrainingSession $session): bool
    {
        return DB::table('attendances')->where('training_session_id', $session->id)->where('player_id', $player->id)
            ->where('coming', true)->exists();
    }
}
