<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Record\DoseMeasures;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\ScoringRule;

/**
 * Which number a block asks for: none, one that was chosen, or what the drill says. Where the dose cannot give what the drill says,
 * it is the usual number of that dose: reps against the clock have a time, and no count.
 */
final readonly class Counted
{
    private const NOTHING = 'nothing';

    private function __construct(private ?MarkKind $chosen, public bool $isNothing)
    {
    }

    public static function asTheDrillSays(): self
    {
        return new self(null, false);
    }

    public static function nothing(): self
    {
        return new self(null, true);
    }

    /**
     * @param  string|null  $name  "nothing" or the name of a measure; null for what the drill says
     *
     * @throws InvalidPlan If there is no such measure.
     */
    public static function named(?string $name): self
    {
        return match ($name) {
            null => self::asTheDrillSays(),
            self::NOTHING => self::nothing(),
            default => new self(
                MarkKind::tryFrom($name) ?? throw InvalidPlan::at('counted', 'There is no such number to write down.'),
                false,
            ),
        };
    }

    /** @return list<string> what a plan may write */
    public static function names(): array
    {
        return [self::NOTHING, ...array_map(static fn (MarkKind $kind): string => $kind->value, MarkKind::cases())];
    }

    /** As a plan writes it; null for what the drill says. */
    public function name(): ?string
    {
        return $this->isNothing ? self::NOTHING : $this->chosen?->value;
    }

    /** @throws InvalidPlan If the dose cannot give what was chosen. */
    public function rule(Drill $drill, Dose $dose): ?ScoringRule
    {
        if ($dose instanceof CircuitDose) {
            // Each item of it says itself what is counted.
            return $this->isNothing ? null : $drill->rule;
        }
        if ($this->chosen !== null && ! DoseMeasures::fits($this->chosen, $dose)) {
            throw InvalidPlan::at('counted', "This dose gives no {$this->chosen->unit()}: choose another number, or none.");
        }
        $kind = match (true) {
            $this->isNothing, $this->chosen === null && $drill->rule === null => null,
            $this->chosen !== null => $this->chosen,
            DoseMeasures::fits($drill->rule->kind, $dose) => $drill->rule->kind,
            default => DoseMeasures::of($dose)[0] ?? null,
        };

        return $kind === null ? null : DoseMeasures::rule($kind, $drill->rule);
    }
}
