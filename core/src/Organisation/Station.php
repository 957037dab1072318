<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

use FleetSparrow\Core\Plan\PlanPlayer;

/** Who is at one station. Servers here stay servers; where workers serve each other they swap. */
final readonly class Station
{
    private const LARGEST_MEETING = 4;

    /**
     * @param  non-empty-list<PlanPlayer>  $workers  who works here, in the order in which they do
     * @param  list<PlanPlayer>  $servers  players who only serve today
     * @param  bool  $isHelped  whether a grown-up serves, so that nobody swaps
     */
    public function __construct(public array $workers, public array $servers = [], public bool $isHelped = false)
    {
    }

    /** @param  non-empty-list<self>  $groups */
    public static function merged(array $groups): self
    {
        return count($groups) === 1 ? $groups[0] : new self(
            array_merge(...array_map(static fn (self $group): array => $group->workers, $groups)),
            array_merge(...array_map(static fn (self $group): array => $group->servers, $groups)),
            in_array(true, array_map(static fn (self $group): bool => $group->isHelped, $groups), true),
        );
    }

    /** @param  list<int>  $first  players who take the first slots, in their order: goalkeepers */
    public function withFirst(array $first): self
    {
        $turn = array_flip($first);
        $workers = $this->workers;
        usort($workers, static fn (PlanPlayer $one, PlanPlayer $other): int => ($turn[$one->id] ?? PHP_INT_MAX)
            <=> ($turn[$other->id] ?? PHP_INT_MAX));

        return new self($workers, $this->servers, $this->isHelped);
    }

    /**
     * The same without some; null where nobody is left to work.
     *
     * @param  list<int>  $players
     */
    public function without(array $players): ?self
    {
        $isThere = static fn (PlanPlayer $one): bool => ! in_array($one->id, $players, true);
        $workers = array_values(array_filter($this->workers, $isThere));

        return $workers === [] ? null : new self($workers, array_values(array_filter($this->servers, $isThere)), $this->isHelped);
    }

    /**
     * Those who are with each other here, as the season remembers it; empty for one alone, and for groups that mix anyway.
     *
     * @return list<int> ids of two to four players
     */
    public function meeting(): array
    {
        $ids = array_map(static fn (PlanPlayer $player): int => $player->id, [...$this->workers, ...$this->servers]);

        return count($ids) > 1 && count($ids) <= self::LARGEST_MEETING ? $ids : [];
    }

    public function players(): int
    {
        return count($this->workers) + count($this->servers);
    }
}
