<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

/** One call of the reaction game. */
final readonly class Call
{
    /**
     * @param  float  $atSeconds  of work, when it is called
     * @param  float  $ballSeconds  when the ball comes
     * @param  list<string>  $places  what is called, in order
     * @param  int|null  $number  on the board behind, to be read and shouted; null where there is none
     * @param  string  $asks  what the place asks for; empty where it asks for nothing
     * @param  string|null  $command  how, or which movement; null where only the place is called
     */
    public function __construct(
        public float $atSeconds,
        public float $ballSeconds,
        public array $places,
        public ?int $number,
        public string $asks,
        public ?string $command,
    ) {
    }
}
