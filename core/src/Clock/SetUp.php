<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Clock;

use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\Reset;

/**
 * What laying out a block comes to, from what still stands on the ground: stations are adapted one by one where they stand,
 * and what is left over is moved, lifted or laid.
 */
final readonly class SetUp
{
    private function __construct(public int $before, public int $markers, public int $kept)
    {
    }

    /** @param  Layout|null  $before  null when the ground is empty */
    public static function of(Layout $layout, int $stations, ?Layout $before, int $stationsBefore): self
    {
        $wanted = $layout->markers();
        $there = $before?->markers() ?? [];
        $perStation = $there === [] ? 0 : count(Reset::between($there, $wanted)->kept);

        return new self(count($there) * $stationsBefore, count($wanted) * $stations, $perStation * min($stations, $stationsBefore));
    }

    /** Markers somebody bends down for. */
    public function touched(): int
    {
        return max($this->before, $this->markers) - $this->kept;
    }

    public function moved(): int
    {
        return min($this->before, $this->markers) - $this->kept;
    }

    public function added(): int
    {
        return max(0, $this->markers - $this->before);
    }

    public function lifted(): int
    {
        return max(0, $this->before - $this->markers);
    }

    public function sentence(float $markerSeconds): string
    {
        if ($this->markers === 0) {
            return 'Set-up: none, nothing is laid out.';
        }
        if ($this->touched() === 0) {
            return 'Set-up: none, every marker stays.';
        }
        $parts = [];
        foreach ([
            ['stays', 'stay', $this->kept],
            ['moves', 'move', $this->moved()],
            ['is laid', 'are laid', $this->added()],
            ['is lifted', 'are lifted', $this->lifted()],
        ] as [$one, $many, $count]) {
            if ($count > 0) {
                $parts[] = "{$count} ".($count === 1 ? $one : $many);
            }
        }

        return sprintf('Set-up: of the markers %s; %d touched at %g s each.', implode(', ', $parts), $this->touched(), $markerSeconds);
    }
}
