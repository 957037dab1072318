<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Book;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Move\Move;
use FleetSparrow\Core\Move\MoveDictionary;
use FleetSparrow\Core\Shared\Memo;

/** The whole book ready to be searched: by words, and by what a coach has. Made once for a book and kept. */
final readonly class DrillIndex
{
    /** @param  array<string, DrillFacts>  $facts  by slug */
    private function __construct(private array $facts, private BookSearch $words)
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

        return new self($facts, BookSearch::ofDrills($drills));
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
     * What fits, best first.
     *
     * @return list<DrillFacts>
     */
    public function find(string $asked, DrillFilter $filter): array
    {
        $found = [];
        foreach ($this->words->find($asked) as $slug) {
            if ($filter->lets($this->facts[$slug])) {
                $found[] = $this->facts[$slug];
            }
        }

        return $found;
    }
}
