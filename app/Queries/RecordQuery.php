<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Mark;
use App\Models\RecordLine;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\Mark as CoreMark;
use FleetSparrow\Core\Shared\CalendarDate;

/** Reads the standing marks of some players into the core's line readings: two queries. */
final class RecordQuery
{
    /** @var array<string, RecordLine> */
    private array $lines = [];

    /**
     * @param  list<int>  $playerIds
     * @return array<int, array<string, LineReading>> player id → line key → reading
     */
    public function readings(array $playerIds): array
    {
        $marks = Mark::query()->tap(Mark::standing(...))->whereIn('player_id', $playerIds)
            ->orderBy('marked_on')->orderBy('recorded_at_utc')->toBase()
            ->get(['player_id', 'line_key', 'value', 'is_void', 'marked_on']);
        $keys = $marks->pluck('line_key')->unique()->values()->all();
        foreach (RecordLine::query()->whereKey($keys)->get() as $line) {
            $this->lines[$line->line_key] = $line;
        }
        $byLine = [];
        foreach ($marks as $mark) {
            $byLine[(int) $mark->player_id][(string) $mark->line_key][] = new CoreMark(CalendarDate::fromIso((string) $mark->marked_on), (float) $mark->value, (bool) $mark->is_void);
        }

        return array_map(
            fn (array $lines): array => array_combine(
                array_keys($lines),
                array_map(fn (string $key, array $of): LineReading => LineReading::of($this->lines[$key]->kind, $of), array_keys($lines), $lines),
            ),
            $byLine,
        );
    }

    /** @return array<string, RecordLine> the lines met by the last reading, by key */
    public function lines(): array
    {
        return $this->lines;
    }
}
