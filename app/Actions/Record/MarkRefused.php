<?php

declare(strict_types=1);

namespace App\Actions\Record;

use RuntimeException;

/** One mark of a batch that cannot be taken; the others are. */
final class MarkRefused extends RuntimeException
{
    public function __construct(public readonly string $reason, string $message)
    {
        parent::__construct($message);
    }
}
