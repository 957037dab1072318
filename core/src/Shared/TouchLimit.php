<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

use FleetSparrow\Core\Exception\InvalidDrill;

/** Touches a worker must or may take; "at most two" and "at least two" are both used, so the limit says which. */
final readonly class TouchLimit
{
    private function __construct(public ?int $least, public ?int $most, public ?int $whileLearning)
    {
    }

    /**
     * @param  int|null  $whileLearning  a higher number allowed while learning; it counts and is marked as eased
     *
     * @throws InvalidDrill If neither is given, or they contradict each other.
     */
    public static function of(?int $least, ?int $most, ?int $whileLearning): self
    {
        if (
            $least === null
            && $most === null
            || ($least ?? 1) < 1
            || ($most ?? 1) < 1
            || ($most ?? 20) > 20
            || ($least ?? 1) > ($most ?? 20)
        ) {
            throw InvalidDrill::at('touches', 'A touch limit needs a least or a most between 1 and 20, the least not over the most.');
        }
        if ($whileLearning !== null && ($most === null || $whileLearning <= $most || $whileLearning > 20)) {
            throw InvalidDrill::at(
                'touches.whileLearning',
                'What is allowed while learning must be more than the most, and at most 20.',
            );
        }

        return new self($least, $most, $whileLearning);
    }

    public function words(): string
    {
        $words = match (true) {
            $this->least === $this->most => "exactly {$this->most}",
            $this->least === null => "at most {$this->most}",
            $this->most === null => "at least {$this->least}",
            default => "{$this->least} to {$this->most}",
        };

        return "{$words} ".(max(
            $this->least,
            $this->most,
        ) === 1 ? 'touch' : 'touches').($this->whileLearning === null ? '' : ", {$this->whileLearning} while learning");
    }

    /** @return array{least: int|null, most: int|null} what makes the task; the easing is kept on the mark */
    public function fields(): array
    {
        return ['least' => $this->least, 'most' => $this->most];
    }
}
