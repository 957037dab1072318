<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

use FleetSparrow\Core\Shared\Foot;

/** The player's heading turns toward a foot's side by 0 to 720 degrees; no foot means either way. */
final readonly class Turn implements Item
{
    public function __construct(public ?FootMark $toward, public int $degrees)
    {
    }

    public function text(): string
    {
        return '>'.($this->toward === null ? '' : $this->toward->value).$this->degrees;
    }

    public function mirrored(): self
    {
        return new self($this->toward?->mirrored(), $this->degrees);
    }

    public function resolved(Foot $leading): self
    {
        return new self($this->toward?->resolved($leading), $this->degrees);
    }
}
