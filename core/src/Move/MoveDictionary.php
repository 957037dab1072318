<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Move;

/** The moves of the book together: each defined once, its neighbours there, nothing needing itself. */
final readonly class MoveDictionary
{
    /** @param  array<string, Move>  $moves by slug, in the order of the book */
    private function __construct(public array $moves)
    {
    }

    /** @param  list<Move>  $moves */
    public static function of(array $moves): self
    {
        return new self(array_combine(array_map(fn (Move $move): string => $move->slug, $moves), $moves));
    }

    /**
     * What is wrong with a list of moves as a whole, a sentence each.
     *
     * @param  list<Move>  $moves
     * @return list<string>
     */
    public static function faults(array $moves): array
    {
        $faults = [];
        $seen = [];
        foreach ($moves as $move) {
            foreach (['slug' => $move->slug, 'name' => mb_strtolower($move->name), 'script' => $move->script->text()] as $what => $value) {
                $other = $seen[$what][$value] ?? null;
                if ($other !== null) {
                    $faults[] = "Move {$move->slug}: its {$what} is also that of {$other}.";
                }
                $seen[$what][$value] ??= $move->slug;
            }
        }
        foreach ($moves as $move) {
            foreach (['easier' => $move->easier, 'harder' => $move->harder, 'needs' => $move->needs] as $what => $slugs) {
                foreach ($slugs as $slug) {
                    if (! isset($seen['slug'][$slug])) {
                        $faults[] = "Move {$move->slug}: \"{$what}\" names {$slug}, which is not in the book.";
                    }
                }
            }
        }

        return [...$faults, ...self::rings($moves)];
    }

    /**
     * Everything that must be there before a move, what comes first first.
     *
     * @return list<string>
     */
    public function before(string $slug): array
    {
        $order = [];
        foreach ($this->moves[$slug]->needs ?? [] as $needed) {
            $order = [...$order, ...$this->before($needed), $needed];
        }

        return array_values(array_unique($order));
    }

    /** How many moves stand before it on the longest way; nought for one that needs nothing. */
    public function depth(string $slug): int
    {
        $needs = $this->moves[$slug]->needs ?? [];

        return $needs === [] ? 0 : 1 + max(array_map($this->depth(...), $needs));
    }

    /**
     * @param  list<Move>  $moves
     * @return list<string>
     */
    private static function rings(array $moves): array
    {
        /** @var array<array-key, list<string>> $needs */
        $needs = [];
        foreach ($moves as $move) {
            $needs[$move->slug] = $move->needs;
        }
        $done = [];
        $faults = [];
        foreach (array_keys($needs) as $slug) {
            self::walk((string) $slug, [], $needs, $done, $faults);
        }

        return $faults;
    }

    /**
     * @param  list<string>  $way  from where the walk began
     * @param  array<array-key, list<string>>  $needs
     * @param  array<string, true>  $done
     * @param  list<string>  $faults
     */
    private static function walk(string $slug, array $way, array $needs, array &$done, array &$faults): void
    {
        $at = array_search($slug, $way, true);
        if ($at !== false) {
            $faults[] = 'These need each other in a ring: '.implode(', ', [...array_slice($way, $at), $slug]).'.';

            return;
        }
        if (isset($done[$slug])) {
            return;
        }
        foreach ($needs[$slug] ?? [] as $needed) {
            self::walk($needed, [...$way, $slug], $needs, $done, $faults);
        }
        $done[$slug] = true;
    }
}
