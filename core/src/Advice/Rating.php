<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

/** A session held against the rubric. */
final readonly class Rating
{
    /** So much a coach listens to. */
    private const SAID = 3;

    /** @param  list<Remark>  $remarks  of rules that are not met, the weightiest first */
    private function __construct(public array $remarks)
    {
    }

    /** @param  list<Remark>  $remarks */
    public static function of(array $remarks): self
    {
        usort($remarks, static fn (Remark $a, Remark $b): int => $b->rule->weight() <=> $a->rule->weight());

        return new self($remarks);
    }

    /** Share of all weight that is met, from 0 to 1. */
    public function score(): float
    {
        $missed = array_sum(array_map(static fn (Remark $one): int => $one->rule->weight(), $this->remarks));
        $all = array_sum(array_map(static fn (RubricRule $one): int => $one->weight(), RubricRule::cases()));

        return 1.0 - $missed / $all;
    }

    public function meets(RubricRule $rule): bool
    {
        foreach ($this->remarks as $remark) {
            if ($remark->rule === $rule) {
                return false;
            }
        }

        return true;
    }

    /** @return list<Remark> three at most */
    public function said(): array
    {
        return array_slice($this->remarks, 0, self::SAID);
    }
}
