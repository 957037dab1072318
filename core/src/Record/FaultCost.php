<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** What a fault does to the number it stands beside. */
enum FaultCost: string
{
    /** Kept beside the number, which it does not change. */
    case Ignored = 'ignored';
    /** Seconds are added to the time. */
    case AddsSeconds = 'adds-seconds';
    /** The rep does not count. */
    case RepVoid = 'rep-void';
    /** The rep is done again. */
    case Again = 'again';
    /** The run ends there. */
    case RunEnds = 'run-ends';
    /** The whole try is void. */
    case TryVoid = 'try-void';

    public function words(float $seconds): string
    {
        return match ($this) {
            self::Ignored => 'kept beside the number',
            self::AddsSeconds => sprintf('%g s more', $seconds),
            self::RepVoid => 'that one does not count',
            self::Again => 'done again',
            self::RunEnds => 'the run ends',
            self::TryVoid => 'the try is void',
        };
    }
}
