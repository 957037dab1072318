<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

use FleetSparrow\Core\Shared\Foot;

/** One part of a touch script. */
interface Item
{
    /** The item in canonical text. */
    public function text(): string;

    public function mirrored(): self;

    /** The item with `a` and `b` replaced by real feet. */
    public function resolved(Foot $leading): self;
}
