<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;

/** Locks, bans and ready-made wishes sorted out: what may stand where, and what of it cannot be granted. */
final class Wishes
{
    /** @var list<Drill> drills that may be chosen at all */
    public array $book = [];

    /** @var non-empty-list<Phase> */
    public array $phases = [Phase::WarmUp];

    /** @var list<Refusal> */
    public array $refusals = [];

    /** @var array<string, callable(Drill): bool> phase → who may stand there */
    private array $only = [];

    /** @var list<string> */
    private array $locked = [];

    /** @var array<string, string> slug → why it cannot be done today */
    private array $why = [];

    public function __construct(private readonly BuildRequest $request, private readonly HardLimits $limits, private readonly Family $theme)
    {
    }

    /** @param  non-empty-list<Phase>  $phases */
    public function resolved(array $phases): self
    {
        $this->phases = $phases;
        $lockedDrills = array_filter(
            array_map(static fn (Lock $lock): ?string => $lock->drill, $this->request->locks),
            static fn (?string $slug): bool => $slug !== null,
        );
        foreach ($this->request->book as $drill) {
            $why = $this->limits->why($drill);
            if ($why !== null) {
                $this->why[$drill->slug] = $why;
            } elseif (! in_array($drill->slug, $this->request->bans, true) || in_array($drill->slug, $lockedDrills, true)) {
                $this->book[] = $drill;
            }
        }
        foreach ($this->request->locks as $lock) {
            $lock->drill !== null ? $this->lockDrill($lock->drill) : $this->lockFamily((string) $lock->family);
        }
        if ($this->request->wish === Wish::JoinTwo) {
            $this->joinTwo();
        }

        return $this;
    }

    public function allows(Phase $phase, Drill $drill): bool
    {
        $only = $this->only[$phase->value] ?? null;

        // What is locked stands where it was put, and nowhere else.
        return $only !== null ? $only($drill) : $phase->suits($drill) && ! in_array($drill->slug, $this->locked, true);
    }

    /** @return list<string> */
    public function lockedSlugs(): array
    {
        return $this->locked;
    }

    /** @return list<string> */
    public function wishedPhases(): array
    {
        return array_keys($this->only);
    }

    public function whyNothing(int $slotMinutes): string
    {
        if ($this->book === []) {
            $why = array_count_values($this->why);
            arsort($why);

            return $why === [] ? 'Every drill there is has been banned.' : 'No drill can be done today; for one: '.array_key_first($why);
        }

        return $this->locked === []
            ? "No drill that may be done ends within {$slotMinutes} minutes."
            : "What is locked does not end within {$slotMinutes} minutes in eight cases of ten.";
    }

    private function lockDrill(string $slug): void
    {
        $drill = $this->find($slug);
        if ($drill === null) {
            $known = isset($this->why[$slug]);
            $this->refusals[] = new Refusal(
                $slug,
                $known ? $this->why[$slug] : 'There is no such drill to choose from.',
                $this->insteadOf($slug),
            );

            return;
        }
        if (in_array($slug, $this->request->bans, true)) {
            $this->refusals[] = new Refusal(
                "no {$drill->name}",
                "{$drill->name} is locked and banned at once.",
                'The lock holds; take it away to keep the drill out.',
            );
        }
        $phase = $this->freePhase(static fn (Phase $one): bool => $one->suits($drill))
            ?? $this->freePhase(static fn (Phase $one): bool => $one !== Phase::Game);
        if ($phase === null) {
            $this->refusals[] = new Refusal(
                $drill->name,
                sprintf(
                    'The %d parts of a session of %d minutes are all taken by other locks.',
                    count($this->phases),
                    $this->request->slotMinutes,
                ),
                'Take one of the locks away, or give it more time.',
            );

            return;
        }
        $this->locked[] = $slug;
        $this->only[$phase->value] = static fn (Drill $one): bool => $one->slug === $slug;
    }

    private function lockFamily(string $name): void
    {
        $family = Family::tryFrom($name);
        $phase = $family === null
            ? null
            : $this->freePhase(
                fn (Phase $one): bool => $one !== Phase::WarmUp
                && $this->has($one, $family)
            ) ?? $this->freePhase(fn (Phase $one): bool => $this->has($one, $family));
        if ($family === null || $phase === null) {
            $barred = $family === null
                ? []
                : array_values(
                    array_filter(
                        $this->request->book,
                        fn (Drill $drill): bool => $drill->family === $family && isset($this->why[$drill->slug]),
                    ),
                );
            $this->refusals[] = new Refusal(
                $name,
                $barred === [] ? 'No part of the session has anything of it to choose from.' : $this->why[$barred[0]->slug],
                "Built on {$this->theme->words()} instead.",
            );

            return;
        }
        $this->only[$phase->value] = static fn (Drill $one): bool => $one->family === $family && $phase->suits($one);
    }

    /** The first session gives the technique, the second what is asked for under more demand; a combination of both where there is one. */
    private function joinTwo(): void
    {
        [$first, $second] = $this->request->joined ?? [[], []];
        foreach ([
            [Phase::Technique, $first, 'first'],
            [$this->has(Phase::Demand, null, $second) ? Phase::Demand : Phase::Challenge, $second, 'second'],
        ] as [$phase, $slugs, $which]) {
            if (isset($this->only[$phase->value])) {
                continue;
            }
            if (! in_array($phase, $this->phases, true) || ! $this->has($phase, null, $slugs)) {
                $this->refusals[] = new Refusal(
                    "something of the {$which} session",
                    $slugs === [] ? 'No drill was done in it.' : 'None of its drills can be done today in that part of a session.',
                    "Built on {$this->theme->words()} there.",
                );

                continue;
            }
            $this->only[$phase->value] = static fn (Drill $one): bool => in_array($one->slug, $slugs, true) && $phase->suits($one);
        }
    }

    /** @param  list<string>|null  $slugs */
    private function has(Phase $phase, ?Family $family, ?array $slugs = null): bool
    {
        foreach ($this->book as $drill) {
            if (
                $phase->suits($drill)
                && ($family === null || $drill->family === $family)
                && ($slugs === null || in_array($drill->slug, $slugs, true))
            ) {
                return true;
            }
        }

        return false;
    }

    /** @param  callable(Phase): bool  $suits */
    private function freePhase(callable $suits): ?Phase
    {
        foreach ($this->phases as $phase) {
            if (! isset($this->only[$phase->value]) && $suits($phase)) {
                return $phase;
            }
        }

        return null;
    }

    private function find(string $slug): ?Drill
    {
        foreach ($this->book as $drill) {
            if ($drill->slug === $slug) {
                return $drill;
            }
        }

        return null;
    }

    /** Something of the same family that can be done: on the same markers where there is such a one. */
    private function insteadOf(string $slug): string
    {
        $wanted = array_values(array_filter($this->request->book, static fn (Drill $drill): bool => $drill->slug === $slug))[0] ?? null;
        if ($wanted === null) {
            return $this->book === [] ? 'Nothing else can be done either.' : "{$this->book[0]->name} would work.";
        }
        $near = array_values(array_filter($this->book, static fn (Drill $drill): bool => $drill->family === $wanted->family));
        if ($near === []) {
            return $this->book === [] ? 'Nothing else can be done either.' : "{$this->book[0]->name} would work.";
        }
        $alike = array_values(
            array_filter($near, static fn (Drill $drill): bool => $drill->kit(1)->equals($wanted->kit(1))),
        );

        return ($alike[0] ?? $near[0])->name.' would work.';
    }
}
