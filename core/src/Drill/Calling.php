<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Exception\InvalidDrill;

/** The reaction game of a drill: what is called, how often, how early, and what a call asks for. */
final readonly class Calling
{
    public const MOST_COMMANDS = 8;

    public const MOST_LETTERS = 40;

    /**
     * @param  float  $everySeconds  from one call to the next
     * @param  float  $spread  give or take this share of it
     * @param  float  $leadSeconds  how long before the ball comes; longer is easier
     * @param  int  $inOrder  how many are called at once, to be remembered
     * @param  bool  $again  whether one may be called twice running
     * @param  bool  $twoWay  whether the player reads a number behind and calls it back
     * @param  list<CallRule>  $rules  what a called place asks for
     * @param  list<string>  $commands  one of them comes with each call: which foot, first time, which movement
     */
    private function __construct(
        public CallKind $kind,
        public float $everySeconds,
        public float $spread,
        public float $leadSeconds,
        public int $inOrder,
        public bool $again,
        public bool $twoWay,
        public array $rules,
        public array $commands,
    ) {
    }

    /**
     * @param  list<CallRule>  $rules
     * @param  list<string>  $commands
     *
     * @throws InvalidDrill If a figure is outside its range.
     */
    public static function of(
        CallKind $kind,
        float $everySeconds,
        float $spread,
        float $leadSeconds,
        int $inOrder,
        bool $again,
        bool $twoWay,
        array $rules,
        array $commands = [],
    ): self {
        $fault = match (true) {
            ! ($everySeconds >= 1.0 && $everySeconds <= 60.0) => ['everySeconds', 'Calls come every 1 to 60 seconds.'],
            ! ($spread >= 0.0 && $spread <= 0.9) => ['spread', 'The spread must be between 0 and 0.9.'],
            ! ($leadSeconds >= 0.0 && $leadSeconds <= 10.0) => ['leadSeconds', 'The call comes 0 to 10 seconds before the ball.'],
            $inOrder < 1 || $inOrder > 5 => ['inOrder', 'One to five are called in order.'],
            max([0, ...array_map(mb_strlen(...), $commands)]) > self::MOST_LETTERS => [
                'commands', 'A command is called out: at most '.self::MOST_LETTERS.' letters.',
            ],
            default => null,
        };
        if ($fault !== null) {
            throw InvalidDrill::at("calling.{$fault[0]}", $fault[1]);
        }

        return new self(
            kind: $kind,
            everySeconds: $everySeconds,
            spread: $spread,
            leadSeconds: $leadSeconds,
            inOrder: $inOrder,
            again: $again,
            twoWay: $twoWay,
            rules: $rules,
            commands: $commands,
        );
    }
}
