<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Caution\HeadingLimit;
use FleetSparrow\Core\Exception\InvalidPlan;

/** Everything beside the running order that an evaluation needs. */
final readonly class PlanContext
{
    public const MOST_PLAYERS = 40;

    /**
     * @param  non-empty-list<PlanPlayer>  $players  those coming, in list order
     * @param  list<string>  $knownDrills  slugs done in the squad's last three sessions
     * @param  Area|null  $area  null when the squad has not said
     * @param  HeadingLimit|null  $heading  null where no limit is followed
     */
    private function __construct(public array $players, public array $knownDrills, public ClockRules $rules, public KitOwned $kit, public ?Area $area, public ?HeadingLimit $heading)
    {
    }

    /**
     * @param  list<PlanPlayer>  $players
     * @param  list<string>  $knownDrills
     *
     * @throws InvalidPlan If nobody is coming, or more than 40 are.
     */
    public static function of(array $players, array $knownDrills, ClockRules $rules, KitOwned $kit = new KitOwned, ?Area $area = null, ?HeadingLimit $heading = null): self
    {
        if ($players === []) {
            throw InvalidPlan::because('plan.nobody', 'Nobody is coming yet. Tick at least one player and the clock can be worked out.');
        }
        if (count($players) > self::MOST_PLAYERS) {
            throw InvalidPlan::because('plan.too-many', sprintf('%d players are ticked. One small-group session takes at most %d: split the group.', count($players), self::MOST_PLAYERS));
        }

        return new self($players, $knownDrills, $rules, $kit, $area, $heading);
    }
}
