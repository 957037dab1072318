<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Plan\PlanPlayer;

/** The spells of a block as the stretches that the ribbon draws and the run counts down. */
final class RunSheet
{
    /**
     * @param  list<Spell>  $spells
     * @param  array<int, PlanPlayer>  $players  by id
     * @param  int  $from  number of the first stretch
     * @return list<Segment>
     */
    public static function of(string $blockId, array $spells, Dose $dose, Touching $touching, array $players, int $from): array
    {
        $segments = [];
        foreach ($spells as $spell) {
            $isWork = $spell->kind === SegmentKind::Work;
            [$left, $right] = $isWork ? $touching->perWorker($spell) : [0.0, 0.0];
            $segments[] = new Segment(
                id: "{$blockId}-".($from + count($segments)),
                blockId: $blockId,
                kind: $spell->kind,
                seconds: $spell->seconds,
                endsByClock: $spell->endsByClock,
                side: $spell->side,
                set: $spell->set,
                turn: $spell->shift,
                working: self::working($spell),
                leftTouches: $left,
                rightTouches: $right,
                item: $spell->item !== null && $dose instanceof CircuitDose ? $dose->items[$spell->item]->name : null,
                seats: $spell->seats,
                owed: self::owed($blockId, $spell, $dose, $players),
            );
        }

        return $segments;
    }

    /** @return list<int> ids of those at the ball */
    private static function working(Spell $spell): array
    {
        $working = [];
        foreach ($spell->seats as $player => $seat) {
            if ($seat->role->isActive()) {
                $working[] = $player;
            }
        }

        return $working;
    }

    /**
     * The numbers written after a spell.
     *
     * @param  array<int, PlanPlayer>  $players  by id
     * @return list<Owed>
     */
    public static function owed(string $blockId, Spell $spell, Dose $dose, array $players): array
    {
        $name = $dose instanceof CircuitDose ? 'both' : $spell->side ?? 'both';
        $owed = [];
        foreach ($spell->owed as $player) {
            $owed[] = new Owed($player, $blockId, SideNames::sideOf($name, $players[$player]->strongFoot)->value);
        }

        return $owed;
    }
}
