<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

/** What a second coach would say of a session: what is not so, with its number, and what would mend it. */
final readonly class Remark
{
    public function __construct(public RubricRule $rule, public string $sentence, public string $cure, public ?string $blockId = null)
    {
    }
}
