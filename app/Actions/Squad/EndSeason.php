<?php

declare(strict_types=1);

namespace App\Actions\Squad;

use App\Auth\AuditTrail;
use App\Models\Squad;
use App\Models\User;
use App\Planning\SeasonSpan;
use App\Planning\SquadHistory;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Support\Facades\DB;

/** Ends a season, and takes it back. What was written down in it stays readable under its name. */
final class EndSeason
{
    public function __construct(private readonly AuditTrail $trail, private readonly SquadHistory $history)
    {
    }

    /** @param  CalendarDate  $endsOn  its last day; the next one begins the day after */
    public function end(Squad $squad, string $name, CalendarDate $endsOn, CalendarDate $today, User $by): int
    {
        return DB::transaction(function () use ($squad, $name, $endsOn, $today, $by): int {
            $this->history->hold([$squad->id]);
            $id = DB::table('ended_seasons')->insertGetId([
                'club_id' => $squad->club_id,
                'squad_id' => $squad->id,
                'name' => $name,
                'starts_on' => SeasonSpan::current($squad, $today)->from->iso(),
                'ends_on' => $endsOn->iso(),
                'created_at' => now(),
                'updated_at' => now(),
            ]);
            $this->begin($squad, $endsOn->plusDays(1)->iso());
            $this->trail->noteOf($by, 'season.ended', $name, $squad->id);

            return $id;
        });
    }

    /** @return bool false where another season has ended since, so that this one cannot go on */
    public function takeBack(Squad $squad, int $seasonId, User $by): bool
    {
        return DB::transaction(function () use ($squad, $seasonId, $by): bool {
            $this->history->hold([$squad->id]);
            $last = DB::table('ended_seasons')->where('squad_id', $squad->id)->orderByDesc('ends_on')->orderByDesc('id')->first();
            if ($last === null || (int) $last->id !== $seasonId) {
                return false;
            }
            DB::table('ended_seasons')->where('id', $seasonId)->delete();
            $this->begin($squad, (string) $last->starts_on);
            $this->trail->noteOf($by, 'season.ended', (string) $last->name, $squad->id, ['season' => ['ended', 'goes on']]);

            return true;
        });
    }

    private function begin(Squad $squad, string $startsOn): void
    {
        // Somebody may have the squad's settings open: they are another version now.
        $squad->forceFill(['season_starts_on' => $startsOn, 'version' => $squad->version + 1])->save();
        $this->history->changed($squad->id);
    }
}
