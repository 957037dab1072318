<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

use FleetSparrow\Core\Caution\HeadersPlanned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Shared\Cure;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Timeline\HeadingTime;

/**
 * Headers are added up over the whole day, with those of the rolling window before it: the limit is read at every block that has some,
 * so the one that goes over it is the one that says so.
 */
final class HeadingWarnings
{
    /**
     * @param  HeadingTime  $soFar  of the day, the block included
     * @return list<Warning> of the player who is asked for most
     */
    public static function of(HeadingTime $soFar, PlanContext $context): array
    {
        $limit = $context->heading;
        if ($limit === null) {
            return [];
        }
        [$worst, $most] = [null, 0.0];
        foreach ($soFar->heading as $player) {
            $headers = $soFar->headers[$player];
            $before = $context->past->headers[$player] ?? [];
            $inWindow = HeadersPlanned::inWindow($headers, $limit, $before);
            $sentence = $inWindow > $most
                ? HeadersPlanned::sentence($headers, $limit, $before)
                    ?? HeadersPlanned::minutes($soFar->minutes[$player], $limit, $context->past->headingMinutes[$player] ?? [])
                : null;
            if ($sentence !== null) {
                [$worst, $most] = [$sentence, $inWindow];
            }
        }

        return $worst === null ? [] : [new Warning($worst, Cure::takeOut(), 'heading', $limit->headers !== null)];
    }
}
