<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use InvalidArgumentException;

/** Refuses a mark or record line that cannot be kept. */
final class InvalidRecord extends InvalidArgumentException implements CoreException
{
    use Refuses;

    private const REASON = 'record';

    public static function outOfRange(string $subject, float $least, float $most): self
    {
        return new self('mark.range', 'value', sprintf('%s must be between %g and %g.', $subject, $least, $most));
    }

    public static function noSuchBall(int $size): self
    {
        return new self('task.ball', 'ballSize', "A ball is of size 3, 4 or 5, not {$size}.");
    }

    public static function feed(string $sentence): self
    {
        return new self('feed.line', 'line', $sentence);
    }

    public static function parts(string $sentence): self
    {
        return new self('mark.parts', 'parts', $sentence);
    }

    public static function notWhole(string $subject): self
    {
        return new self('mark.whole', 'value', "{$subject} must be a whole number.");
    }
}
