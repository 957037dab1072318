<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Rotation;

/** The cheapest way of all to put a group into pairs, and one three where it is odd: for groups small enough to try every way. */
final class BestPartners
{
    /** @var array<int, array{float, list<list<int>>}> those in a mask → cost and groups */
    private array $best = [];

    public function __construct(private readonly PartnerCosts $costs)
    {
    }

    /** @return list<list<int>> places in the list */
    public function groups(): array
    {
        $players = count($this->costs->weights);

        return $this->bestOf((1 << $players) - 1, $players % 2 === 1)[1];
    }

    /**
     * The cheapest way to group those in the mask: whoever comes first in it is tried with each other one, and with each two
     * others while a three is still to be made.
     *
     * @return array{float, list<list<int>>}
     */
    private function bestOf(int $mask, bool $withThree): array
    {
        if ($mask === 0) {
            return [$withThree ? INF : 0.0, []];
        }
        if (isset($this->best[$mask])) {
            return $this->best[$mask];
        }
        $left = array_values(array_filter(array_keys($this->costs->weights), static fn (int $i): bool => ($mask >> $i & 1) === 1));
        $first = $left[0];
        $best = [INF, []];
        foreach (array_slice($left, 1) as $at => $second) {
            $pair = $mask & ~(1 << $first) & ~(1 << $second);
            $best = $this->better($best, $this->costs->weights[$first][$second], [$first, $second], $pair, $withThree);
            foreach ($withThree ? array_slice($left, $at + 2) : [] as $third) {
                $best = $this->better(
                    $best,
                    $this->costs->three([$first, $second, $third]),
                    [$first, $second, $third],
                    $pair & ~(1 << $third),
                    false,
                );
            }
        }

        // How many are left says whether the three is still to be made, so the mask alone names the question.
        return $this->best[$mask] = $best;
    }

    /**
     * @param  array{float, list<list<int>>}  $best
     * @param  list<int>  $group
     * @return array{float, list<list<int>>}
     */
    private function better(array $best, float $cost, array $group, int $rest, bool $withThree): array
    {
        if ($cost >= $best[0]) {
            return $best;
        }
        $then = $this->bestOf($rest, $withThree);

        return $cost + $then[0] < $best[0] - 1e-12 ? [$cost + $then[0], [$group, ...$then[1]]] : $best;
    }
}
