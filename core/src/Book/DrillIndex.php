<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Book;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Move\Move;
use FleetSparrow\Core\Move\MoveDictionary;
use FleetSparrow\Core\Shared\Memo;

/** What each drill of the book needs and is made of, ready to be held against what a coach has. Made once for a book and kept. */
final readonly class DrillIndex
{
    /** @param  array<string, DrillFacts>  $facts  by slug */
    private function __construct(private array $facts)
    {
    }

    /** @param  list<Drill>  $drills */
    public static function of(array $drills, MoveDictionary $dictionary): self
    {
        $scripts = array_map(static fn (Move $move): string => $move->script->text(), $dictionary->moves);
        [$facts, $memo] = [[], new Memo];
        foreach ($drills as $drill) {
            $facts[$drill->slug] = DrillFacts::of($drill, $scripts, $memo);
        }

        return new self($facts);
    }

    /**
     * The moves that some drills are made of.
     *
     * @param  list<string>  $slugs  of drills; unknown ones bring nothing
     * @return list<string> slugs of moves
     */
    public function movesOf(array $slugs): array
    {
        $moves = array_merge(
            [],
            ...array_map(fn (string $slug): array => isset($this->facts[$slug]) ? $this->facts[$slug]->moves : [], $slugs),
        );

        return array_values(array_unique($moves));
    }

    /**
     * What fits, in the order of the book.
     *
     * @return list<DrillFacts>
     */
    public function fitting(DrillFilter $filter): array
    {
        return array_values(array_filter($this->facts, $filter->lets(...)));
    }
}
