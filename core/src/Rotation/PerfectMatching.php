<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Rotation;

/**
 * A largest matching in any graph: Edmonds' blossom method (Edmonds 1965, Paths, trees, and flowers), grown from one free
 * vertex at a time in O(n³).
 */
final class PerfectMatching
{
    /** @var array<int, int> vertex → its mate, −1 for none */
    private array $mate;

    /** @var array<int, int> */
    private array $parent = [];

    /** @var array<int, int> */
    private array $base = [];

    /** @var array<int, bool> */
    private array $isReached = [];

    /** @param  array<int, list<int>>  $neighbours */
    private function __construct(private readonly array $neighbours)
    {
        $this->mate = array_fill(0, count($neighbours), -1);
    }

    /**
     * @param  array<int, list<int>>  $neighbours  of each vertex, both ways
     * @return array<int, int> vertex → its mate, −1 where the largest matching leaves it alone
     */
    public static function largest(array $neighbours): array
    {
        $matching = new self($neighbours);
        // Whoever has the least choice chooses first: few are then left to search for.
        $choices = array_map(count(...), $neighbours);
        asort($choices);
        foreach (array_keys($choices) as $vertex) {
            if ($matching->mate[$vertex] === -1) {
                $matching->takeFree($vertex, $choices);
            }
        }
        foreach ($matching->mate as $vertex => $mate) {
            if ($mate === -1 && $matching->mate[$vertex] === -1) {
                $matching->augment($vertex);
            }
        }

        return $matching->mate;
    }

    /**
     * Takes the free neighbour with the least choice, if there is one.
     *
     * @param  array<int, int>  $choices
     */
    private function takeFree(int $vertex, array $choices): void
    {
        $best = -1;
        foreach ($this->neighbours[$vertex] ?? [] as $to) {
            if ($this->mate[$to] === -1 && ($best === -1 || $choices[$to] < $choices[$best])) {
                $best = $to;
            }
        }
        if ($best !== -1) {
            [$this->mate[$vertex], $this->mate[$best]] = [$best, $vertex];
        }
    }

    private function augment(int $root): void
    {
        $n = count($this->neighbours);
        $this->parent = array_fill_keys(array_keys($this->neighbours), -1);
        $this->base = range(0, $n - 1);
        $this->isReached = array_fill(0, $n, false);
        $this->isReached[$root] = true;
        $queue = [$root];
        for ($next = 0; isset($queue[$next]); $next++) {
            $vertex = $queue[$next];
            foreach ($this->neighbours[$vertex] ?? [] as $to) {
                if ($this->base[$vertex] === $this->base[$to] || $this->mate[$vertex] === $to) {
                    continue;
                }
                if ($to === $root || ($this->mate[$to] !== -1 && $this->parent[$this->mate[$to]] !== -1)) {
                    $queue = [...$queue, ...$this->shrink($vertex, $to)];

                    continue;
                }
                if ($this->parent[$to] !== -1) {
                    continue;
                }
                $this->parent[$to] = $vertex;
                if ($this->mate[$to] === -1) {
                    $this->flip($to);

                    return;
                }
                $this->isReached[$this->mate[$to]] = true;
                $queue[] = $this->mate[$to];
            }
        }
    }

    /** Swaps matched and free edges along the path that ends here. */
    private function flip(int $vertex): void
    {
        while ($vertex !== -1) {
            $before = $this->parent[$vertex];
            $next = $this->mate[$before];
            $this->mate[$vertex] = $before;
            $this->mate[$before] = $vertex;
            $vertex = $next;
        }
    }

    /**
     * An odd cycle becomes one vertex; those newly reached go into the queue.
     *
     * @return list<int>
     */
    private function shrink(int $one, int $other): array
    {
        $meet = $this->meet($one, $other);
        $inBlossom = [];
        $this->mark($one, $meet, $other, $inBlossom);
        $this->mark($other, $meet, $one, $inBlossom);
        $reached = [];
        foreach (array_keys($this->neighbours) as $vertex) {
            if (isset($inBlossom[$this->base[$vertex]])) {
                $this->base[$vertex] = $meet;
                if (! $this->isReached[$vertex]) {
                    $this->isReached[$vertex] = true;
                    $reached[] = $vertex;
                }
            }
        }

        return $reached;
    }

    private function meet(int $one, int $other): int
    {
        $seen = [];
        for (; ; $one = $this->parent[$this->mate[$one]]) {
            $one = $this->base[$one];
            $seen[$one] = true;
            if ($this->mate[$one] === -1) {
                break;
            }
        }
        for (; ; $other = $this->parent[$this->mate[$other]]) {
            $other = $this->base[$other];
            if (isset($seen[$other])) {
                return $other;
            }
        }
    }

    /** @param  array<int, bool>  $inBlossom */
    private function mark(int $vertex, int $base, int $child, array &$inBlossom): void
    {
        while ($this->base[$vertex] !== $base) {
            $inBlossom[$this->base[$vertex]] = true;
            $inBlossom[$this->base[$this->mate[$vertex]]] = true;
            $this->parent[$vertex] = $child;
            $child = $this->mate[$vertex];
            $vertex = $this->parent[$this->mate[$vertex]];
        }
    }
}
