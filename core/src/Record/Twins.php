<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;

/** Lines of one player that are the same task with the strong foot and with the other one. */
final class Twins
{
    /**
     * @param  array<string, array{string, Side}>  $lines  key → the task whatever the side, and the side
     * @return list<array{strong: string, other: string}> keys; none for who has no stronger foot
     */
    public static function of(StrongFoot $strong, array $lines): array
    {
        if ($strong === StrongFoot::Both) {
            return [];
        }
        $tasks = [];
        foreach ($lines as $key => [$task, $side]) {
            $tasks[$task][$side->value] = $key;
        }
        [$first, $second] = $strong === StrongFoot::Left ? [Side::Left, Side::Right] : [Side::Right, Side::Left];
        $twins = [];
        foreach ($tasks as $sides) {
            if (isset($sides[$first->value], $sides[$second->value])) {
                $twins[] = ['strong' => $sides[$first->value], 'other' => $sides[$second->value]];
            }
        }

        return $twins;
    }
}
