<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use InvalidArgumentException;

/** Refuses a plan that cannot be evaluated. */
final class InvalidPlan extends InvalidArgumentException implements CoreException
{
    use Refuses;

    private const REASON = 'plan';

    public static function nobody(): self
    {
        return new self('plan.nobody', '', 'Nobody is coming yet. Tick at least one player and the clock can be worked out.');
    }

    public static function tooManyPlayers(int $count, int $most): self
    {
        $sentence = '%d players are ticked. One small-group session takes at most %d: split the group.';

        return new self('plan.too-many', '', sprintf($sentence, $count, $most));
    }

    public static function tooManyBlocks(int $most): self
    {
        return new self('plan.blocks', '', "A session holds at most {$most} blocks.");
    }

    public static function noSuchRound(int $players, int $rounds): self
    {
        return new self('rotation.round', '', "{$players} players meet in rounds 1 to {$rounds}.");
    }

    public static function impossibleTimes(): self
    {
        return new self('calibration', '', 'A planned time must be over 0 s, and what it took 0 s or more.');
    }
}
