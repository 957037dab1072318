<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;

/**
 * How each player works at a drill: their own numbers, pulled toward those of the others who are there, and these toward the
 * drill's own. Tries weigh by their number against ten, seconds by the days they were measured on against three (defaults).
 */
final readonly class OwnPaces
{
    private const PRIOR_DAYS = 3.0;

    /**
     * @param  non-empty-array<int, Pace>  $byPlayer
     * @param  int  $withTries  players who have tries of their own
     * @param  int  $withSeconds  players who were measured against the clock
     * @param  int  $days  on which they were, all players together
     */
    private function __construct(public array $byPlayer, public int $withTries, public int $withSeconds, public int $days)
    {
    }

    /**
     * @param  Pace  $pace  the drill's own at the tempo of the block
     * @param  non-empty-list<PlanPlayer>  $players
     */
    public static function of(Drill $drill, Pace $pace, array $players): self
    {
        [$made, $missed, $withTries] = [0, 0, 0];
        [$seconds, $days, $withSeconds] = [0.0, 0, 0];
        foreach ($players as $player) {
            $own = $player->numbers[$drill->slug] ?? OwnNumbers::none();
            $made += $own->made;
            $missed += $own->missed;
            $withTries += $own->made + $own->missed > 0 ? 1 : 0;
            $seconds += $own->seconds * $own->days;
            $days += $own->days;
            $withSeconds += $own->days > 0 ? 1 : 0;
        }
        if ($withTries === 0 && $withSeconds === 0) {
            return new self(array_fill_keys(array_map(static fn (PlanPlayer $player): int => $player->id, $players), $pace), 0, 0, 0);
        }
        // Numbers are taken at a steady tempo: learning is as much slower, a match as much faster, as for the drill itself.
        $steady = $drill->pace(Tempo::Steady)->secondsPerRep;
        $tempo = $pace->secondsPerRep / $steady;
        $paces = [];
        foreach ($players as $player) {
            $own = $player->numbers[$drill->slug] ?? OwnNumbers::none();
            $others = $pace->withTries($made - $own->made, $missed - $own->missed);
            $clocked = $own->seconds * $own->days;
            $group = ($seconds - $clocked + self::PRIOR_DAYS * $steady) / ($days - $own->days + self::PRIOR_DAYS);
            $perRep = ($clocked + self::PRIOR_DAYS * $group) / ($own->days + self::PRIOR_DAYS);
            $paces[$player->id] = Pace::of(
                $withSeconds === 0 ? $pace->secondsPerRep : $perRep * $tempo,
                max(0.05, $others->alpha() / ($others->alpha() + $others->beta())),
                $pace->fetchSeconds,
                $own->made,
                $own->missed,
            );
        }

        return new self($paces, $withTries, $withSeconds, $days);
    }
}
