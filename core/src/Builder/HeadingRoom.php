<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Caution\HeadersPlanned;
use FleetSparrow\Core\Plan\PlanContext;

/** No more heading is proposed than the followed limit allows each player on that day: read as an evaluation reads it. */
final readonly class HeadingRoom
{
    public function __construct(private PlanContext $context)
    {
    }

    /** @param  list<Option|null>  $options  of the whole session so far */
    public function holds(array $options): bool
    {
        [$headers, $minutes] = [0.0, 0.0];
        foreach ($options as $option) {
            if ($option !== null && $option->headers > 0.0) {
                [$headers, $minutes] = [$headers + $option->headers, $minutes + $option->work->meanSeconds / 60.0];
            }
        }
        $limit = $this->context->heading;
        // Without a number nothing is barred; it is only said.
        if ($headers <= 0.0 || $limit?->headers === null) {
            return true;
        }
        $past = $this->context->past;
        foreach ($this->context->players as $player) {
            if (
                HeadersPlanned::sentence($headers, $limit, $past->headers[$player->id] ?? []) !== null
                || HeadersPlanned::minutes($minutes, $limit, $past->headingMinutes[$player->id] ?? []) !== null
            ) {
                return false;
            }
        }

        return true;
    }
}
