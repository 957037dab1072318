<?php

declare(strict_types=1);

namespace App\Http;

use RuntimeException;

/** The plan was changed elsewhere since this copy was read; carries the plan as it stands. */
final class StaleVersion extends RuntimeException
{
    /** @param  array<string, mixed>  $current */
    public function __construct(public readonly array $current)
    {
        parent::__construct('This plan was changed in another window. Yours is still here: compare, then save again or take the other.');
    }
}
