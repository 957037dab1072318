<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

use FleetSparrow\Core\Exception\ScriptError;
use FleetSparrow\Core\Shared\Foot;

/**
 * One repetition of a move, written as its contacts for a leading foot `a` and the other foot `b`.
 *
 * Example: `Script::fromText('a.sole/back  a.in/out')->text()` is `'a.sole/back a.in/out'`.
 */
final readonly class Script
{
    /** @param  non-empty-list<Item>  $items */
    private function __construct(public array $items)
    {
    }

    /** @throws ScriptError If the text does not follow the grammar; the error names the column. */
    public static function fromText(string $text): self
    {
        return new self((new Parser($text))->items());
    }

    /** @param  non-empty-list<Item>  $items */
    public static function of(array $items): self
    {
        return new self($items);
    }

    /** Canonical text: parsing it gives an equal script. */
    public function text(): string
    {
        return implode(' ', array_map(static fn (Item $item): string => $item->text(), $this->items));
    }

    /** The same move led by the other foot; mirroring twice changes nothing. */
    public function mirrored(): self
    {
        return new self(array_map(static fn (Item $item): Item => $item->mirrored(), $this->items));
    }

    /** The move for a player whose leading foot is known. */
    public function resolved(Foot $leading): self
    {
        return new self(array_map(static fn (Item $item): Item => $item->resolved($leading), $this->items));
    }

    public function followedBy(self $next): self
    {
        return new self([...$this->items, ...$next->items]);
    }
}
