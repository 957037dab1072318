<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Dose;

use FleetSparrow\Core\Dose\CollectiveDose;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\QuotaDose;
use FleetSparrow\Core\Dose\SetsAndRest;
use FleetSparrow\Core\Dose\StreakDose;
use FleetSparrow\Core\Dose\TriesDose;
use FleetSparrow\Core\Shared\Memo;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What all goes of a player take, against plays written apart: try by try, a chance and a pace of the player's own. */
final class OwnTimeTest extends TestCase
{
    private const PLAYS = 20000;

    private static Randomizer $chance;

    public static function setUpBeforeClass(): void
    {
        self::$chance = new Randomizer(new Mt19937(20261127));
    }

    public function test_ten_good_ones_of_one_and_of_seven(): void
    {
        // Beta(6, 4), 4 s a try, 6 s to fetch: 10 · 4 + 8 · (4 + 6) = 120 s; the slowest of seven 236 s.
        $one = QuotaDose::of(10, 0.0, DoseSides::Right)->played(Pace::of(4.0, 0.6, 6.0), null, new Memo)->inOrder();
        self::assertEqualsWithDelta(120.0, $one->mean(), 1.0);
        self::assertEqualsWithDelta(236.0, $one->largestOfSame(7)->mean(), 2.5);
    }

    /** @return iterable<string, array{Dose, float|null}> */
    public static function doses(): iterable
    {
        $two = SetsAndRest::of(2, 10.0, DoseSides::Each);
        yield 'a quota' => [QuotaDose::of(8, 10.0, DoseSides::Each), null];
        yield 'a quota with a limit' => [QuotaDose::of(8, 10.0, DoseSides::Each), 90.0];
        yield 'a run' => [StreakDose::of(12, $two), null];
        yield 'balls until the first hit' => [TriesDose::of(5, true, $two), null];
        yield 'a total, a drop goes on' => [CollectiveDose::of(40, false, $two), null];
        yield 'a total of good ones with a limit' => [CollectiveDose::of(10, true, $two), 100.0];
    }

    #[DataProvider('doses')]
    public function test_against_plays(Dose $dose, ?float $limit): void
    {
        [$times, $reps] = [[], 0.0];
        for ($i = 0; $i < self::PLAYS; $i++) {
            [$times[], $done] = self::play($dose, $limit);
            $reps += $done / self::PLAYS;
        }
        sort($times);
        $played = $dose->played(Pace::of(3.0, 0.6, 4.0), $limit, new Memo);
        $own = $played->inOrder();
        self::assertEqualsWithDelta(1.0, $played->reps / $reps, 0.02);
        self::assertEqualsWithDelta(1.0, $own->mean() / (array_sum($times) / self::PLAYS), 0.015);
        foreach ([0.2, 0.5, 0.8, 0.95] as $share) {
            self::assertEqualsWithDelta(1.0, $own->at($share) / $times[(int) ($share * self::PLAYS)], 0.03, "{$share}");
        }
    }

    /**
     * All goes of one player; Beta(6, 4) is the 6th of 9 uniforms.
     *
     * @return array{float, float} seconds, and reps within the limit
     */
    private static function play(Dose $dose, ?float $limit): array
    {
        $draws = array_map(fn (int $i): float => self::even(), range(1, 9));
        sort($draws);
        $normal = sqrt(-2.0 * log(1.0 - self::even())) * cos(2.0 * M_PI * self::even());
        $seconds = 3.0 * exp(sqrt(log(1.0625)) * $normal - log(1.0625) / 2.0);
        $fields = $dose->fields();
        [$time, $done] = [0.0, 0.0];
        for ($go = 0; $go < $dose->goes(); $go++) {
            [$taken, $reps] = self::go($fields, $draws[5], $seconds);
            $time += min($limit ?? INF, $taken);
            $done += $reps * min(1.0, ($limit ?? INF) / $taken);
        }

        return [$time, $done];
    }

    private static function even(): float
    {
        return self::$chance->getInt(0, 999_999_999) / 1e9;
    }

    /**
     * @param  array<string, int|float|string>  $fields
     * @return array{float, int} seconds and reps
     */
    private static function go(array $fields, float $chance, float $seconds): array
    {
        $isGood = fn (): bool => self::even() < $chance;
        [$time, $good, $tries] = [0.0, 0, 0];
        while (true) {
            switch ($fields['kind']) {
                case 'quota':
                case 'collective':
                    $isHit = $isGood();
                    $tries++;
                    $time += $seconds + ($isHit ? 0.0 : 4.0);
                    $good += $isHit || ($fields['onlyGood'] ?? 1) === 0 ? 1 : 0;
                    if ($good === ($fields['good'] ?? $fields['total'])) {
                        return [$time, $tries];
                    }
                    break;
                case 'streak':
                    if ($good === $fields['goal'] || ! $isGood()) {
                        return [$good * $seconds + 4.0, $good];
                    }
                    $good++;
                    break;
                default:
                    $tries++;
                    if ($isGood() || $tries === $fields['balls']) {
                        return [$tries * $seconds + 4.0, $tries];
                    }
            }
        }
    }
}
