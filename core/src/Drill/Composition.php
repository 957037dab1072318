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
    private function __construct(public string $kind, public Script $script, public array $parts, public array $items)
    {
    }

    public static function single(Script $script): self
    {
        return new self('single', $script, [], []);
    }

    /** @param  non-empty-list<Part>  $parts */
    public static function combination(array $parts): self
    {
        return new self('combination', self::joined(array_map(static fn (Part $part): Script => $part->script, $parts)), $parts, []);
    }

    /** @param  non-empty-list<Part>  $links */
    public static function buildUp(array $links): self
    {
        return new self('build-up', self::joined(array_map(static fn (Part $part): Script => $part->script, $links)), $links, []);
    }

    /** @param  non-empty-list<CircuitItem>  $items */
    public static function circuit(array $items): self
    {
        return new self('circuit', self::joined(array_map(static fn (CircuitItem $item): Script => $item->script, $items)), [], $items);
    }

    /** A build-up up to and with its k-th link: link k is everything so far. Anything else stays as it is. */
    public function upTo(int $links): self
    {
        $some = array_slice($this->parts, 0, max(1, $links));

        return $this->kind === 'build-up' && $some !== [] ? self::buildUp($some) : $this;
    }

    /** @return list<string> slugs of the moves its parts are */
    public function moves(): array
    {
        $moves = array_map(static fn (Part $part): ?string => $part->move, $this->parts);

        return array_values(array_filter($moves, static fn (?string $move): bool => $move !== null));
    }

    /** @param  non-empty-list<Script>  $scripts */
    private static function joined(array $scripts): Script
    {
        return array_reduce(
            array_slice($scripts, 1),
            static fn (Script $sum, Script $next): Script => $sum->followedBy($next),
            $scripts[0],
        );
    }
}
