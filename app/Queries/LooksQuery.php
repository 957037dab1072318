<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Player;
use App\Planning\SquadHistory;
use App\Tenancy\ClubDay;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Run\Look;
use FleetSparrow\Core\Run\LookCount;
use FleetSparrow\Core\Run\TouchWeight;
use Illuminate\Support\Facades\DB;

/** What looking closely at a player came to. */
final class LooksQuery
{
    /** Of so many balls, the latest; more is last season. */
    private const MOST = 400;

    public function __construct(private readonly SquadHistory $history)
    {
    }

    /** @return list<LookCount> the latest day first */
    public function of(Player $player, ClubDay $day): array
    {
        return $this->history->rememberAside(
            $player->squad,
            "looks.{$player->id}.{$day->timeZone}",
            static fn (): array => self::read($player, $day),
        );
    }

    /** @return list<LookCount> */
    private static function read(Player $player, ClubDay $day): array
    {
        $rows = DB::table('looks')->where('club_id', $player->club_id)->where('player_id', $player->id)
            ->orderByDesc('looked_at_utc')->limit(self::MOST)->get();

        return LookCount::all($rows->map(function (object $row) use ($day): Look {
            $on = $day->on(CarbonImmutable::parse((string) $row->looked_at_utc, 'UTC'));

            return $row->weight === null
                ? Look::atPass(
                    playerId: (int) $row->player_id,
                    drillSlug: (string) $row->drill_slug,
                    on: $on,
                    isAccurate: (bool) $row->is_accurate,
                    isRightPace: (bool) $row->is_right_pace,
                    isClean: (bool) $row->is_clean,
                )
                : Look::atTouch(
                    (int) $row->player_id,
                    (string) $row->drill_slug,
                    $on,
                    TouchWeight::from((string) $row->weight),
                    $row->is_far_foot === null ? null : (bool) $row->is_far_foot,
                );
        })->all());
    }
}
