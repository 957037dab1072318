<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Caution\HeadersPlanned;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Pattern;
use FleetSparrow\Core\Drill\Service;
use FleetSparrow\Core\Layout\Positions;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Touch\Surface;
use FleetSparrow\Core\Touch\Tally;

/** What a drill cannot be chosen against: age, what must be there first, cautions, people, kit, room. */
final readonly class HardLimits
{
    public function __construct(private BuildRequest $request)
    {
    }

    /** Why a drill cannot be done today, in a sentence; null when it can. */
    public function why(Drill $drill): ?string
    {
        return $this->notForThem($drill) ?? $this->barred($drill) ?? $this->people($drill) ?? $this->ground($drill);
    }

    /**
     * As many stations as the group needs, the kit allows and the room is sure to hold; 0 when not even one can be laid out.
     *
     * @param  int<1, max>  $needed
     * @return int<0, max>
     */
    public function stations(Drill $drill, int $needed): int
    {
        $context = $this->request->context;
        $fit = $context->area?->stations($drill->layout->footprint()) ?? $needed;

        return max(0, min($needed, $fit, self::kit($context)->stations($drill->kit(1)) ?? $needed));
    }

    private function notForThem(Drill $drill): ?string
    {
        $under = $this->request->underAge;
        if ($under !== null && $drill->demands->fromAge->under > $under) {
            return "{$drill->name} is meant for {$drill->demands->fromAge->name()} and older.";
        }
        // What was done this season was thought possible then, and is now.
        $met = isset($this->request->needs->drillDaysAgo[$drill->slug]) ? null : $this->request->needs->movesMet;
        $missing = $met === null ? [] : array_diff($drill->demands->needs, $met);

        return $missing === [] ? null : "{$drill->name} needs ".str_replace('-', ' ', implode(' and ', $missing)).' first.';
    }

    private function barred(Drill $drill): ?string
    {
        $limit = $this->request->context->heading;
        $headers = Tally::of($drill->script)->contactsWith(Surface::Head);
        foreach ($drill->composition->items as $item) {
            $headers += Tally::of($item->script)->contactsWith(Surface::Head);
        }
        if ($limit === null || $headers <= 0.0 || $limit->headers === null) {
            return null;
        }
        foreach ($this->request->context->players as $player) {
            $sentence = HeadersPlanned::sentence($headers, $limit, $this->request->context->past->headers[$player->id] ?? []);
            if ($sentence !== null) {
                return "{$drill->name} has headers. {$limit->sentence()}";
            }
        }

        return null;
    }

    private function people(Drill $drill): ?string
    {
        $context = $this->request->context;
        $able = count(array_filter($context->players, static fn (PlanPlayer $player): bool => $player->today->mayWorkIn($drill)));
        $organisation = $drill->organisation;
        $needed = match (true) {
            $organisation->pattern === Pattern::PassAndFollow => Positions::of($drill->layout) + max(1, count($drill->layout->balls())),
            $organisation->pattern === Pattern::Together && $organisation->workers > 2 => 1,
            $organisation->pattern->isShared() => min($organisation->playersPerStation(), 4),
            $organisation->playerServers > 0 => min(2, $organisation->playersPerStation()) - min(1, $context->helpers),
            default => 1,
        };

        return match (true) {
            $able === 0 => "Nobody who is here may work in {$drill->name} today.",
            $able < $needed => sprintf('%s needs %d players and there %s.', $drill->name, $needed, $able === 1 ? 'is one' : "are {$able}"),
            default => null,
        };
    }

    private function ground(Drill $drill): ?string
    {
        if (
            $this->request->wish === Wish::RainyCorner
            && ($drill->organisation->service === Service::Wall || $drill->layout->walls() !== [])
        ) {
            return "{$drill->name} needs a wall, and there is none.";
        }
        $needsWall = $drill->organisation->service === Service::Wall || $drill->layout->walls() !== [];
        if ($needsWall && ($this->request->context->kit->atWalls() ?? 0) < 1) {
            return "{$drill->name} needs a wall: say in the settings how many can play at one.";
        }
        if ($this->stations($drill, 1) > 0) {
            return null;
        }
        $short = self::kit($this->request->context)->shortages($drill->kit(1));

        return $short === [] ? "{$drill->name} does not fit into the room there is." : "{$drill->name}: {$short[0]}";
    }

    /** Two markers stand in for a goal, so goals are never short here. */
    private static function kit(PlanContext $context): KitOwned
    {
        return $context->kit->withoutGoals();
    }
}
