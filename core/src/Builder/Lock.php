<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

/** What must be in: a drill, in whatever part of the session suits it, or anything of a family. */
final readonly class Lock
{
    private function __construct(public ?string $drill, public ?string $family)
    {
    }

    public static function drill(string $slug): self
    {
        return new self($slug, null);
    }

    public static function family(string $family): self
    {
        return new self(null, $family);
    }
}
