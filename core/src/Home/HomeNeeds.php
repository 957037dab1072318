<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

/** What a player needs, as the season says, and what the coach chose or took out. */
final readonly class HomeNeeds
{
    /**
     * @param  array<string, string>  $rungs  slug of the drill a ladder has them work on → name of the ladder
     * @param  array<string, string>  $targets  slug → the number to beat, in words
     * @param  array<string, int>  $staleFamilies  family → days it was not met
     * @param  array<string, int>  $behind  slug → hundredths of the strong foot that the other one reaches, where it is behind
     * @param  list<string>  $lastWeek  slugs of the routine before
     * @param  bool  $mayHead  whether the profile the squad follows lets them head
     * @param  list<string>  $wanted  slugs the coach chose: they come first, where they fit
     * @param  list<string>  $unwanted  slugs the coach took out
     */
    public function __construct(
        public array $rungs = [],
        public array $targets = [],
        public array $staleFamilies = [],
        public array $behind = [],
        public array $lastWeek = [],
        public bool $mayHead = true,
        public array $wanted = [],
        public array $unwanted = [],
    ) {
    }

    /**
     * @param  list<string>  $wanted
     * @param  list<string>  $unwanted
     */
    public function chosen(array $wanted, array $unwanted): self
    {
        return new self(
            rungs: $this->rungs,
            targets: $this->targets,
            staleFamilies: $this->staleFamilies,
            behind: $this->behind,
            lastWeek: $this->lastWeek,
            mayHead: $this->mayHead,
            wanted: $wanted,
            unwanted: $unwanted,
        );
    }
}
