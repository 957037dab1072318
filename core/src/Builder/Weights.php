<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

/**
 * What a proposed session is worth: a sum of terms, each between 0 and 1 for a block, times these weights, less set-up and
 * waiting. This tool's own values, in this one place; limits (time, kit, room, cautions, what must be there first) are limits
 * and have no weight.
 *
 * Σ over blocks of stale + foot + ladder + target + repeat + theme + variety + shared layout, for warm-ups and games also how long
 * ago they were and whose turn it is, plus the session's shares of ball time, of work and of work on the theme, less its shares of
 * set-up and waiting.
 */
final readonly class Weights
{
    public function __construct(
        public float $stale = 2.0,
        public float $foot = 1.5,
        public float $ladder = 2.0,
        public float $target = 1.0,
        public float $repeat = 1.0,
        public float $theme = 3.0,
        public float $variety = 1.0,
        public float $sharedLayout = 0.8,
        public float $ballTime = 8.0,
        public float $setUp = 4.0,
        public float $waiting = 4.0,
        public float $work = 4.0,
        public float $fresh = 1.5,
        public float $turn = 1.5,
        public float $themeTime = 6.0,
    ) {
    }

    /** A wish is a weight where it can be; where it cannot, it is a limit. */
    public function wishing(Wish $wish): self
    {
        return match ($wish) {
            Wish::SharedLayout => $this->with(sharedLayout: 6.0),
            Wish::WeakerFoot => $this->with(foot: 4.0),
            default => $this,
        };
    }

    /** The weight of a term by its name. */
    public function of(string $term): float
    {
        return match ($term) {
            'stale' => $this->stale,
            'foot' => $this->foot,
            'ladder' => $this->ladder,
            'target' => $this->target,
            'repeat' => $this->repeat,
            'theme' => $this->theme,
            'variety' => $this->variety,
            'sharedLayout' => $this->sharedLayout,
            'fresh' => $this->fresh,
            'turn' => $this->turn,
            default => 0.0,
        };
    }

    private function with(?float $foot = null, ?float $sharedLayout = null): self
    {
        return new self(
            stale: $this->stale,
            foot: $foot ?? $this->foot,
            ladder: $this->ladder,
            target: $this->target,
            repeat: $this->repeat,
            theme: $this->theme,
            variety: $this->variety,
            sharedLayout: $sharedLayout ?? $this->sharedLayout,
            ballTime: $this->ballTime,
            setUp: $this->setUp,
            waiting: $this->waiting,
            work: $this->work,
            fresh: $this->fresh,
            turn: $this->turn,
            themeTime: $this->themeTime,
        );
    }
}
