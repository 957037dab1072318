<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Touch\Script;

/** How a drill's script is put together: one piece, named parts, links that add up, or items in a row. */
final readonly class Composition
{
    /**
     * @param  list<Part>  $parts  of a combination or a build-up
     * @param  list<CircuitItem>  $items  of a circuit
     */
    private function __construct(public CompositionKind $kind, public Script $script, public array $parts, public array $items)
    {
    }

    public static function single(Script $script): self
    {
        return new self(CompositionKind::Single, $script, [], []);
    }

    /** @param  non-empty-list<Part>  $parts */
    public static function combination(array $parts): self
    {
        return new self(CompositionKind::Combination, self::joined($parts), $parts, []);
    }

    /** @param  non-empty-list<Part>  $links */
    public static function buildUp(array $links): self
    {
        return new self(CompositionKind::BuildUp, self::joined($links), $links, []);
    }

    /** @param  non-empty-list<CircuitItem>  $items */
    public static function circuit(array $items): self
    {
        return new self(CompositionKind::Circuit, self::joined($items), [], $items);
    }

    /** A build-up up to and with its k-th link: link k is everything so far. Anything else stays as it is. */
    public function upTo(int $links): self
    {
        $some = array_slice($this->parts, 0, max(1, $links));

        return $this->kind === CompositionKind::BuildUp && $some !== [] ? self::buildUp($some) : $this;
    }

    /** @return list<string> slugs of the moves its parts are */
    public function moves(): array
    {
        $moves = array_map(static fn (Part $part): ?string => $part->move, $this->parts);

        return array_values(array_filter($moves, static fn (?string $move): bool => $move !== null));
    }

    /** @param  non-empty-list<Part|CircuitItem>  $pieces */
    private static function joined(array $pieces): Script
    {
        return array_reduce(
            array_slice($pieces, 1),
            static fn (Script $sum, Part|CircuitItem $next): Script => $sum->followedBy($next->script),
            $pieces[0]->script,
        );
    }
}
