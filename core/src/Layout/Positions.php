<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** The spots of a layout that must be manned for it to go: queues behind a spot are not counted. */
final class Positions
{
    public static function of(Layout $layout): int
    {
        $spots = [];
        foreach ($layout->places() as $place) {
            if ($place->role === PlaceRole::Worker) {
                $spots["{$place->at->xMetres} {$place->at->yMetres}"] = true;
            }
        }

        return count($spots);
    }
}
