<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Models\Mark;
use App\Models\Player;
use App\Models\RecordLine;
use App\Models\TrainingSession;
use App\Models\User;
use App\Support\ClubDay;
use App\Support\SquadHistory;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Record\MarkValue;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/**
 * Takes a batch of marks: each exactly once, in any order, one result an item; a bad one never refuses the others.
 *
 * A UUID seen before with the same content is `duplicate` (the answer was lost on the way); with other content it is refused.
 */
final class TakeMarks
{
    public function __construct(private readonly SquadHistory $history)
    {
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @return list<array{index: int, uuid: string|null, status: string, code?: string, message?: string}>
     */
    public function take(array $items, User $by): array
    {
        return DB::transaction(function () use ($items, $by): array {
            $seen = $this->seen($items);
            $squads = $by->squads()->pluck('squads.id')->all();
            $players = Player::query()->whereKey($this->column($items, 'playerId'))->whereIn('squad_id', $squads)->get()->keyBy('id');
            $sessions = TrainingSession::query()->whereKey($this->column($items, 'sessionId'))->whereIn('squad_id', $squads)->get()->keyBy('id');
            $lines = RecordLine::query()->whereKey($this->column($items, 'lineKey'))->get()->keyBy('line_key');
            $day = ClubDay::ofUser($by);
            $results = [];
            $rows = [];
            foreach ($items as $index => $item) {
                [$row, $refusal] = $this->row($item, $by, $players, $sessions, $lines, $day);
                $uuid = is_string($item['uuid'] ?? null) ? $item['uuid'] : null;
                if ($row === null) {
                    $results[] = ['index' => $index, 'uuid' => $uuid, 'status' => 'refused'] + $refusal;

                    continue;
                }
                $before = $seen[$row['uuid']] ?? null;
                if ($before === null) {
                    $rows[] = $row;
                    $seen[$row['uuid']] = $this->content($row);
                    $results[] = ['index' => $index, 'uuid' => $uuid, 'status' => 'accepted'];
                } elseif ($before === $this->content($row)) {
                    $results[] = ['index' => $index, 'uuid' => $uuid, 'status' => 'duplicate'];
                } else {
                    $results[] = ['index' => $index, 'uuid' => $uuid, 'status' => 'refused', 'code' => 'uuid-reused', 'message' => 'Another number was sent under this mark\'s name.'];
                }
            }
            // insertOrIgnore: two phones may send the same mark in the same instant.
            Mark::query()->toBase()->insertOrIgnore($rows);
            foreach ($sessions->pluck('squad_id')->unique() as $squadId) {
                $this->history->changed((int) $squadId);
            }

            return $results;
        });
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @return array<string, string> uuid → content
     */
    private function seen(array $items): array
    {
        // Over every club: a UUID belongs to one mark, wherever it is.
        return Mark::query()->withoutGlobalScope('club')->whereKey($this->column($items, 'uuid'))->toBase()->get()
            ->mapWithKeys(fn (object $mark): array => [$mark->uuid => $this->content((array) $mark)])->all();
    }

    /**
     * @param  list<array<string, mixed>>  $items
     * @return list<int|string>
     */
    private function column(array $items, string $name): array
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

    /**
     * @param  array<string, mixed>  $item
     * @param  Collection<int, Player>  $players
     * @param  Collection<int, TrainingSession>  $sessions
     * @param  Collection<string, RecordLine>  $lines
     * @return array{array<string, mixed>|null, array{code?: string, message?: string}}
     */
    private function row(array $item, User $by, Collection $players, Collection $sessions, Collection $lines, ClubDay $day): array
    {
        $uuid = $item['uuid'] ?? null;
        if (! is_string($uuid) || preg_match('/\A[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}\z/', $uuid) !== 1) {
            return $this->refused('uuid', 'A mark needs a UUID made on the device.');
        }
        $player = is_int($item['playerId'] ?? null) ? $players->get($item['playerId']) : null;
        $session = is_int($item['sessionId'] ?? null) ? $sessions->get($item['sessionId']) : null;
        if ($player === null || $session === null || $player->squad_id !== $session->squad_id) {
            return $this->refused('not-found', 'This player or session is not one of yours.');
        }
        $line = is_string($item['lineKey'] ?? null) ? $lines->get($item['lineKey']) : null;
        if ($line === null) {
            return $this->refused('line-unknown', 'What this number measures is not known here.');
        }
        $try = $item['tryNumber'] ?? null;
        if (! is_int($try) || $try < 1 || $try > 200) {
            return $this->refused('try-number', 'The try must be between 1 and 200.');
        }
        $supersedes = $item['supersedesUuid'] ?? null;
        if ($supersedes !== null && (! is_string($supersedes) || $supersedes === $uuid || strlen($supersedes) !== 36)) {
            return $this->refused('supersedes', 'A correction names another mark.');
        }
        $value = $item['value'] ?? null;
        if (! is_int($value) && ! is_float($value)) {
            return $this->refused('value', 'A mark needs a number.');
        }
        try {
            $mark = MarkValue::of($line->kind, (float) $value);
        } catch (CoreException $refusal) {
            return $this->refused($refusal->reason(), $refusal->getMessage());
        }
        $at = $this->recordedAt($item['recordedAt'] ?? null);

        return [[
            'uuid' => $uuid,
            'club_id' => $by->club_id,
            'player_id' => $player->id,
            'training_session_id' => $session->id,
            'line_key' => $line->line_key,
            'try_number' => $try,
            'value' => number_format($mark->value, 1, '.', ''),
            'is_void' => ($item['isVoid'] ?? false) === true,
            // The number belongs to the session's day, however late it is sent.
            'marked_on' => $day->on($session->starts_at_utc)->iso(),
            'recorded_at_utc' => $at->format('Y-m-d H:i:s.v'),
            'supersedes_uuid' => $supersedes,
            'entered_by' => $by->id,
            'created_at' => now(),
            'updated_at' => now(),
        ], []];
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

    /**
     * What makes two marks the same mark: the device's clock and the sender do not count.
     *
     * @param  array<string, mixed>  $row
     */
    private function content(array $row): string
    {
        return implode('|', [$row['player_id'], $row['training_session_id'], $row['line_key'], $row['try_number'], number_format((float) $row['value'], 1, '.', ''), (int) $row['is_void'], $row['supersedes_uuid'] ?? '']);
    }

    /** @return array{null, array{code: string, message: string}} */
    private function refused(string $code, string $message): array
    {
        return [null, ['code' => $code, 'message' => $message]];
    }
}
