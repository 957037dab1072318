<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use InvalidArgumentException;

/** Refuses a layout that cannot be laid out. */
final class InvalidLayout extends InvalidArgumentException implements CoreException
{
    private function __construct(private readonly string $reason, string $message)
    {
        parent::__construct($message);
    }

    /** @param  string  $reason stable name, lower case with hyphens */
    public static function because(string $reason, string $message): self
    {
        return new self($reason, $message);
    }

    public function reason(): string
    {
        return $this->reason;
    }
}
