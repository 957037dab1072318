<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Book;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Move\Move;
use FleetSparrow\Core\Touch\Tally;

/**
 * Finds entries by the words people use: every word asked for must begin a word of the entry. Names count before other words,
 * and a word's whole before its beginning; two entries with one synonym are both found, never merged.
 */
final readonly class BookSearch
{
    private const NAME = 4;

    private const WORD = 2;

    private const WHOLE = 1;

    /** @param  array<string, array<array-key, int>>  $entries slug → word → weight */
    private function __construct(private array $entries)
    {
    }

    /** @param  iterable<Move>  $moves */
    public static function ofMoves(iterable $moves): self
    {
        $entries = [];
        foreach ($moves as $move) {
            $entries[$move->slug] = self::weigh(
                [self::NAME => [$move->name], self::WORD => [...$move->words, $move->family->value, $move->cue]],
            );
        }

        return new self($entries);
    }

    /** @param  iterable<Drill>  $drills */
    public static function ofDrills(iterable $drills): self
    {
        $entries = [];
        foreach ($drills as $drill) {
            $entries[$drill->slug] = self::weigh([
                self::NAME => [$drill->name],
                self::WORD => [
                    $drill->summary,
                    $drill->family->value,
                    $drill->layout->kind(),
                    $drill->dose?->kind() ?? '',
                    ...array_keys($drill->layout->equipment()),
                    ...$drill->teaching->points,
                    ...$drill->teaching->words,
                    ...self::surfaces($drill),
                ],
            ]);
        }

        return new self($entries);
    }

    /**
     * Slugs, best first; everything in the order of the book when nothing is asked.
     *
     * @return list<string>
     */
    public function find(string $asked): array
    {
        $wanted = self::words($asked);
        $scores = [];
        foreach ($this->entries as $slug => $words) {
            $score = self::score($words, $wanted);
            if ($score !== null) {
                $scores[$slug] = $score;
            }
        }
        arsort($scores);

        return array_map(strval(...), array_keys($scores));
    }

    /**
     * @param  array<array-key, int>  $words  a word of digits is a number as a key
     * @param  list<string>  $wanted
     */
    private static function score(array $words, array $wanted): ?int
    {
        $score = 0;
        foreach ($wanted as $begin) {
            $best = 0;
            foreach ($words as $word => $weight) {
                if (str_starts_with((string) $word, $begin)) {
                    $best = max($best, $weight + ((string) $word === $begin ? self::WHOLE : 0));
                }
            }
            if ($best === 0) {
                return null;
            }
            $score += $best;
        }

        return $score;
    }

    /**
     * @param  array<int, list<string>>  $texts  weight → texts
     * @return array<string, int>
     */
    private static function weigh(array $texts): array
    {
        $words = [];
        foreach ($texts as $weight => $some) {
            foreach (self::words(implode(' ', $some)) as $word) {
                $words[$word] = max($weight, $words[$word] ?? 0);
            }
        }

        return $words;
    }

    /** @return list<string> as people say them */
    private static function surfaces(Drill $drill): array
    {
        $words = [];
        foreach (Tally::of($drill->script)->bySideAndSurface() as $surfaces) {
            foreach (array_keys($surfaces) as $surface) {
                $words[] = match ($surface) {
                    'in' => 'inside',
                    'out' => 'outside',
                    'lace' => 'laces',
                    default => $surface,
                };
            }
        }

        return $words;
    }

    /** @return list<string> lower case, without marks */
    private static function words(string $text): array
    {
        $words = preg_split('/[^\p{L}\p{N}]+/u', mb_strtolower($text), -1, PREG_SPLIT_NO_EMPTY);

        return $words === false ? [] : $words;
    }
}
