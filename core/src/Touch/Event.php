<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

use FleetSparrow\Core\Shared\Foot;

/** Something that happens without a contact: a step, a look, a bounce, a throw, a marker passed. */
final readonly class Event implements Item
{
    public function __construct(public ?FootMark $foot, public string $name)
    {
    }

    public function text(): string
    {
        return ($this->foot === null ? '' : $this->foot->value).'*'.$this->name;
    }

    public function mirrored(): self
    {
        return new self($this->foot?->mirrored(), $this->name);
    }

    public function resolved(Foot $leading): self
    {
        return new self($this->foot?->resolved($leading), $this->name);
    }
}
