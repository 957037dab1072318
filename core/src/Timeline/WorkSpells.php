<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Organisation\Go;
use FleetSparrow\Core\Organisation\GoTables;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\SeatedCrew;

/**
 * The work of a block, go by go, at all its places at once: everybody is in the same set on the same side. The place with most goes
 * sets the pace: at the others they begin again (those touches count and are not owed), and who is alone there rests.
 */
final class WorkSpells
{
    /**
     * @param  list<SeatedCrew>  $places
     * @param  list<int>  $standing  players without a place, who count
     * @param  float  $goSeconds  what a whole go takes here: of the slowest, where the work ends it
     * @param  array<int, float>  $ownSeconds  player → what an own go takes, where the work ends it; nothing where the clock does
     * @return list<Spell>
     */
    public static function of(GoTables $tables, array $places, array $standing, float $goSeconds, array $ownSeconds): array
    {
        $all = $standing;
        foreach ($places as $seated) {
            $all = [...$all, ...$seated->players];
        }
        $changing = array_fill_keys($all, new Seat(Role::ChangesOver));
        $resting = array_fill_keys($all, new Seat(Role::Rests));
        $spells = [];
        [$at, $before] = [0, null];
        foreach ($tables->longest($places) as $go) {
            $at = $before !== null && $before->side === $go->side && $before->set === $go->set ? $at + 1 : 0;
            $before = $go;
            if ($go->swapSeconds > 0.0) {
                $spells[] = new Spell(SegmentKind::Change, $go->swapSeconds, true, $changing, $go->side, $go->set, shift: $go->shift + 1);
            }
            $rest = $go->gapSeconds - $go->swapSeconds;
            if ($rest > 1e-9) {
                $spells[] = new Spell(SegmentKind::Rest, $rest, true, $resting, $go->side, $go->set);
            }
            $spells[] = self::work($at, $go, $tables, $places, $standing, $goSeconds, $ownSeconds);
        }

        return $spells;
    }

    /**
     * @param  list<SeatedCrew>  $places
     * @param  list<int>  $standing
     * @param  array<int, float>  $ownSeconds
     */
    private static function work(
        int $at,
        Go $go,
        GoTables $tables,
        array $places,
        array $standing,
        float $goSeconds,
        array $ownSeconds,
    ): Spell {
        $isClocked = $ownSeconds === [];
        $seconds = $goSeconds * $go->lasts;
        [$seats, $owed] = [array_fill_keys($standing, new Seat(Role::Counts)), []];
        foreach ($places as $crew) {
            $goes = $tables->within($crew->crew, $go);
            $isExtra = $at >= count($goes);
            // Not the same one again in every set.
            $own = $goes[($isExtra ? $at + $go->set - 1 : $at) % count($goes)];
            foreach ($own->seats as $slot => $seat) {
                $player = $crew->players[$slot];
                $isWhole = $isClocked || ! $seat->role->isActive() || $seconds <= 0.0;
                $share = $isWhole ? 1.0 : min(1.0, ($ownSeconds[$player] ?? $seconds) / $seconds);
                $seats[$player] = match (true) {
                    ! $isExtra => $seat->forShare($share),
                    $crew->crew->people() > 1 => $seat->forShare($share)->again(),
                    default => new Seat(Role::Rests, $slot),
                };
            }
            foreach ($isExtra || ! $tables->pattern->isOwed($go->set) ? [] : $own->owed as $slot) {
                $owed[] = $crew->players[$slot];
            }
        }

        return new Spell(SegmentKind::Work, $seconds, $isClocked, $seats, $go->side, $go->set, $owed, shift: $go->shift + 1);
    }
}
