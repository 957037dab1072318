<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

use FleetSparrow\Core\Shared\Foot;

/** Items repeated: `xN` exactly, `xN-M` at least and at most, `x+` as often as path or clock allows. */
final readonly class Group implements Item
{
    /**
     * @param  non-empty-list<Item>  $items
     * @param  int|null  $most  null when the group is open-ended
     */
    public function __construct(public array $items, public int $least, public ?int $most)
    {
    }

    public function isOpen(): bool
    {
        return $this->most === null;
    }

    public function text(): string
    {
        $times = match (true) {
            $this->most === null => '+',
            $this->most === $this->least => (string) $this->least,
            default => $this->least.'-'.$this->most,
        };

        return '('.implode(' ', array_map(static fn (Item $item): string => $item->text(), $this->items)).')x'.$times;
    }

    public function mirrored(): self
    {
        return new self(array_map(static fn (Item $item): Item => $item->mirrored(), $this->items), $this->least, $this->most);
    }

    public function resolved(Foot $leading): self
    {
        return new self(array_map(static fn (Item $item): Item => $item->resolved($leading), $this->items), $this->least, $this->most);
    }
}
