<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Book;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Ladder\Ladder;
use FleetSparrow\Core\Ladder\Rung;
use FleetSparrow\Core\Move\Move;
use FleetSparrow\Core\Move\MoveDictionary;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Touch\Surface;

/**
 * What a thing of the book is found by, for a search on the phone itself: its name, the words coaches use for it, and what else is said
 * of it. A drill is found by every word for every move in it.
 */
final readonly class SearchEntry
{
    /**
     * @param  string  $kind  move, drill or ladder
     * @param  string  $id  slug
     * @param  list<string>  $words  what coaches call it
     * @param  string  $text  all else
     */
    private function __construct(public string $kind, public string $id, public string $name, public array $words, public string $text)
    {
    }

    /**
     * @param  list<Drill>  $drills
     * @param  list<Ladder>  $ladders
     * @return list<self>
     */
    public static function of(array $drills, MoveDictionary $dictionary, array $ladders): array
    {
        $scripts = array_map(static fn (Move $move): string => $move->script->text(), $dictionary->moves);
        [$entries, $memo, $names] = [[], new Memo, []];
        foreach ($dictionary->moves as $move) {
            $entries[] = new self('move', $move->slug, $move->name, $move->words, self::text([$move->family->words(), $move->cue]));
        }
        foreach ($drills as $drill) {
            $names[$drill->slug] = $drill->name;
            $facts = DrillFacts::of($drill, $scripts, $memo);
            $moves = array_map(static fn (string $slug): array => [
                $dictionary->moves[$slug]->name, ...$dictionary->moves[$slug]->words,
            ], array_values(array_filter($facts->moves, static fn (string $slug): bool => isset($dictionary->moves[$slug]))));
            $entries[] = new self('drill', $drill->slug, $drill->name, $drill->teaching->words, self::text([
                $drill->summary,
                $drill->family->words(),
                ...array_merge([], ...$moves),
                ...self::surfaces($facts),
                ...array_keys($facts->equipment),
                $drill->layout->kind(),
                $facts->people,
                ...$drill->teaching->points,
                ...array_values(array_map(strval(...), array_filter($drill->dose?->fields() ?? [], is_numeric(...)))),
            ]));
        }
        foreach ($ladders as $ladder) {
            $rungs = array_map(static fn (Rung $rung): string => $names[$rung->drill] ?? '', $ladder->rungs);
            $entries[] = new self('ladder', $ladder->slug, $ladder->name, [], self::text([$ladder->family->words(), ...$rungs]));
        }

        return $entries;
    }

    /** @return list<string> */
    private static function surfaces(DrillFacts $facts): array
    {
        return array_map(static fn (string $value): string => match (Surface::tryFrom($value)) {
            Surface::Head => 'head header heading',
            Surface::Inside => 'inside of the foot',
            Surface::Outside => 'outside of the foot',
            Surface::Lace => 'laces instep',
            null => '',
            default => $value,
        }, $facts->surfaces);
    }

    /** @param  list<string>  $parts */
    private static function text(array $parts): string
    {
        return implode(' ', array_unique(array_filter($parts, static fn (string $part): bool => $part !== '')));
    }
}
