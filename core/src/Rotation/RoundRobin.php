<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Rotation;

use FleetSparrow\Core\Exception\InvalidPlan;

/**
 * Everybody with everybody once, with everyone there: the circle method, numbered as in the Berger tables of the FIDE Handbook.
 *
 * In round r of n players, i and j below n meet when i + j ≡ r + 1 (mod n − 1), and n meets the i with 2i ≡ r + 1. An odd
 * number is given one place more; who meets the empty place has the bye.
 *
 * Example: `RoundRobin::round(6, 2)` is `[[6, 4], [5, 3], [1, 2]]`.
 */
final class RoundRobin
{
    /**
     * Every round, the first one first.
     *
     * @return list<list<array{int, int}>>
     *
     * @throws InvalidPlan If there are fewer than two players.
     */
    public static function table(int $players): array
    {
        return array_map(static fn (int $round): array => self::round($players, $round), range(1, max(1, self::rounds($players))));
    }

    /** Rounds until everybody has met everybody. */
    public static function rounds(int $players): int
    {
        return $players % 2 === 0 ? $players - 1 : $players;
    }

    /**
     * @return list<array{int, int}> numbers from 1; players + 1 is the empty place of an odd number
     *
     * @throws InvalidPlan If there are fewer than two players, or the round is outside 1 to their number of rounds.
     */
    public static function round(int $players, int $round): array
    {
        if ($players < 2 || $round < 1 || $round > self::rounds($players)) {
            throw InvalidPlan::noSuchRound($players, max(0, self::rounds($players)));
        }
        $last = $players + $players % 2;
        $circle = $last - 1;
        // Whoever sits where 2i ≡ r + 1 meets the last; as n − 1 is odd, 2 has the inverse n ÷ 2.
        $fixed = self::seat(($round + 1) * intdiv($last, 2), $circle);
        $pairs = [$round % 2 === 0 ? [$last, $fixed] : [$fixed, $last]];
        for ($k = 1; $k < $last / 2; $k++) {
            $pairs[] = [self::seat($fixed + $k, $circle), self::seat($fixed - $k, $circle)];
        }

        return $pairs;
    }

    /** 1 to circle, for any whole number. */
    private static function seat(int $number, int $circle): int
    {
        return (($number - 1) % $circle + $circle) % $circle + 1;
    }
}
