<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Rotation\Duties;
use FleetSparrow\Core\Rotation\Meetings;

/**
 * Draws the groups and duties of a session block by block, each knowing those before it; the same block asked for again has
 * the same people together.
 */
final class GroupDraw
{
    private readonly Meetings $meetings;

    /** @var array<string, Stationing> */
    private array $drawn = [];

    /** @var array<string, list<Duty>> */
    private array $duties = [];

    /** @var array<int, int> */
    private array $keeperTurns;

    /** @var array<int, int> */
    private array $serverTurns;

    /**
     * @param  int<0, max>  $helpers  grown-ups beside the coach
     * @param  Meetings|null  $meetings  to which those of this session are added; null for the season's
     */
    public function __construct(
        private readonly SeasonPast $past,
        private readonly int $helpers,
        private readonly KitOwned $kit = new KitOwned,
        ?Meetings $meetings = null,
    ) {
        $this->meetings = $meetings ?? $past->meetings();
        $this->keeperTurns = $past->keeperTurns;
        $this->serverTurns = $past->serverTurns;
    }

    /** As a session begins; the season's meetings are added up once for all who try something in the same plan. */
    public static function at(PlanContext $context): self
    {
        $meetings = $context->memo->of('meetings of the season', $context->past->meetings(...));

        return new self($context->past, $context->helpers, $context->kit, clone $meetings);
    }

    /** @param  non-empty-list<PlanPlayer>  $players */
    public function stationing(Block $block, Drill $drill, array $players): Stationing
    {
        return $this->drawn["{$block->id} {$block->stations} {$players[0]->id} ".count($players)] ??= $this->draw($block, $drill, $players);
    }

    /**
     * Who keeps goal, who only serves, and who counts; keepers and servers by the fewest turns this season, then list order.
     *
     * @param  non-empty-list<PlanPlayer>  $players
     * @return list<Duty>
     */
    public function duties(Block $block, Drill $drill, array $players, Stationing $stationing): array
    {
        return $this->duties["{$block->id} {$players[0]->id} ".count($players)] ??= $this->share($drill, $block->dose, $stationing);
    }

    /**
     * The players in so many groups that go round stations.
     *
     * @param  non-empty-list<PlanPlayer>  $players
     * @return non-empty-list<non-empty-list<PlanPlayer>>
     */
    public function round(array $players, int $stations): array
    {
        // In list order, one to each group in turn, so that groups differ by one at most.
        $groups = [];
        foreach ($players as $i => $player) {
            $groups[$i % $stations][] = $player;
        }

        return array_values($groups);
    }

    /** @param  non-empty-list<PlanPlayer>  $players */
    private function draw(Block $block, Drill $drill, array $players): Stationing
    {
        $stationing = Stationing::of(
            $players,
            $drill,
            $block->stations,
            $this->helpers,
            $this->meetings,
            $this->kit->places($drill->layout),
            $this->serverTurns,
        );
        foreach ($stationing->groups as $group) {
            $this->meetings->add($group->meeting(), 0);
        }

        return $stationing;
    }

    /** @return list<Duty> */
    private function share(Drill $drill, ?Dose $dose, Stationing $stationing): array
    {
        $goes = $dose === null ? 1 : $dose->sets() * $dose->sides()->count();
        $turns = $drill->organisation->keeperTurns($goes, $dose?->clockedSetSeconds());
        // From those at that field, by the fewest turns of the season.
        $keepers = array_merge([], ...array_map(
            fn (Station $group): array => Duties::next(
                array_map(static fn (PlanPlayer $player): int => $player->id, $group->workers),
                $this->keeperTurns,
                $turns,
            ),
            $stationing->places(),
        ));
        foreach ($keepers as $keeper) {
            $this->keeperTurns[$keeper] = ($this->keeperTurns[$keeper] ?? 0) + 1;
        }
        $servers = array_merge([], ...array_map(static fn (Station $group): array => $group->servers, $stationing->groups));
        foreach ($servers as $server) {
            $this->serverTurns[$server->id] = ($this->serverTurns[$server->id] ?? 0) + 1;
        }

        return [
            ...array_map(static fn (int $keeper): Duty => new Duty($keeper, DutyKind::Keeper), $keepers),
            ...array_map(static fn (PlanPlayer $server): Duty => new Duty($server->id, DutyKind::Server), $servers),
            ...array_map(static fn (PlanPlayer $one): Duty => new Duty($one->id, DutyKind::Counts), $stationing->standing),
        ];
    }
}
