<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Plan\PlanContext;

/** What a coach asks for, and what is known. */
final readonly class BuildRequest
{
    public const LEAST_MINUTES = 10;

    public const MOST_MINUTES = 240;

    /**
     * @param  list<Drill>  $book  what there is to choose from
     * @param  PlanContext  $context  who comes, kit, room, cautions, the past
     * @param  Family|null  $theme  null for whatever is needed most
     * @param  list<Lock>  $locks
     * @param  list<string>  $bans  slugs
     * @param  array{list<string>, list<string>}|null  $joined  the drills of the two sessions, for the wish to join them
     * @param  list<list<string>>  $seen  slugs of proposals the coach has seen and asks for others than
     * @param  int  $seed  decides between equals, and nothing else
     * @param  int|null  $underAge  the squad's age group; null where nobody has said
     */
    public function __construct(
        public array $book,
        public PlanContext $context,
        public int $slotMinutes,
        public ?Family $theme = null,
        public Wish $wish = Wish::Anything,
        public Needs $needs = new Needs,
        public array $locks = [],
        public array $bans = [],
        public ?array $joined = null,
        public array $seen = [],
        public int $seed = 1,
        public Weights $weights = new Weights,
        public ?int $underAge = null,
    ) {
    }

    /** The book in an order of its own for each seed, so that the seed decides between equals. */
    public function shuffled(): self
    {
        $book = $this->book;
        usort(
            $book,
            fn (Drill $a, Drill $b): int => hash('crc32b', "{$this->seed} {$a->slug}") <=> hash('crc32b', "{$this->seed} {$b->slug}"),
        );

        return $this->with(book: $book);
    }

    public function withSlot(int $minutes): self
    {
        return $this->with(slotMinutes: $minutes);
    }

    /** @param  list<Drill>|null  $book */
    private function with(?array $book = null, ?int $slotMinutes = null): self
    {
        return new self(
            book: $book ?? $this->book,
            context: $this->context,
            slotMinutes: $slotMinutes ?? $this->slotMinutes,
            theme: $this->theme,
            wish: $this->wish,
            needs: $this->needs,
            locks: $this->locks,
            bans: $this->bans,
            joined: $this->joined,
            seen: $this->seen,
            seed: $this->seed,
            weights: $this->weights,
            underAge: $this->underAge,
        );
    }
}
