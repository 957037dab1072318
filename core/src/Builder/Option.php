<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Shared\DurationEstimate;

/** A drill with a dose and stations, as one part of a session, and what it is worth there by itself. */
final readonly class Option
{
    /**
     * @param  int<1, max>  $stations
     * @param  int<1, max>|null  $limitedTo  stations where kit or room allow fewer than the group needs; null where they do not
     * @param  DurationEstimate  $time  work, explaining, change-overs and writing down; set-up depends on what stood before
     * @param  float  $ballSeconds  of a player on average, as for waiting
     * @param  array<string, float>  $terms  term → value, 0 to 1
     * @param  float  $worth  Σ weight × value of the terms, ball time and waiting included
     * @param  Layout  $layout  of one station, as it is laid for those coming
     * @param  string  $layoutKey  the same for layouts that lie alike
     * @param  string  $scriptText  canonical
     * @param  float  $headers  of the player asked for most
     * @param  float  $mostWaiting  seconds by which somebody's waiting exceeds their work
     * @param  bool  $isBallForAll  nobody waits longer than they have the ball
     * @param  bool  $isCounted  false in a warm-up, which asks for no number
     */
    public function __construct(
        public Drill $drill,
        public Dose $dose,
        public int $stations,
        public ?int $limitedTo,
        public DurationEstimate $time,
        public DurationEstimate $work,
        public float $ballSeconds,
        public float $waitingSeconds,
        public array $terms,
        public float $worth,
        public Layout $layout,
        public string $layoutKey,
        public string $scriptText,
        public string $doseKind,
        public float $headers = 0.0,
        public Tempo $tempo = Tempo::Steady,
        public bool $isCounted = true,
        public float $mostWaiting = 0.0,
        public bool $isBallForAll = true,
    ) {
    }
}
