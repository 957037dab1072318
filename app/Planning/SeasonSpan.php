<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Squad;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Support\Facades\DB;

/** The days of a season: the one that goes on, or one that has ended. */
final readonly class SeasonSpan
{
    /** Where nobody has said when it began, a year back. */
    private const DAYS = 365;

    private const OPEN = '9999-12-30';

    /**
     * @param  int|null  $id  of a season that has ended; null for the one that goes on
     * @param  CalendarDate  $until  its last day, or today
     */
    private function __construct(public ?int $id, public string $name, public CalendarDate $from, public CalendarDate $until)
    {
    }

    /** The season that goes on, unless one that has ended is asked for; null where the squad has none of that name. */
    public static function tryOf(Squad $squad, CalendarDate $today, ?int $endedId = null): ?self
    {
        if ($endedId === null) {
            return self::current($squad, $today);
        }
        $row = DB::table('ended_seasons')->where('squad_id', $squad->id)->where('id', $endedId)->first();

        return $row === null ? null : new self(
            (int) $row->id,
            (string) $row->name,
            CalendarDate::fromIso((string) $row->starts_on),
            CalendarDate::fromIso((string) $row->ends_on),
        );
    }

    public static function current(Squad $squad, CalendarDate $today): self
    {
        $start = $squad->season_starts_on;

        return new self(
            null,
            'This season',
            $start === null ? $today->plusDays(-self::DAYS) : CalendarDate::fromIso($start->format('Y-m-d')),
            $today,
        );
    }

    /** @return list<array{id: int, name: string, startsOn: string, endsOn: string}> the latest first */
    public static function ended(Squad $squad): array
    {
        return array_values(DB::table('ended_seasons')->where('squad_id', $squad->id)->orderByDesc('ends_on')->get()
            ->map(static fn (object $row): array => [
                'id' => (int) $row->id,
                'name' => (string) $row->name,
                'startsOn' => (string) $row->starts_on,
                'endsOn' => (string) $row->ends_on,
            ])->all());
    }

    /**
     * The days that are read: of the season that goes on also those ahead, since numbers can be written down in a session before its day.
     *
     * @return array{string, string}
     */
    public function days(): array
    {
        return [$this->from->iso(), $this->id === null ? self::OPEN : $this->until->iso()];
    }

    /** What tells it from others, for what is kept of it. */
    public function key(): string
    {
        return "{$this->from->iso()}.{$this->until->iso()}";
    }
}
