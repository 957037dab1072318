<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

/** What a player needs, as the season says. */
final readonly class HomeNeeds
{
    /**
     * @param  array<string, string>  $rungs  slug of the drill a ladder has them work on → name of the ladder
     * @param  array<string, string>  $targets  slug → the number to beat, in words
     * @param  array<string, int>  $staleFamilies  family → days it was not met
     * @param  array<string, int>  $behind  slug → hundredths of the strong foot that the other one reaches, where it is behind
     * @param  list<string>  $lastWeek  slugs of the routine before
     * @param  bool  $mayHead  whether the profile the squad follows lets them head
     */
    public function __construct(
        public array $rungs = [],
        public array $targets = [],
        public array $staleFamilies = [],
        public array $behind = [],
        public array $lastWeek = [],
        public bool $mayHead = true,
    ) {
    }
}
