<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Player;
use App\Models\RecordLine;
use App\Tenancy\ClubContext;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Support\Facades\DB;

/** Reads the line days of some players into the core's line readings: two queries. */
final class RecordQuery
{
    /** @var array<string, RecordLine> */
    private array $lines = [];

    /**
     * @param  list<int>  $playerIds  of the club acted for; others bring nothing
     * @param  list<string>|null  $lineKeys  null for all
     * @return array<int, array<string, LineReading>> player id → line key → reading
     */
    public function readings(array $playerIds, ?array $lineKeys = null): array
    {
        $rows = DB::table('line_days')->whereIn('player_id', Player::query()->whereKey($playerIds)->select('id'))
            ->when($lineKeys !== null, fn ($query) => $query->whereIn('line_key', $lineKeys ?? []))->orderBy('on_day')->get();
        $keys = $rows->pluck('line_key')->unique()->values()->all();
        foreach (RecordLine::query()->whereKey($keys)->get() as $line) {
            $this->lines[$line->line_key] = $line;
        }
        // Only the club acted for: the players above are its own, and so are its words.
        foreach (DB::table('club_line_names')->where(
            'club_id',
            resolve(ClubContext::class)->clubId(),
        )->whereIn('line_key', $keys)->get() as $own) {
            $this->lines[(string) $own->line_key]->drill_name = (string) $own->drill_name;
            $this->lines[(string) $own->line_key]->drill_slug = (string) $own->drill_slug;
        }
        $days = [];
        $open = [];
        foreach ($rows as $row) {
            [$playerId, $lineKey, $day] = [(int) $row->player_id, (string) $row->line_key, (string) $row->on_day];
            $days[$playerId][$lineKey] ??= [];
            if ((int) $row->open_tries > 0) {
                $open[$playerId][$lineKey][$day] = (int) $row->open_tries;
            }
            if ($row->best !== null) {
                $days[$playerId][$lineKey][] = new SessionValue(
                    CalendarDate::fromIso($day),
                    (float) $row->best,
                    (float) $row->median,
                    (int) $row->tries,
                    (int) $row->open_tries,
                );
            }
        }
        $readings = [];
        foreach ($days as $playerId => $lines) {
            foreach ($lines as $lineKey => $of) {
                $readings[$playerId][$lineKey] = LineReading::ofDays($this->lines[$lineKey]->kind, $of, $open[$playerId][$lineKey] ?? []);
            }
        }

        return $readings;
    }

    /** @return array<string, RecordLine> the lines met by the last reading, by key */
    public function lines(): array
    {
        return $this->lines;
    }
}
