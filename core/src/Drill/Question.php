<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

/** A coaching point asked in place of told, with the answers hoped for. */
final readonly class Question
{
    /** @param  list<string>  $hopedFor */
    public function __construct(public string $ask, public array $hopedFor)
    {
    }
}
