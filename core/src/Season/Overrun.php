<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Season;

use FleetSparrow\Core\Shared\Evidence;

/** A drill that took longer than planned, and how often. */
final readonly class Overrun
{
    /** Over so many times the plan a drill has overrun; this tool's own value. */
    public const FROM = 1.15;

    /**
     * @param  string  $drill  slug
     * @param  int  $over  times it took longer than planned by more than that
     * @param  int  $of  times it was done
     * @param  float  $minutes  over the plan on average, under it where negative
     */
    public function __construct(public string $drill, public string $name, public int $over, public int $of, public float $minutes)
    {
    }

    /** @param  list<self>  $overruns */
    public static function evidence(array $overruns): Evidence
    {
        return new Evidence(
            'Each block\'s real minutes against its planned ones, laying out, explaining and writing down with it; what was skipped and '
                .'what was only tried is left out. It counts as longer over 1.15 times the plan.',
            array_map(static fn (self $one): string => "{$one->name}: {$one->of} blocks, {$one->over} of them longer.", $overruns),
            array_sum(array_map(static fn (self $one): int => $one->of, $overruns)),
            'The run\'s own clock; the 1.15 is this tool\'s own value.',
        );
    }
}
