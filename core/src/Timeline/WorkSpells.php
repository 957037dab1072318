<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Organisation\Go;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\SeatedCrew;
use FleetSparrow\Core\Organisation\WorkingWay;

/**
 * The work of a block, go by go, at all its places at once. The place with most goes sets the pace: at the others they begin again
 * where a clock ends a go (those touches count and are not owed), and wait where the work does.
 */
final class WorkSpells
{
    /**
     * @param  non-empty-list<SeatedCrew>  $places
     * @param  list<int>  $standing  players without a place, who count
     * @param  array<int, float>  $ownSeconds  player → what an own go takes, where the work ends it; nothing where the clock does
     * @return list<Spell>
     */
    public static function of(WorkingWay $way, array $places, array $standing, GoPattern $pattern, array $ownSeconds): array
    {
        $tables = array_map(static fn (SeatedCrew $at): array => $way->goes($at->crew, $pattern), $places);
        $longest = [];
        foreach ($tables as $goes) {
            $longest = count($goes) > count($longest) ? $goes : $longest;
        }
        $spells = [];
        foreach ($longest as $i => $go) {
            $spells = [...$spells, ...self::gap($go, $places, $standing)];
            $spells[] = self::work($i, $go, $tables, $places, $standing, $pattern, $ownSeconds);
        }

        return $spells;
    }

    /**
     * @param  list<SeatedCrew>  $places
     * @param  list<int>  $standing
     * @return list<Spell>
     */
    private static function gap(Go $go, array $places, array $standing): array
    {
        $spells = [];
        if ($go->swapSeconds > 0.0) {
            $seats = self::everybody(Role::ChangesOver, $places, $standing);
            $spells[] = new Spell(SegmentKind::Change, $go->swapSeconds, true, $seats, $go->side, $go->set);
        }
        $rest = $go->gapSeconds - $go->swapSeconds;
        if ($rest > 1e-9) {
            $spells[] = new Spell(SegmentKind::Rest, $rest, true, self::everybody(Role::Rests, $places, $standing), $go->side, $go->set);
        }

        return $spells;
    }

    /**
     * @param  list<list<Go>>  $tables
     * @param  list<SeatedCrew>  $places
     * @param  list<int>  $standing
     * @param  array<int, float>  $ownSeconds
     */
    private static function work(
        int $at,
        Go $go,
        array $tables,
        array $places,
        array $standing,
        GoPattern $pattern,
        array $ownSeconds,
    ): Spell {
        $isClocked = $ownSeconds === [];
        $seconds = $pattern->goSeconds * $go->lasts;
        [$seats, $owed] = [array_fill_keys($standing, new Seat(Role::Counts)), []];
        foreach ($places as $number => $crew) {
            $goes = $tables[$number];
            $own = $goes[$at % count($goes)];
            $isExtra = $at >= count($goes);
            foreach ($own->seats as $slot => $seat) {
                $player = $crew->players[$slot];
                $isWhole = $isClocked || ! $seat->role->isActive() || $seconds <= 0.0;
                $share = $isWhole ? 1.0 : min(1.0, ($ownSeconds[$player] ?? $seconds) / $seconds);
                $seats[$player] = match (true) {
                    ! $isExtra => $seat->forShare($share)->at($number),
                    $isClocked => $seat->again()->at($number),
                    default => new Seat(Role::Waits, $number, $slot, wait: 1.0),
                };
            }
            foreach ($isExtra ? [] : $own->owed as $slot) {
                $owed[] = $crew->players[$slot];
            }
        }

        return new Spell(SegmentKind::Work, $seconds, $isClocked, $seats, $go->side, $go->set, $owed);
    }

    /**
     * @param  list<SeatedCrew>  $places
     * @param  list<int>  $standing
     * @return array<int, Seat>
     */
    private static function everybody(Role $role, array $places, array $standing): array
    {
        $seats = array_fill_keys($standing, new Seat($role));
        foreach ($places as $number => $crew) {
            foreach ($crew->players as $slot => $player) {
                $seats[$player] = new Seat($role, $number, $slot);
            }
        }

        return $seats;
    }
}
