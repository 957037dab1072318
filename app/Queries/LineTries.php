<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Player;
use App\Models\RecordLine;
use FleetSparrow\Core\Record\Aim;
use FleetSparrow\Core\Record\LineReading;

/** One player's tries on one record line, with every mark that was ever sent of them. */
final readonly class LineTries
{
    /**
     * @param  list<array{sessionId: int, on: string, tryNumber: int, value: float|null, isOpen: bool, marks: list<array<string,
     *     mixed>>}>  $tries  newest day first
     */
    public function __construct(
        public Player $player,
        public RecordLine $line,
        public LineReading $reading,
        public array $tries,
        public Aim $aim,
    ) {
    }
}
