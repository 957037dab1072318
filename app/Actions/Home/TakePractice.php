<?php

declare(strict_types=1);

namespace App\Actions\Home;

use App\Actions\Record\MarkFields;
use App\Actions\Record\MarkRefused;
use App\Models\DrillVersion;
use App\Models\HomeEntry;
use App\Models\Player;
use App\Models\RecordLine;
use App\Models\Squad;
use App\Queries\KeptRoutineQuery;
use App\Queries\RecordQuery;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Home\PractisedOn;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Support\Facades\DB;

/**
 * What one player practised, item by item, each kept once and apart from every record until a coach confirms it; a bad one never refuses
 * the others.
 *
 * @phpstan-type Result array{index: int, uuid: string|null, status: string, message?: string}
 */
final class TakePractice
{
    private const FELT = ['easy', 'right', 'hard'];

    private const MOST_NUMBERS = 40;

    public function __construct(private readonly KeptRoutineQuery $kept, private readonly RecordQuery $records)
    {
    }

    /**
     * @param  Squad  $squad  of the player
     * @param  list<mixed>  $items  whatever a phone sent
     * @param  CalendarDate  $phoneToday  by the phone that sends
     * @param  string  $phone  tells two phones apart
     * @return list<Result>
     */
    public function take(
        Squad $squad,
        Player $player,
        array $items,
        CalendarDate $phoneToday,
        ClubDay $day,
        string $source,
        string $phone = '',
    ): array {
        $tasks = $this->tasks($squad, $player, $items);
        $lines = $this->lines($items);

        return DB::transaction(function () use ($player, $items, $phoneToday, $day, $source, $phone, $tasks, $lines): array {
            $results = [];
            foreach ($items as $index => $item) {
                $item = is_array($item) ? $item : [];
                $uuid = MarkFields::isUuid($item['uuid'] ?? null) ? (string) $item['uuid'] : null;
                $result = ['index' => $index, 'uuid' => $uuid];
                try {
                    $row = $this->row($item, $tasks, $lines, $phoneToday, $day->today()) + [
                        'club_id' => $player->club_id,
                        'player_id' => $player->id,
                        'source' => $source,
                        'phone' => $phone,
                        'state' => HomeEntry::WAITING,
                        'sent_at_utc' => now('UTC')->format('Y-m-d H:i:s'),
                    ];
                } catch (MarkRefused $refusal) {
                    $results[] = $result + ['status' => 'refused', 'message' => $refusal->getMessage()];

                    continue;
                }
                $isNew = DB::table('home_entries')->insertOrIgnore($row) > 0;
                $results[] = $result + ($isNew || $this->isSame($row)
                    ? ['status' => $isNew ? 'accepted' : 'duplicate']
                    : ['status' => 'refused', 'message' => 'Other numbers came under this name before. Ask your coach to mend them.']);
            }

            return $results;
        });
    }

    /**
     * @param  array<array-key, mixed>  $item
     * @param  array<string, array{version: int, links: int|null, dose: array<string, mixed>}>  $tasks  by slug
     * @param  array<string, RecordLine>  $lines
     * @return array<string, mixed>
     *
     * @throws MarkRefused
     */
    private function row(array $item, array $tasks, array $lines, CalendarDate $phoneToday, CalendarDate $today): array
    {
        if (! MarkFields::isUuid($item['uuid'] ?? null)) {
            throw new MarkRefused('uuid', 'This needs a UUID made on the phone.');
        }
        $slug = is_string($item['drill'] ?? null) ? $item['drill'] : '';
        $task = $tasks[$slug] ?? throw new MarkRefused('drill', 'This is not in the week any more. Tell your coach the number.');
        try {
            $said = CalendarDate::fromIso(is_string($item['on'] ?? null) ? $item['on'] : '');
            $on = PractisedOn::of($said, $phoneToday, $today);
        } catch (CoreException $refusal) {
            throw new MarkRefused('on', $refusal->getMessage());
        }
        $felt = $item['felt'] ?? null;

        return [
            'uuid' => $item['uuid'],
            'drill_slug' => $slug,
            'task' => json_encode($task, JSON_THROW_ON_ERROR),
            'practised_on' => $on->on->iso(),
            'was_moved' => $on->wasMoved,
            'numbers' => json_encode($this->numbers($item['numbers'] ?? [], $slug, $lines), JSON_THROW_ON_ERROR),
            'felt' => in_array($felt, self::FELT, true) ? $felt : null,
        ];
    }

    /**
     * @param  array<string, RecordLine>  $lines
     * @return list<array{lineKey: string, value: float, parts: mixed}>
     *
     * @throws MarkRefused
     */
    private function numbers(mixed $numbers, string $slug, array $lines): array
    {
        if (! is_array($numbers) || count($numbers) > self::MOST_NUMBERS) {
            throw new MarkRefused('numbers', 'Numbers are a list.');
        }
        $read = [];
        foreach ($numbers as $one) {
            $key = is_array($one) && is_string($one['lineKey'] ?? null) ? $one['lineKey'] : '';
            $line = $lines[$key] ?? null;
            if (! is_array($one) || $line === null || $line->drill_slug !== $slug) {
                throw new MarkRefused('line-unknown', 'What this number measures is not known here.');
            }
            $parts = MarkFields::parts($one);
            $read[$key] = [
                'lineKey' => $key,
                'value' => (float) MarkFields::value($one, $line),
                'parts' => $parts === null ? null : json_decode($parts, true, 4, JSON_THROW_ON_ERROR),
            ];
        }

        return array_values($read);
    }

    /**
     * What the player's week asks for, and what of it is only in the book by now: the week may have changed while a phone was without a
     * network.
     *
     * @param  list<mixed>  $items
     * @return array<string, array{version: int, links: int|null, dose: array<string, mixed>}> by slug
     */
    private function tasks(Squad $squad, Player $player, array $items): array
    {
        $tasks = ($this->kept->of($squad, [$player->id])[$player->id] ?? null)->tasks ?? [];
        $slugs = array_map(static fn (mixed $item): mixed => is_array($item) ? $item['drill'] ?? null : null, $items);
        $others = array_values(array_diff(array_filter($slugs, is_string(...)), array_keys($tasks)));
        foreach ($others === [] ? [] : DrillVersion::currentFor($squad)->whereIn('drill_versions.slug', $others)->get() as $version) {
            $dose = $version->drill()->dose?->fields();
            $tasks += $dose === null ? [] : [$version->slug => ['version' => $version->id, 'links' => null, 'dose' => $dose]];
        }

        return $tasks;
    }

    /**
     * @param  list<mixed>  $items
     * @return array<string, RecordLine>
     */
    private function lines(array $items): array
    {
        $keys = [];
        foreach ($items as $item) {
            foreach (is_array($item) && is_array($item['numbers'] ?? null) ? $item['numbers'] : [] as $one) {
                $key = is_array($one) ? $one['lineKey'] ?? null : null;
                $keys = is_string($key) && preg_match('/\A[0-9a-f]{1,64}\z/', $key) === 1 ? [...$keys, $key] : $keys;
            }
        }

        return $keys === [] ? [] : $this->records->named(array_values(array_unique($keys)));
    }

    /** @param  array<string, mixed>  $row */
    private function isSame(array $row): bool
    {
        $before = HomeEntry::query()->whereKey($row['uuid'])->where('player_id', $row['player_id'])->first();

        return $before !== null && $before->drill_slug === $row['drill_slug'] && $before->felt === $row['felt']
            && json_encode($before->numbers, JSON_THROW_ON_ERROR) === $row['numbers'];
    }
}
