<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/** How a figure is known: by what rule, out of what, from how many numbers, and who says the rule is good. */
final readonly class Evidence
{
    /**
     * @param  string  $formula  in words
     * @param  list<string>  $inputs  what went in, a sentence each
     * @param  int  $count  numbers behind it
     * @param  string  $source  published, or said to be this tool's own
     */
    public function __construct(public string $formula, public array $inputs, public int $count, public string $source)
    {
    }
}
