<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use InvalidArgumentException;

/** Refuses a value outside what it can mean. */
final class InvalidValue extends InvalidArgumentException implements CoreException
{
    use Refuses;

    private const REASON = 'value';

    public static function noDate(string $text): self
    {
        return new self('date.invalid', '', "\"{$text}\" is not a date such as 2025-03-09.");
    }

    public static function lengthOutOfRange(): self
    {
        return new self('length.range', '', 'A distance must be between 0 and 1,000 m.');
    }

    public static function noAgeGroup(string $name, int $youngest, int $oldest): self
    {
        return new self('age-group', '', "The age group \"{$name}\" is not one of U{$youngest} to U{$oldest}.");
    }

    public static function middleOfNothing(): self
    {
        return new self('median.empty', '', 'There is no middle of no values.');
    }

    public static function noShare(int $hits, int $attempts): self
    {
        return new self('share.range', '', "{$hits} of {$attempts} is no share of anything.");
    }
}
