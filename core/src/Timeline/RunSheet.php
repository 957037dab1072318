<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\CircuitItem;
use FleetSparrow\Core\Plan\PlanPlayer;

/** The spells of a block as the stretches that the ribbon draws and the run counts down. */
final class RunSheet
{
    /**
     * @param  list<Spell>  $spells
     * @param  list<list<Owed>>  $owed  after each spell
     * @param  int  $from  number of the first stretch
     * @return list<Segment>
     */
    public static function of(string $blockId, array $spells, array $owed, Dose $dose, Touching $touching, int $from): array
    {
        $segments = [];
        foreach ($spells as $i => $spell) {
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
                owed: $owed[$i],
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
     * The numbers written after each spell. Of a circuit's items each owes its own: after its stretch, or all at the end where
     * everybody goes at their own pace, both feet added.
     *
     * @param  list<Spell>  $spells
     * @param  array<int, PlanPlayer>  $players  by id
     * @return list<list<Owed>>
     */
    public static function owed(string $blockId, array $spells, Dose $dose, array $players): array
    {
        return array_map(static function (Spell $spell) use ($blockId, $dose, $players): array {
            $owed = [];
            foreach ($spell->owed as $player) {
                foreach (self::items($spell, $dose) as $item) {
                    $name = $dose instanceof CircuitDose && $spell->item === null ? 'both' : $spell->side ?? 'both';
                    $owed[] = new Owed(
                        playerId: $player,
                        blockId: $blockId,
                        side: SideNames::sideOf($name, $players[$player]->strongFoot)->value,
                        item: $item,
                        set: $spell->set ?? 1,
                    );
                }
            }

            return $owed;
        }, $spells);
    }

    /** @return non-empty-list<int|null> items of a circuit whose numbers are written; null for the drill's own */
    private static function items(Spell $spell, Dose $dose): array
    {
        if (! $dose instanceof CircuitDose || $spell->item !== null) {
            return [$spell->item];
        }
        $items = array_keys(array_filter($dose->items, static fn (CircuitItem $item): bool => $item->rule !== null));

        return $items === [] ? [null] : $items;
    }
}
