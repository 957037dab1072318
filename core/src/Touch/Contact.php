<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

use FleetSparrow\Core\Shared\Foot;

/** One contact with the ball. */
final readonly class Contact implements Item
{
    public function __construct(
        public FootMark $foot,
        public Surface $surface,
        public bool $inAir = false,
        public ?Way $way = null,
        public ?Purpose $purpose = null,
    ) {
    }

    public function text(): string
    {
        return $this->foot->value.'.'.$this->surface->value
            .($this->inAir ? '^' : '')
            .($this->way === null ? '' : '/'.$this->way->value)
            .($this->purpose === null ? '' : '!'.$this->purpose->value);
    }

    public function mirrored(): self
    {
        return new self($this->foot->mirrored(), $this->surface, $this->inAir, $this->way, $this->purpose);
    }

    public function resolved(Foot $leading): self
    {
        return new self($this->foot->resolved($leading), $this->surface, $this->inAir, $this->way, $this->purpose);
    }
}
