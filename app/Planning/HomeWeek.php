<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\RecordLine;
use FleetSparrow\Core\Home\HomeDay;
use FleetSparrow\Core\Record\Aim;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\Target;
use FleetSparrow\Core\Timeline\Owed;

/** One player's week at home, worked out. */
final readonly class HomeWeek
{
    /**
     * @param  list<HomeDay>  $days
     * @param  array<string, string>  $lineKeys  drill, item and side → line key, see nameOf
     * @param  array<string, RecordLine>  $lines  by key
     * @param  array<string, LineReading>  $readings  of the player, by line key
     * @param  array<string, Aim>  $aims  by line key
     */
    public function __construct(
        public KeptRoutine $kept,
        public array $days,
        public array $lineKeys,
        public array $lines,
        public array $readings,
        public array $aims,
    ) {
    }

    /** Where the line of a drill's number, or of an item of its circuit, is found among the line keys. */
    public static function nameOf(string $slug, ?int $item, string $side): string
    {
        return "{$slug} {$item} {$side}";
    }

    /** Null where nothing is written down. */
    public function lineOf(Owed $owed): ?RecordLine
    {
        $key = $this->lineKeys[self::nameOf($owed->blockId, $owed->item, $owed->side)] ?? null;

        return $key === null ? null : $this->lines[$key];
    }

    public function targetOf(RecordLine $line): ?Target
    {
        $reading = $this->readings[$line->line_key] ?? null;

        return $reading === null ? null : Target::of($reading, $this->aims[$line->line_key]);
    }
}
