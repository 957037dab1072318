<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use InvalidArgumentException;

/** Refuses a touch script, naming the column (1 for the first character) and what was expected there. */
final class ScriptError extends InvalidArgumentException implements CoreException
{
    private function __construct(
        private readonly string $reason,
        public readonly int $column,
        public readonly string $expected,
        string $message,
    ) {
        parent::__construct($message);
    }

    public static function at(int $column, string $reason, string $expected, string $found): self
    {
        $seen = $found === '' ? 'the script ends' : "\"{$found}\" stands";

        return new self($reason, $column, $expected, "Column {$column}: {$seen} where {$expected} was expected.");
    }

    public function reason(): string
    {
        return 'script.'.$this->reason;
    }

    public function path(): string
    {
        return '';
    }
}
