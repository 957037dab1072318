<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Caution\HeadingLimit;
use FleetSparrow\Core\Caution\Weather;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Memo;

/** Everything beside the running order that an evaluation needs. */
final readonly class PlanContext
{
    public const MOST_PLAYERS = 40;

    /**
     * @param  non-empty-list<PlanPlayer>  $players  those coming, in list order
     * @param  list<string>  $knownDrills  slugs done in the squad's last three sessions
     * @param  Area|null  $area  null when the squad has not said
     * @param  HeadingLimit|null  $heading  null where no limit is followed
     * @param  int<0, max>  $helpers  grown-ups beside the coach
     * @param  bool  $isLaidBefore  whether the first layout lies before the session starts
     */
    private function __construct(
        public array $players,
        public array $knownDrills,
        public ClockRules $rules,
        public KitOwned $kit,
        public ?Area $area,
        public ?HeadingLimit $heading,
        public int $helpers,
        public SeasonPast $past,
        public Weather $weather,
        public Memo $memo,
        public bool $isLaidBefore,
    ) {
    }

    /**
     * @param  list<PlanPlayer>  $players
     * @param  list<string>  $knownDrills
     * @param  Memo  $memo  of what is worked out for this plan
     * @param  bool  $isLaidBefore  whether the first layout lies before the session starts
     *
     * @throws InvalidPlan If nobody is coming, more than 40 are, or helpers are outside 0 to 20.
     */
    public static function of(
        array $players,
        array $knownDrills,
        ClockRules $rules,
        KitOwned $kit = new KitOwned,
        ?Area $area = null,
        ?HeadingLimit $heading = null,
        int $helpers = 0,
        SeasonPast $past = new SeasonPast,
        ?Weather $weather = null,
        Memo $memo = new Memo,
        bool $isLaidBefore = true,
    ): self {
        if ($players === []) {
            throw InvalidPlan::nobody();
        }
        if (count($players) > self::MOST_PLAYERS) {
            throw InvalidPlan::tooManyPlayers(count($players), self::MOST_PLAYERS);
        }
        if ($helpers < 0 || $helpers > 20) {
            throw InvalidPlan::at('helpers', 'Helpers must be between 0 and 20.');
        }

        return new self(
            players: $players,
            knownDrills: $knownDrills,
            rules: $rules,
            kit: $kit,
            area: $area,
            heading: $heading,
            helpers: $helpers,
            past: $past,
            weather: $weather ?? Weather::mild(),
            memo: $memo,
            isLaidBefore: $isLaidBefore,
        );
    }

    /** @return array<mixed> all of it that an evaluation depends on */
    public function given(): array
    {
        return array_diff_key(get_object_vars($this), ['memo' => true]);
    }

    /** The same with what was worked out before. */
    public function with(Memo $memo): self
    {
        return $this->but(memo: $memo);
    }

    /** The same in another corner. */
    public function within(Area $area): self
    {
        return $this->but(area: $area);
    }

    /**
     * The same with other grown-ups.
     *
     * @param  int<0, max>  $helpers
     */
    public function withHelpers(int $helpers): self
    {
        return $this->but(helpers: $helpers);
    }

    /** @param  int<0, max>|null  $helpers */
    private function but(?Area $area = null, ?int $helpers = null, ?Memo $memo = null): self
    {
        return new self(
            players: $this->players,
            knownDrills: $this->knownDrills,
            rules: $this->rules,
            kit: $this->kit,
            area: $area ?? $this->area,
            heading: $this->heading,
            helpers: $helpers ?? $this->helpers,
            past: $this->past,
            weather: $this->weather,
            memo: $memo ?? $this->memo,
            isLaidBefore: $this->isLaidBefore,
        );
    }

    /** The age most of those coming are of, the older where two are as many; null where nobody's is known. */
    public function age(): ?AgeGroup
    {
        $counts = [];
        foreach ($this->players as $player) {
            if ($player->age !== null) {
                $counts[$player->age->under] = ($counts[$player->age->under] ?? 0) + 1;
            }
        }
        krsort($counts);
        $most = $counts === [] ? null : array_search(max($counts), $counts, true);

        return $most === null || $most === false ? null : AgeGroup::of("U{$most}");
    }
}
