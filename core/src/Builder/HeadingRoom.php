<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Shared\Earlier;

/** What heading the followed limit leaves for this session, for the player with least of it left: no more is proposed. */
final readonly class HeadingRoom
{
    private const WEEK_DAYS = 7;

    private function __construct(private float $headers, private float $minutes)
    {
    }

    public static function of(PlanContext $context): self
    {
        $limit = $context->heading;
        [$headers, $minutes] = [$limit?->headers, $limit?->minutesPerWeek];
        [$leastHeaders, $leastMinutes] = [INF, INF];
        foreach ($context->players as $player) {
            if ($headers !== null) {
                $had = self::within($context->past->headers[$player->id] ?? [], $limit->days ?? 0);
                $leastHeaders = min($leastHeaders, $limit->perSession ?? $headers, $headers - $had);
            }
            if ($minutes !== null) {
                $had = self::within($context->past->headingMinutes[$player->id] ?? [], self::WEEK_DAYS);
                $leastMinutes = min($leastMinutes, $minutes - $had);
            }
        }

        return new self($leastHeaders, $leastMinutes);
    }

    /** @param  list<Option|null>  $options */
    public function holds(array $options): bool
    {
        [$headers, $minutes] = [0.0, 0.0];
        foreach ($options as $option) {
            if ($option !== null && $option->headers > 0.0) {
                [$headers, $minutes] = [$headers + $option->headers, $minutes + $option->work->meanSeconds / 60.0];
            }
        }

        return $headers <= 0.0 || ($headers <= $this->headers && $minutes <= $this->minutes);
    }

    /** @param  list<Earlier>  $earlier */
    private static function within(array $earlier, int $days): float
    {
        return array_sum(array_column(array_filter($earlier, static fn (Earlier $one): bool => $one->daysAgo < $days), 'amount'));
    }
}
