<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Rotation;

/**
 * Who has been with whom this season. A meeting counts 2^(−age ÷ 6) with its age in sessions, so that six sessions ago weighs half
 * of today; threes are remembered too, so that the odd one out is not always the same.
 */
final class Meetings
{
    private const HALF_LIFE_SESSIONS = 6.0;

    /** @var array<int, array<int, float>> */
    private array $pairs = [];

    /** @var array<int, float> */
    private array $threes = [];

    /**
     * @var array{list<int>, array<int, int>, array<int, array<int, float>>}|null players last asked for, their places, and their
     *     weights, kept up with what is added
     */
    private ?array $asked = null;

    private function __construct()
    {
    }

    /** @param  array<int, list<list<int>>>  $bySession  sessions ago (1 for the last one) → groups that were together */
    public static function of(array $bySession = []): self
    {
        $meetings = new self;
        foreach ($bySession as $ago => $groups) {
            foreach ($groups as $group) {
                $meetings->add($group, $ago);
            }
        }

        return $meetings;
    }

    /** Whether nobody has met anybody yet. */
    public function isEmpty(): bool
    {
        return $this->pairs === [];
    }

    /** @param  list<int>  $group */
    public function add(array $group, int $sessionsAgo): void
    {
        $weight = 2.0 ** (-$sessionsAgo / self::HALF_LIFE_SESSIONS);
        $size = count($group);
        foreach ($group as $i => $one) {
            if ($size === 3) {
                $this->threes[$one] = $this->threeWeight($one) + $weight;
            }
            for ($j = $i + 1; $j < $size; $j++) {
                $other = $group[$j];
                $this->pairs[$one][$other] = $this->pairs[$other][$one] = ($this->pairs[$one][$other] ?? 0.0) + $weight;
                $this->keepUp($one, $other);
            }
        }
    }

    /** Σ 2^(−age ÷ 6) over the meetings of two; 0 when they have not met. */
    public function weight(int $one, int $other): float
    {
        return $this->pairs[$one][$other] ?? 0.0;
    }

    /**
     * The weights of everybody with everybody; infinite with oneself.
     *
     * @param  list<int>  $players
     * @return array<int, array<int, float>> by their places in the list
     */
    public function weights(array $players): array
    {
        if ($this->asked !== null && $this->asked[0] === $players) {
            return $this->asked[2];
        }
        $weights = [];
        $nobody = array_fill_keys($players, 0.0);
        foreach ($players as $one) {
            $weights[] = array_values(array_replace($nobody, array_intersect_key($this->pairs[$one] ?? [], $nobody), [$one => INF]));
        }
        $this->asked = [$players, array_flip($players), $weights];

        return $weights;
    }

    private function keepUp(int $one, int $other): void
    {
        [$i, $j] = [$this->asked[1][$one] ?? null, $this->asked[1][$other] ?? null];
        if ($this->asked !== null && $i !== null && $j !== null) {
            $this->asked[2][$i][$j] = $this->asked[2][$j][$i] = $this->pairs[$one][$other];
        }
    }

    /** Σ 2^(−age ÷ 6) over the threes somebody was in. */
    public function threeWeight(int $one): float
    {
        return $this->threes[$one] ?? 0.0;
    }

    /** @param  list<int>  $group */
    public function cost(array $group): float
    {
        $cost = 0.0;
        foreach ($group as $i => $one) {
            foreach (array_slice($group, $i + 1) as $other) {
                $cost += $this->weight($one, $other);
            }
        }

        return $cost;
    }
}
