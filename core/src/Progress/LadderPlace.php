<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

/**
 * Where a player stands on a ladder: on the rung above the highest one passed; where that is far too hard lately, one lower.
 * Advice with its reason; the coach decides.
 */
final readonly class LadderPlace
{
    /**
     * @param  int|null  $rung  index of the rung to work on; null when the ladder is passed whole, or never begun
     * @param  string  $advice  begin, stay, up, back or done; held where the coach has said no to up or back
     */
    private function __construct(public ?int $rung, public string $advice, public string $why)
    {
    }

    /** @param  non-empty-list<RungReading>  $readings  one a rung, the easiest first */
    public static function of(array $readings): self
    {
        $highest = null;
        $isTried = false;
        foreach ($readings as $i => $reading) {
            $highest = $reading->isPassed ? $i : $highest;
            $isTried = $isTried || $reading->isTried;
        }
        if (! $isTried) {
            return new self(null, 'begin', 'Nothing on this ladder has been tried. One short try of a rung places the player.');
        }
        if ($highest === count($readings) - 1) {
            return new self(null, 'done', 'The top rung is passed: '.$readings[$highest]->why.'.');
        }
        $next = ($highest ?? self::entry($readings)) + 1;
        $reading = $readings[$next] ?? $readings[count($readings) - 1];

        return match (true) {
            $next === count($readings) => new self($next - 1, 'stay', "Met once in an entry try: {$reading->why}."),
            $reading->isFarBelow && $next > 0 => new self($next - 1, 'back', "Two sessions far from the next rung: {$reading->why}."),
            ! $reading->isTried && $highest !== null => new self($next, 'up', 'The rung below is passed: '.$readings[$highest]->why.'.'),
            ! $reading->isTried && $next > 0 => new self($next, 'up', 'One try met the rung below: '.$readings[$next - 1]->why.'.'),
            default => new self($next, 'stay', $reading->why.'.'),
        };
    }

    /**
     * With what the coach said to it. No is remembered as long as nothing new speaks for it; who was moved on stays there, though a rung
     * below is no longer met.
     */
    public function answered(?AdviceAnswer $answer): self
    {
        if ($answer === null || $this->rung === null) {
            return $this;
        }
        $isSame = $answer->why === $this->why && in_array($this->advice, ['up', 'back'], true);

        return match (true) {
            $isSame && ! $answer->isTaken && $this->advice === 'up' => new self(max(0, $this->rung - 1), 'held', $this->why),
            $isSame && ! $answer->isTaken => new self($this->rung + 1, 'held', $this->why),
            $isSame => new self($this->rung, 'stay', $this->why),
            $answer->isTaken && $this->rung < $answer->rung && $this->advice !== 'back' => new self(
                $answer->rung,
                'stay',
                "Moved on by the coach: {$answer->why}",
            ),
            default => $this,
        };
    }

    /** Whether there is something to say yes or no to. */
    public function isAsking(): bool
    {
        return $this->advice === 'up' || $this->advice === 'back';
    }

    /**
     * Where nothing is passed yet, one try that met a rung on every side is an entry test.
     *
     * @param  non-empty-list<RungReading>  $readings
     * @return int index of the highest rung met, -1 for none
     */
    private static function entry(array $readings): int
    {
        $met = -1;
        foreach ($readings as $i => $reading) {
            $met = $reading->isMetOnce ? $i : $met;
        }

        return $met;
    }
}
