<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Pattern;
use FleetSparrow\Core\Drill\Service;
use FleetSparrow\Core\Layout\Kind\CommonBox;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Rotation\Meetings;
use FleetSparrow\Core\Rotation\Partners;
use FleetSparrow\Core\Rotation\SmallGroups;

/**
 * Who is at which station of a block: pairs and small groups by the season's history, players who only serve as servers, and for
 * the odd one out a helper or a three.
 */
final readonly class Stationing
{
    /**
     * @param  list<Station>  $groups  each the people of one station
     * @param  int<1, max>  $stations  laid out at most, as planned or as the group needs
     * @param  list<PlanPlayer>  $standing  those with nothing to do at a station: they count, or fetch
     * @param  PlanPlayer|null  $unserved  who has nobody to serve them
     */
    private function __construct(
        private Drill $drill,
        public array $groups,
        public int $stations,
        public array $standing,
        public ?PlanPlayer $unserved,
    ) {
    }

    /**
     * @param  list<PlanPlayer>  $players
     * @param  int<1, max>|null  $stations  null for as many as the group needs
     * @param  int<0, max>  $helpers  grown-ups beside the coach
     * @param  int<1, max>|null  $places  that walls and goals have, where the drill needs some
     * @param  array<int, int>  $serverTurns  player → times serving only this season: who has served least serves, the others count
     */
    public static function of(
        array $players,
        Drill $drill,
        ?int $stations,
        int $helpers,
        Meetings $meetings,
        ?int $places = null,
        array $serverTurns = [],
    ): self {
        [$workers, $others] = [[], []];
        foreach ($players as $player) {
            if ($player->today->mayWorkIn($drill)) {
                $workers[] = $player;
            } else {
                $others[] = $player;
            }
        }
        usort($others, static fn (PlanPlayer $one, PlanPlayer $other): int => ($serverTurns[$one->id] ?? 0)
            <=> ($serverTurns[$other->id] ?? 0));
        $groups = self::groups($workers, $others, $drill, $stations, $helpers, $meetings);
        $needed = max(1, count($groups));
        $serving = array_merge([], ...array_map(static fn (Station $group): array => $group->servers, $groups));
        $alone = $drill->organisation->playersPerStation() > 1 && self::needsAnother($drill)
            ? array_values(array_filter($groups, static fn (Station $group): bool => $group->players() === 1 && ! $group->isHelped))
            : [];

        return new self(
            $drill,
            $groups,
            // A coach who serves can be at one station, and each helper at one more; a wall has its places.
            $stations ?? min($needed, $places ?? $needed, $drill->organisation->coachServes ? 1 + $helpers : $needed),
            array_values(array_filter($others, static fn (PlanPlayer $one): bool => ! in_array($one, $serving, true))),
            $alone[0]->workers[0] ?? null,
        );
    }

    /** Stations that are laid out: without people none is. */
    public function inUse(): int
    {
        return max(1, min($this->stations, count($this->groups)));
    }

    /**
     * The groups on as many places as there are: with fewer places than groups they grow, and take turns there.
     *
     * @return list<Station>
     */
    public function places(): array
    {
        $merged = [];
        foreach ($this->groups as $i => $group) {
            $merged[$i % $this->stations][] = $group;
        }

        return array_map(static fn (array $groups): Station => Station::merged($groups), array_values($merged));
    }

    /** Whether an odd number made one three that swaps for longer than the pairs. */
    public function hasThree(): bool
    {
        $sizes = array_map(static fn (Station $group): int => $group->players(), $this->groups);

        return $this->drill->organisation->playersPerStation() === 2
            && $this->drill->organisation->playerServers === 1
            && in_array(3, $sizes, true)
            && count($this->groups) <= $this->stations;
    }

    /** Whether nobody can do it alone, or only with a wall in place of a partner. */
    public static function needsAnother(Drill $drill): bool
    {
        $organisation = $drill->organisation;
        // Whoever has a ball of their own in a box for all does without the others.
        $isOwnBall = $organisation->pattern === Pattern::Together && $organisation->service === Service::None;

        return $organisation->playerServers > 0 || ($organisation->pattern->isShared() && ! $isOwnBall);
    }

    /**
     * @param  list<PlanPlayer>  $workers
     * @param  list<PlanPlayer>  $others
     * @return list<Station>
     */
    private static function groups(array $workers, array $others, Drill $drill, ?int $stations, int $helpers, Meetings $meetings): array
    {
        $size = $drill->organisation->playersPerStation();
        if ($stations !== null && ! self::needsAnother($drill) && $stations * $size > count($workers)) {
            // More places than groups: who can do it alone is with fewer.
            $size = max(1, (int) ceil(count($workers) / $stations));
        }
        if ($size === 1 || $workers === []) {
            return array_map(static fn (PlanPlayer $one): Station => new Station([$one]), $workers);
        }
        if ($size === 2) {
            return self::pairs($workers, $others, $drill, $helpers, $meetings);
        }
        // A hunt, a queue and a box with room by head are one for all; other groups are as equal as so many people allow.
        $isOne = in_array($drill->organisation->pattern, [Pattern::Hunt, Pattern::Rotate], true)
            || $drill->layout->kind() === CommonBox::KIND;
        $wanted = $stations ?? ($isOne ? 1 : max(1, intdiv(count($workers), $size)));
        $size = max(1, (int) ceil(count($workers) / $wanted));
        $groups = self::named(SmallGroups::of(self::ids($workers), $size, $meetings), $workers);
        $servers = $drill->organisation->playerServers;

        return array_map(
            static fn (array $group, int $i): Station => new Station($group, array_slice($others, $i * $servers, $servers)),
            $groups,
            array_keys($groups),
        );
    }

    /**
     * Who only serves is given a worker, or a pair where that leaves the others even; of an odd number left one is served by a
     * helper if there is one, else there is a three.
     *
     * @param  non-empty-list<PlanPlayer>  $workers
     * @param  list<PlanPlayer>  $others
     * @return list<Station>
     */
    private static function pairs(array $workers, array $others, Drill $drill, int $helpers, Meetings $meetings): array
    {
        $groups = [];
        $others = $drill->organisation->playerServers === 1 ? $others : [];
        $toOne = min(count($others), count($workers));
        $toOne -= $toOne > 0 && $toOne === count($others) && (count($workers) - $toOne) % 2 === 1 && count($workers) > 1 ? 1 : 0;
        foreach (array_slice($others, 0, $toOne) as $server) {
            if ($workers === []) {
                break;
            }
            $with = self::leastMet($workers, $server, $meetings);
            $groups[] = new Station([$with], [$server]);
            $workers = array_values(array_filter($workers, static fn (PlanPlayer $one): bool => $one !== $with));
        }
        if (count($workers) % 2 === 1 && $workers !== []) {
            if ($helpers > 0 && $drill->organisation->playerServers === 1) {
                // Who was most often in a three is the one to be spared it.
                $spared = $workers;
                usort(
                    $spared,
                    static fn (PlanPlayer $a, PlanPlayer $b): int => $meetings->threeWeight($b->id) <=> $meetings->threeWeight($a->id),
                );
                $groups[] = new Station([$spared[0]], isHelped: true);
                $workers = array_values(array_filter($workers, static fn (PlanPlayer $one): bool => $one !== $spared[0]));
            } elseif (! self::needsAnother($drill) && count($workers) > 1) {
                // Taking turns is possible alone, so nobody needs a three.
                $groups[] = new Station([array_pop($workers)]);
            }
        }
        $spare = array_slice($others, $toOne);
        $pairs = array_map(
            static fn (array $pair, int $i): Station => new Station($pair, array_slice($spare, $i, 1)),
            $named = self::named(Partners::of(self::ids($workers), $meetings), $workers),
            array_keys($named),
        );

        return [...$pairs, ...$groups];
    }

    /** @param  non-empty-list<PlanPlayer>  $workers */
    private static function leastMet(array $workers, PlanPlayer $server, Meetings $meetings): PlanPlayer
    {
        usort(
            $workers,
            static fn (
                PlanPlayer $a,
                PlanPlayer $b,
            ): int => $meetings->weight($a->id, $server->id) <=> $meetings->weight($b->id, $server->id),
        );

        return $workers[0];
    }

    /**
     * @param  list<PlanPlayer>  $players
     * @return list<int>
     */
    private static function ids(array $players): array
    {
        return array_map(static fn (PlanPlayer $player): int => $player->id, $players);
    }

    /**
     * @param  list<list<int>>  $groups
     * @param  list<PlanPlayer>  $players
     * @return list<non-empty-list<PlanPlayer>>
     */
    private static function named(array $groups, array $players): array
    {
        $byId = [];
        foreach ($players as $player) {
            $byId[$player->id] = $player;
        }
        $named = [];
        foreach ($groups as $group) {
            $some = array_map(static fn (int $id): PlanPlayer => $byId[$id], $group);
            if ($some !== []) {
                $named[] = $some;
            }
        }

        return $named;
    }
}
