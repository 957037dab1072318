<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Rotation;

/**
 * Who is with whom today: pairs, and of an odd number one three, so that those who have met least meet.
 *
 * An even number goes round by round through the Berger tables as long as one of their rounds brings nobody together again: so
 * with everyone there everybody meets everybody before anybody repeats. Else it minimises Σ 2^(−age ÷ 6) over the pairs made, and
 * for the three the same over the threes its players were in. Up to twelve players the best is found for certain. Beyond, nobody
 * repeats while a perfect matching of those who have not yet met exists (Edmonds' method says whether it does); where none does,
 * the largest such matching is completed and improved by swaps.
 */
final readonly class Partners
{
    private const EXACT_UP_TO = 12;

    /** Of a larger odd number, so many are tried as the one who joins a pair. */
    private const TRIED_TO_JOIN = 4;

    /** @var array<int, array<int, float>> */
    private array $weights;

    private function __construct(private PartnerCosts $costs)
    {
        $this->weights = $costs->weights;
    }

    /**
     * @param  list<int>  $players  in list order, which decides between equals
     * @return list<list<int>> groups of two, and one of three where the number is odd; a single player is alone
     */
    public static function of(array $players, Meetings $meetings): array
    {
        if (count($players) < 4) {
            return $players === [] ? [] : [$players];
        }
        if (count($players) % 2 === 1 && $meetings->isEmpty()) {
            return [...array_chunk(array_slice($players, 0, -3), 2), array_slice($players, -3)];
        }
        $costs = PartnerCosts::of($players, $meetings);
        $partners = new self($costs);
        $groups = $partners->freshRound()
            ?? (count($players) <= self::EXACT_UP_TO ? (new BestPartners($costs))->groups() : $partners->large());
        $groups = array_map(static function (array $group): array {
            sort($group);

            return $group;
        }, $groups);
        // No player is in two groups, so the first of each decides.
        usort($groups, static fn (array $a, array $b): int => ($a[0] ?? 0) <=> ($b[0] ?? 0));

        return array_map(static fn (array $group): array => array_map(static fn (int $i): int => $players[$i], $group), $groups);
    }

    /** @return list<list<int>>|null the first round of the Berger tables in which nobody meets again; null where there is none */
    private function freshRound(): ?array
    {
        $players = count($this->weights);
        for ($round = 1; $players % 2 === 0 && $round <= RoundRobin::rounds($players); $round++) {
            $pairs = [];
            foreach (RoundRobin::round($players, $round) as [$one, $other]) {
                if ($this->weights[$one - 1][$other - 1] > 0.0) {
                    continue 2;
                }
                $pairs[] = [$one - 1, $other - 1];
            }

            return $pairs;
        }

        return null;
    }

    /** @return list<list<int>> */
    private function large(): array
    {
        $everybody = array_keys($this->weights);
        if (count($everybody) % 2 === 0) {
            return $this->pairs($everybody);
        }
        // The one who joins a pair: those with the fewest threes are tried, until one leaves the others without a repeat.
        usort($everybody, fn (int $a, int $b): int => [$this->costs->threes[$a], $a] <=> [$this->costs->threes[$b], $b]);
        $best = null;
        foreach (array_slice($everybody, 0, self::TRIED_TO_JOIN) as $joins) {
            $found = $this->joined($joins, $this->pairs(array_values(array_diff(array_keys($this->weights), [$joins]))));
            if ($best === null || $found[0] < $best[0] - 1e-12) {
                $best = $found;
            }
            if ($best[0] <= 1e-12) {
                break;
            }
        }

        return $best[1] ?? [];
    }

    /**
     * @param  list<list<int>>  $pairs
     * @return array{float, list<list<int>>} cost and groups with one player joined to the pair where it costs least
     */
    private function joined(int $joins, array $pairs): array
    {
        $costs = array_map(fn (array $pair): float => $this->costs->three([...$pair, $joins]) - $this->weights[$pair[0]][$pair[1]], $pairs);
        asort($costs);
        $to = (int) array_key_first($costs);
        $cost = $costs[$to] + array_sum(array_map(fn (array $pair): float => $this->weights[$pair[0]][$pair[1]], $pairs));
        $pairs[$to][] = $joins;

        return [$cost, $pairs];
    }

    /**
     * @param  list<int>  $players
     * @return list<list<int>>
     */
    private function pairs(array $players): array
    {
        $notYetMet = [];
        $left = array_fill_keys($players, true);
        foreach ($this->weights as $one => $met) {
            $notYetMet[] = isset($left[$one]) ? array_keys(array_intersect_key($met, $left), 0.0, true) : [];
        }
        $pairs = [];
        $alone = [];
        foreach (PerfectMatching::largest($notYetMet) as $one => $other) {
            if ($one < $other) {
                $pairs[] = [$one, $other];
            } elseif ($other === -1 && isset($left[$one])) {
                $alone[] = $one;
            }
        }
        if ($alone === []) {
            return $pairs;
        }
        while ($alone !== []) {
            $one = array_shift($alone);
            $least = null;
            foreach ($alone as $at => $other) {
                $least = $least === null || $this->weights[$one][$other] < $this->weights[$one][$alone[$least]] ? $at : $least;
            }
            $pairs[] = [$one, $alone[$least ?? 0]];
            unset($alone[$least ?? 0]);
        }

        return $this->swapped($pairs);
    }

    /**
     * While two pairs can change partners for less, they do.
     *
     * @param  list<list<int>>  $pairs
     * @return list<list<int>>
     */
    private function swapped(array $pairs): array
    {
        do {
            $isBetter = false;
            foreach (array_keys($pairs) as $i) {
                for ($j = $i + 1; isset($pairs[$j]); $j++) {
                    [$a, $b] = $pairs[$i];
                    [$c, $d] = $pairs[$j];
                    $less = $this->weights[$a][$b] + $this->weights[$c][$d] - 1e-12;
                    if ($less <= 0.0) {
                        continue;
                    }
                    if ($this->weights[$a][$c] + $this->weights[$b][$d] < $less) {
                        [$pairs[$i], $pairs[$j], $isBetter] = [[$a, $c], [$b, $d], true];
                    } elseif ($this->weights[$a][$d] + $this->weights[$b][$c] < $less) {
                        [$pairs[$i], $pairs[$j], $isBetter] = [[$a, $d], [$b, $c], true];
                    }
                }
            }
        } while ($isBetter);

        return $pairs;
    }
}
