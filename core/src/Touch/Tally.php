<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

/**
 * How often each kind of contact happens, and how often the player feints and turns.
 *
 * Counts may be fractions once a dose has been estimated. Sides are real feet, unknown, or none
 * (chest and head); a script must be resolved for a leading foot before its sides mean anything.
 *
 * Example: `Tally::of(Script::fromText('(a.in b.in)x3'))->contacts()` is `6.0`.
 */
final readonly class Tally
{
    /**
     * @param  array<string, float>  $byKind  key "foot surface g|a purpose", as `R in g first`
     */
    private function __construct(
        public array $byKind,
        public float $feints,
        public float $turns,
        public float $degreesTurned,
    ) {
    }

    public static function zero(): self
    {
        return new self([], 0.0, 0.0, 0.0);
    }

    /**
     * Contacts alone, as they were kept.
     *
     * @param  array<string, float>  $byKind  key "foot surface g|a purpose"
     */
    public static function ofContacts(array $byKind): self
    {
        return new self($byKind, 0.0, 0.0, 0.0);
    }

    /**
     * One repetition.
     *
     * A range counts at its lower end and an open group counts `$openTimes` times (1 unless path or clock says more).
     */
    public static function of(Script $script, int $openTimes = 1): self
    {
        $byKind = [];
        [$feints, $turns, $degrees] = [0.0, 0.0, 0.0];
        foreach ($script->items as $item) {
            if ($item instanceof Contact) {
                $kind = self::kind($item);
                $byKind[$kind] = ($byKind[$kind] ?? 0.0) + 1.0;
            } elseif ($item instanceof Group) {
                $group = self::of(Script::of($item->items), $openTimes);
                $times = $item->isOpen() ? $openTimes : $item->least;
                foreach ($group->byKind as $kind => $count) {
                    $byKind[$kind] = ($byKind[$kind] ?? 0.0) + $count * $times;
                }
                $feints += $group->feints * $times;
                $turns += $group->turns * $times;
                $degrees += $group->degreesTurned * $times;
            } elseif ($item instanceof Feint) {
                $feints++;
            } elseif ($item instanceof Turn) {
                $turns++;
                $degrees += $item->degrees;
            }
        }

        return new self($byKind, $feints, $turns, $degrees);
    }

    public function plus(self $other): self
    {
        return self::sum([$this, $other]);
    }

    /** @param  array<array-key, self>  $tallies */
    public static function sum(array $tallies): self
    {
        $byKind = [];
        [$feints, $turns, $degrees] = [0.0, 0.0, 0.0];
        foreach ($tallies as $one) {
            foreach ($one->byKind as $kind => $count) {
                $byKind[$kind] = ($byKind[$kind] ?? 0.0) + $count;
            }
            $feints += $one->feints;
            $turns += $one->turns;
            $degrees += $one->degreesTurned;
        }

        return new self($byKind, $feints, $turns, $degrees);
    }

    public function times(float $factor): self
    {
        $byKind = [];
        foreach ($this->byKind as $kind => $count) {
            $byKind[$kind] = $count * $factor;
        }

        return new self($byKind, $this->feints * $factor, $this->turns * $factor, $this->degreesTurned * $factor);
    }

    /** So much less of each kind of contact, never under none; feints and turns stay. */
    public function less(self $other): self
    {
        $byKind = [];
        foreach ($this->byKind as $kind => $count) {
            $left = $count - ($other->byKind[$kind] ?? 0.0);
            // A hair of rounding error is no touch.
            if ($left > 1e-9) {
                $byKind[$kind] = $left;
            }
        }

        return new self($byKind, $this->feints, $this->turns, $this->degreesTurned);
    }

    public function contacts(): float
    {
        return array_sum($this->byKind);
    }

    public function contactsOf(FootMark $foot): float
    {
        // Asked for more than anything else, so without a call for each kind.
        $start = "{$foot->value} ";
        $sum = 0.0;
        foreach ($this->byKind as $kind => $count) {
            $sum += str_starts_with($kind, $start) ? $count : 0.0;
        }

        return $sum;
    }

    public function contactsWith(Surface $with): float
    {
        return $this->matching(static fn (string $kind): bool => str_contains($kind, " {$with->value} "));
    }

    public function contactsOfFor(FootMark $foot, Purpose $purpose): float
    {
        return $this->matching(
            static fn (string $kind): bool => str_starts_with($kind, "{$foot->value} ")
            && str_ends_with($kind, " {$purpose->value}")
        );
    }

    public function contactsFor(Purpose $purpose): float
    {
        return $this->matching(static fn (string $kind): bool => str_ends_with($kind, " {$purpose->value}"));
    }

    /**
     * Contacts by side and surface, in the order of the enums.
     *
     * @return array<string, array<string, float>> side → surface → contacts
     */
    public function bySideAndSurface(): array
    {
        $found = [];
        foreach ($this->byKind as $kind => $count) {
            [$side, $surface] = explode(' ', $kind);
            $found[$side][$surface] = ($found[$side][$surface] ?? 0.0) + $count;
        }
        $table = [];
        foreach (FootMark::cases() as $foot) {
            foreach (isset($found[$foot->value]) ? Surface::cases() : [] as $surface) {
                if (($found[$foot->value][$surface->value] ?? 0.0) > 0.0) {
                    $table[$foot->value][$surface->value] = $found[$foot->value][$surface->value];
                }
            }
        }

        return $table;
    }

    /** @param  callable(string): bool  $matches */
    private function matching(callable $matches): float
    {
        $sum = 0.0;
        foreach ($this->byKind as $kind => $count) {
            $sum += $matches($kind) ? $count : 0.0;
        }

        return $sum;
    }

    private static function kind(Contact $contact): string
    {
        return implode(
            ' ',
            [$contact->foot->value, $contact->surface->value, $contact->inAir ? 'a' : 'g', $contact->purpose->value ?? 'none'],
        );
    }
}
