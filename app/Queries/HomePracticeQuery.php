<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\HomeEntry;
use App\Models\RecordLine;
use App\Models\Squad;
use App\Planning\DrillShelf;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Home\HomeDoubt;
use FleetSparrow\Core\Home\HomePlace;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Touch\Tally;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;

/** Who practised what at home, and what of it waits for a coach's word. */
final class HomePracticeQuery
{
    /** Days of practice that hang together go back as far as a season. */
    private const DAYS = 300;

    public function __construct(private readonly RecordQuery $records, private readonly DrillShelf $shelf)
    {
    }

    /**
     * @param  list<int>  $playerIds
     * @return array<int, list<CalendarDate>> player → days with something practised, the latest first
     */
    public function days(array $playerIds, CalendarDate $today): array
    {
        $days = [];
        $rows = DB::table('home_entries')->whereIn('player_id', $playerIds)->where('state', '!=', HomeEntry::LEFT_OUT)
            ->where('practised_on', '>=', $today->plusDays(-self::DAYS)->iso())
            ->groupBy('player_id', 'practised_on')->orderByDesc('practised_on')->get(['player_id', 'practised_on']);
        foreach ($rows as $row) {
            $days[(int) $row->player_id][] = CalendarDate::fromIso((string) $row->practised_on);
        }

        return $days;
    }

    /**
     * What waits, the oldest first, with what is odd about it.
     *
     * @return list<array{entry: HomeEntry, lines: array<string, RecordLine>, bests: array<string, float>, doubts: list<string>}>
     */
    public function waiting(Squad $squad, ClubDay $day): array
    {
        $entries = HomeEntry::query()->whereIn('player_id', $squad->players->modelKeys())
            ->where('practised_on', '>=', $day->today()->plusDays(-self::DAYS)->iso())
            ->where('state', '!=', HomeEntry::LEFT_OUT)->orderBy('practised_on')->orderBy('uuid')->get();
        $waiting = $entries->where('state', HomeEntry::WAITING);
        $keys = [];
        foreach ($waiting as $entry) {
            $keys = [...$keys, ...array_column($entry->numbers, 'lineKey')];
        }
        $keys = array_values(array_unique($keys));
        $lines = $keys === [] ? [] : $this->records->named($keys);
        $readings = $keys === [] ? [] : $this->records->readings(array_values($waiting->pluck('player_id')->unique()->all()), $keys);
        $versions = array_values(array_unique($waiting->map(static fn (HomeEntry $one): int => $one->task['version'])->all()));
        $drills = $versions === [] ? [] : $this->shelf->drills($squad, $versions);
        $phones = self::phones($entries);
        $read = [];
        foreach ($waiting as $entry) {
            $own = $readings[$entry->player_id] ?? [];
            $read[] = [
                'entry' => $entry,
                'lines' => $lines,
                'bests' => array_filter(
                    array_map(static fn (LineReading $line): ?float => $line->recordDay()?->best, $own),
                    static fn (?float $best): bool => $best !== null,
                ),
                'doubts' => [
                    ...self::oddNumbers($entry, $drills[$entry->task['version']] ?? null, $lines, $own),
                    ...self::twice($entry, $entries),
                    ...($entry->phone !== '' && ($phones[$entry->player_id] ?? '') !== $entry->phone
                        ? ['It came from a second phone: does somebody share the link?'] : []),
                    ...($entry->was_moved ? ['The phone had another date; the day was reckoned from when it was sent.'] : []),
                ],
            ];
        }

        return $read;
    }

    /**
     * @param  array<string, RecordLine>  $lines
     * @param  array<string, LineReading>  $readings
     * @return list<string>
     */
    private static function oddNumbers(HomeEntry $entry, ?Drill $drill, array $lines, array $readings): array
    {
        $doubts = [];
        $dose = $drill?->doseFrom($entry->task['dose']);
        $perRep = $drill === null ? 1.0 : Tally::of($drill->script, $drill->layout->timesAlongPath())->contacts() / $drill->countsPerRep();
        foreach ($entry->numbers as $number) {
            $line = $lines[$number['lineKey']] ?? null;
            $doubts = $line === null ? $doubts : [...$doubts, ...HomeDoubt::of(
                kind: $line->kind,
                value: (float) $number['value'],
                bestSoFar: ($readings[$number['lineKey']] ?? null)?->recordDay()?->best,
                setSeconds: $dose?->clockedSetSeconds(),
                dayMinutes: (float) HomePlace::MINUTES[1],
                touchesPerCount: max(1.0, $perRep),
            )];
        }

        return $doubts;
    }

    /**
     * @param  Collection<int, HomeEntry>  $entries
     * @return list<string>
     */
    private static function twice(HomeEntry $entry, Collection $entries): array
    {
        $other = $entries->first(static fn (HomeEntry $one): bool => $one->uuid !== $entry->uuid
            && $one->player_id === $entry->player_id && $one->drill_slug === $entry->drill_slug
            && $one->practised_on->equalTo($entry->practised_on));
        if ($other === null) {
            return [];
        }
        $values = static fn (HomeEntry $one): string => implode(' and ', array_map(strval(...), array_column($one->numbers, 'value')));

        return [$values($other) === $values($entry)
            ? 'The same came twice for that day: confirm one, leave the other out.'
            : "Another entry of that day says {$values($other)}."];
    }

    /**
     * The phone most of a player's entries came from, the first one where two are as many.
     *
     * @param  Collection<int, HomeEntry>  $entries
     * @return array<int, string> by player
     */
    private static function phones(Collection $entries): array
    {
        $phones = [];
        foreach ($entries->where('phone', '!=', '')->groupBy('player_id') as $playerId => $own) {
            $counts = $own->countBy('phone')->all();
            arsort($counts);
            $phones[(int) $playerId] = (string) array_key_first($counts);
        }

        return $phones;
    }
}
