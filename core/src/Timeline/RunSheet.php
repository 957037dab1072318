<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Organisation\Seat;
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
                working: array_keys(array_filter($spell->seats, static fn (Seat $seat): bool => $seat->role->isActive())),
                leftTouches: $left,
                rightTouches: $right,
                item: $spell->item !== null && $dose instanceof CircuitDose ? $dose->items[$spell->item]->name : null,
                seats: $spell->seats,
                owed: self::owed($blockId, $spell, $dose, $players),
            );
        }

        return $segments;
    }

    /**
     * The numbers written after a spell.
     *
     * @param  array<int, PlanPlayer>  $players  by id
     * @return list<Owed>
     */
    public static function owed(string $blockId, Spell $spell, Dose $dose, array $players): array
    {
        return array_map(static fn (int $player): Owed => new Owed(
            $player,
            $blockId,
            SideNames::sideOf($dose instanceof CircuitDose ? 'both' : $spell->side ?? 'both', $players[$player]->strongFoot)->value,
        ), $spell->owed);
    }
}
