<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Auth\AuditTrail;
use App\Models\Mark;
use App\Models\User;
use App\Planning\SquadHistory;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * The one way in for marks: each exactly once, in any order, one result an item; a bad one never refuses the others.
 *
 * A UUID seen before with the same content is `duplicate` (the answer was lost on the way); with other content it is refused.
 *
 * @phpstan-type Result array{index: int, uuid: string|null, status: string, code?: string, message?: string}
 */
final class TakeMarks
{
    public function __construct(
        private readonly ProjectMarks $projection,
        private readonly ProjectLedger $ledger,
        private readonly AuditTrail $trail,
        private readonly SquadHistory $history,
    ) {
    }

    /**
     * @param  list<mixed>  $items  whatever a device sent
     * @return list<Result>
     */
    public function take(array $items, User $by): array
    {
        return DB::transaction(function () use ($items, $by): array {
            /** @var list<array<string, mixed>> $records */
            $records = array_values(array_filter($items, is_array(...)));
            $reader = MarkReader::for($records, $by, $this->history);
            $seen = $this->contents(array_values(array_filter(array_column($records, 'uuid'), MarkFields::isUuid(...))));
            $corrections = Corrections::of($records);
            $results = [];
            $rows = [];
            foreach ($items as $index => $item) {
                $result = ['index' => $index, 'uuid' => is_array($item) && is_string($item['uuid'] ?? null) ? $item['uuid'] : null];
                try {
                    /** @var array<string, mixed> $record */
                    $record = is_array($item) ? $item : throw new MarkRefused('mark', 'A mark is a list of fields.');
                    $row = $reader->row($record);
                    $before = $seen[$row['uuid']] ?? null;
                    if ($before === null) {
                        $corrections->take((string) $row['uuid'], Mark::uuids($row['supersedes']));
                    }
                } catch (MarkRefused $refusal) {
                    $results[] = $result + ['status' => 'refused', 'code' => $refusal->reason, 'message' => $refusal->getMessage()];

                    continue;
                }
                $results[] = $result + self::status($before, self::content($row));
                if ($before === null) {
                    $rows[$index] = $row;
                    $seen[$row['uuid']] = self::content($row);
                }
            }
            $this->keep($rows, $results);
            $lineKeys = $this->projection->refresh(array_values($rows));
            $this->ledger->of(
                array_values(array_unique(array_column($rows, 'training_session_id'))),
                // A correction may take a number from another player: whoever the batch speaks of is worked out anew.
                $reader->playerIds(),
            );
            $this->audit(array_values($rows), $reader, $by);
            foreach ($reader->squadIds() as $squadId) {
                $this->history->changed($squadId, $lineKeys);
            }

            return array_values($results);
        }, attempts: 3);
    }

    /**
     * Inserts what is new. Another device may have sent the same UUID in the same instant: what it sent is read back, and
     * counts.
     *
     * @param  array<int, array<string, mixed>>  $rows  index → row; those that another device was quicker with are taken out
     * @param  array<int, Result>  $results
     */
    private function keep(array &$rows, array &$results): void
    {
        if ($rows === []) {
            return;
        }
        if (Mark::query()->toBase()->insertOrIgnore(array_values($rows)) < count($rows)) {
            $stored = $this->contents(array_column($rows, 'uuid'), ofNow: true);
            foreach ($rows as $index => $row) {
                if ($stored[$row['uuid']] !== self::content($row)) {
                    $results[$index] = [
                        'index' => $index,
                        'uuid' => (string) $row['uuid'],
                    ] + self::status($stored[$row['uuid']], self::content($row));
                    unset($rows[$index]);
                }
            }
        }
        $supersessions = [];
        foreach ($rows as $row) {
            foreach (Mark::uuids($row['supersedes']) as $uuid) {
                $supersessions[] = [
                    'superseded_uuid' => $uuid,
                    'mark_uuid' => $row['uuid'],
                    'club_id' => $row['club_id'],
                    'training_session_id' => $row['training_session_id'],
                    'entered_by' => $row['entered_by'],
                    'by_coach' => $row['source'] === 'coach',
                ];
            }
        }
        DB::table('mark_supersessions')->insertOrIgnore($supersessions);
    }

    /** @return array{status: string, code?: string, message?: string} */
    private static function status(?string $before, string $content): array
    {
        return match ($before) {
            null => ['status' => 'accepted'],
            $content => ['status' => 'duplicate'],
            default => ['status' => 'refused', 'code' => 'uuid-reused', 'message' => 'Another number was sent under this mark\'s name.'],
        };
    }

    /**
     * @param  list<string>  $uuids
     * @return array<string, string> uuid → content
     */
    private function contents(array $uuids, bool $ofNow = false): array
    {
        // Over every club: a UUID belongs to one mark, wherever it is.
        return Mark::query()
            ->withoutGlobalScope('club')
            ->whereKey($uuids)
            ->toBase()
            ->when($ofNow, fn (Builder $query) => $query->sharedLock())
            ->get()
            ->mapWithKeys(fn (object $mark): array => [$mark->uuid => self::content((array) $mark)])->all();
    }

    /**
     * What makes two marks the same mark: the device's clock and the sender do not count.
     *
     * @param  array<string, mixed>  $row
     */
    private static function content(array $row): string
    {
        return implode('|', [
            $row['player_id'], $row['training_session_id'], $row['line_key'], $row['try_number'],
            number_format((float) $row['value'], 1, '.', ''),
            (int) $row['is_void'], (int) $row['is_disputed'], $row['reason'], implode(',', Mark::uuids($row['supersedes'])),
            implode(',', Mark::partNumbers($row['parts'] ?? null)),
        ]);
    }

    /** @param  list<array<string, mixed>>  $rows */
    private function audit(array $rows, MarkReader $reader, User $by): void
    {
        $superseded = array_merge([], ...array_map(fn (array $row): array => Mark::uuids($row['supersedes']), $rows));
        $before = $superseded === [] ? collect() : Mark::query()
            ->whereKey($superseded)
            ->toBase()
            ->get(['uuid', 'value', 'training_session_id'])
            ->keyBy('uuid');
        $entries = [];
        foreach ($rows as $row) {
            $action = match (true) {
                (bool) $row['is_disputed'] => 'mark.disputed',
                $row['supersedes'] !== null && (bool) $row['is_void'] => 'mark.voided',
                $row['supersedes'] !== null => 'mark.corrected',
                default => null,
            };
            if ($action === null) {
                continue;
            }
            $values = $before->only(Mark::uuids($row['supersedes']))
                ->where('training_session_id', $row['training_session_id'])
                ->map(fn (stdClass $mark): float => (float) $mark->value);
            $entries[] = [
                'action' => $action,
                'squadId' => $reader->squadOf($row['player_id']),
                'playerId' => $row['player_id'],
                'changes' => [
                    'value' => [$values->isEmpty() ? 'a number not sent yet' : $values->implode(' and '), (float) $row['value']],
                ] + ($row['reason'] === '' ? [] : ['reason' => ['', $row['reason']]]),
            ];
        }
        $this->trail->noteAll($by, $entries);
    }
}
