<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

/**
 * Looks for the choice of greatest worth: part by part with the best few beginnings of each length kept (a beam), then improved by
 * changing one part, or two at once, while that helps. Held against trying every choice on small books.
 */
final class Search
{
    /** Beginnings are compared with those of about their length, in so many steps of the slot. */
    private const LENGTHS = 24;

    private const OF_EACH_LENGTH = 5;

    /** Of the beginnings kept to the end, so many are improved. */
    private const IMPROVED = 2;

    /** Of each part's choices so many are tried two parts at a time. */
    private const PAIRED = 8;

    /**
     * @param  array<string, list<Option>>  $options  phase → what may stand there
     * @param  list<list<string>>  $before  slugs of the proposals made so far: at most half of one's drills may be in a new one
     * @param  list<string>  $locked  slugs that must be in and do not count as alike
     * @param  list<string>  $wished  phases a wish asks something of, so that they are never left out
     */
    public function __construct(
        private readonly Objective $objective,
        private readonly array $options,
        private readonly array $before = [],
        private readonly array $locked = [],
        private readonly array $wished = [],
    ) {
    }

    /**
     * @param  non-empty-list<Phase>  $phases
     * @return Sequence|null null when nothing fits
     */
    public function best(array $phases): ?Sequence
    {
        $choices = array_map(fn (Phase $phase): array => $this->choices($phase), $phases);
        $beam = [$this->objective->nothing()];
        foreach ($phases as $place => $phase) {
            $beam = $this->grown($beam, $choices[$place], intdiv(count($phases), 2), ! in_array($phase->value, $this->wished, true));
            if ($beam === []) {
                return null;
            }
        }
        $best = null;
        foreach (array_slice(array_filter($beam, $this->allowed(...)), 0, self::IMPROVED) as $one) {
            $improved = $this->improved($one, $choices);
            $best = $best === null || $improved->value > $best->value ? $improved : $best;
        }

        return $best === null ? null : $this->pairwise($best, $choices);
    }

    /** @return list<Option|null> */
    private function choices(Phase $phase): array
    {
        $choices = $this->options[$phase->value] ?? [];

        // A part with nothing to choose from is left out, whether it may be or not.
        return $phase->isOptional() || $choices === [] ? [...$choices, null] : $choices;
    }

    /**
     * @param  list<Sequence>  $beam
     * @param  list<Option|null>  $choices
     * @param  int  $mostAlike  drills that may also be in one proposal before: more can never become half of a session
     * @param  bool  $mayBeLeftOut  where nothing fits any more
     * @return list<Sequence>
     */
    private function grown(array $beam, array $choices, int $mostAlike, bool $mayBeLeftOut): array
    {
        $grown = [];
        foreach ($beam as $one) {
            $slugs = $one->slugs;
            $before = count($grown);
            foreach ($choices as $choice) {
                if ($choice !== null && in_array($choice->drill->slug, $slugs, true)) {
                    continue;
                }
                $next = $this->objective->with($one, $choice);
                if ($this->objective->fits($next) && $this->alike($next->slugs) <= $mostAlike) {
                    $grown[] = $next;
                }
            }
            if ($mayBeLeftOut && count($grown) === $before) {
                $grown[] = $this->objective->with($one, null);
            }
        }
        usort($grown, static fn (Sequence $a, Sequence $b): int => $b->value <=> $a->value);

        return $this->kept($grown);
    }

    /**
     * The best few of each length: what is worth most early may leave no time for the rest, so short beginnings are kept beside long ones.
     *
     * @param  list<Sequence>  $grown  the best first
     * @return list<Sequence> the best first
     */
    private function kept(array $grown): array
    {
        $counts = [];
        $kept = [];
        foreach ($grown as $one) {
            $length = $this->objective->lengthOf($one, self::LENGTHS);
            $counts[$length] = ($counts[$length] ?? 0) + 1;
            if ($counts[$length] <= self::OF_EACH_LENGTH) {
                $kept[] = $one;
            }
        }

        return $kept;
    }

    /** @param  list<list<Option|null>>  $choices */
    private function improved(Sequence $sequence, array $choices): Sequence
    {
        do {
            $before = $sequence;
            foreach ($choices as $place => $some) {
                $start = $this->objective->of(array_slice($sequence->options, 0, $place));
                $rest = array_slice($sequence->options, $place + 1);
                $others = $this->most($start->options) + $this->most($rest);
                foreach ($some as $choice) {
                    if ($others + $this->objective->most($choice) <= $sequence->value) {
                        continue;
                    }
                    $next = $this->followed($this->objective->with($start, $choice), $rest);
                    if ($next->value > $sequence->value + 1e-9 && $this->isGood($next)) {
                        $sequence = $next;
                    }
                }
            }
        } while ($sequence !== $before);

        return $sequence;
    }

    /**
     * Two parts changed at once: what one change alone cannot reach, such as a drill that moves from one part to another.
     *
     * @param  list<list<Option|null>>  $choices
     */
    private function pairwise(Sequence $sequence, array $choices): Sequence
    {
        $few = array_map(static fn (array $some): array => array_slice($some, 0, self::PAIRED), $choices);
        foreach ($few as $first => $some) {
            $start = $this->objective->of(array_slice($sequence->options, 0, $first));
            for ($second = $first + 1; $second < count($few); $second++) {
                $between = array_slice($sequence->options, $first + 1, $second - $first - 1);
                $rest = array_slice($sequence->options, $second + 1);
                $others = $this->most($start->options) + $this->most($between) + $this->most($rest);
                foreach ($some as $one) {
                    $begun = null;
                    foreach ($few[$second] as $other) {
                        if ($others + $this->objective->most($one) + $this->objective->most($other) <= $sequence->value) {
                            continue;
                        }
                        $begun ??= $this->followed($this->objective->with($start, $one), $between);
                        $next = $this->followed($this->objective->with($begun, $other), $rest);
                        if ($next->value > $sequence->value + 1e-9 && $this->isGood($next)) {
                            return $this->pairwise($this->improved($next, $choices), $choices);
                        }
                    }
                }
            }
        }

        return $sequence;
    }

    /** @param  list<Option|null>  $rest */
    private function followed(Sequence $start, array $rest): Sequence
    {
        foreach ($rest as $option) {
            $start = $this->objective->with($start, $option);
        }

        return $start;
    }

    /** @param  list<Option|null>  $options */
    private function most(array $options): float
    {
        return array_sum(array_map($this->objective->most(...), $options));
    }

    private function isGood(Sequence $sequence): bool
    {
        $slugs = $sequence->slugs;

        return count($slugs) === count(array_unique($slugs)) && $this->allowed($sequence) && $this->objective->fits($sequence);
    }

    /** Whether it really differs from the proposals before. */
    private function allowed(Sequence $sequence): bool
    {
        $own = array_diff($sequence->slugs, $this->locked);

        return 2 * $this->alike($sequence->slugs) <= count($own) && ($own !== [] || $this->before === []);
    }

    /**
     * Drills shared with the proposal before that shares most.
     *
     * @param  list<string>  $slugs
     */
    private function alike(array $slugs): int
    {
        if ($this->before === []) {
            return 0;
        }
        $own = array_diff($slugs, $this->locked);

        return max([0, ...array_map(static fn (array $other): int => count(array_intersect($own, $other)), $this->before)]);
    }
}
