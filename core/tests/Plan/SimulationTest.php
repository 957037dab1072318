<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Plan;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\QuotaDose;
use FleetSparrow\Core\Dose\RaceDose;
use FleetSparrow\Core\Dose\RepsDose;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\TestCase;

/**
 * Whether sessions end when they are said to: random sessions played out try by try, written apart from the model and sharing
 * nothing with it but the rules' sentences. A turn ends with its slowest worker, a missed ball is fetched, judged times are
 * gamma with a quarter of spread, and one log-normal overrun stretches all of them.
 */
final class SimulationTest extends TestCase
{
    private const SESSIONS = 24;

    private const PLAYED = 2500;

    /** @var array<string, list<int>> numbers of misses played out try by try, drawn from again and again */
    private array $pools = [];

    public function test_eight_in_ten_sessions_end_by_the_eight_in_ten_time(): void
    {
        mt_srand(20);
        $shares = [];
        for ($session = 0; $session < self::SESSIONS; $session++) {
            [$blocks, $players, $plays] = self::session();
            $evaluation = PlanEvaluator::evaluate(
                $blocks,
                PlanContext::of(
                    array_map(fn (int $i): PlanPlayer => new PlanPlayer($i, StrongFoot::Right), range(1, $players)),
                    [],
                    new ClockRules,
                ),
            );
            $by = $evaluation->finish->secondsReachedBy(0.8);
            $inTime = 0;
            for ($time = 0; $time < self::PLAYED; $time++) {
                $judged = array_sum(array_map($this->gamma(...), array_merge(...array_column($plays, 'judged'))));
                $work = 0.0;
                foreach ($plays as $play) {
                    $work += $this->played($play);
                }
                $inTime += $judged * self::logNormal(0.1) + $work <= $by ? 1 : 0;
            }
            $shares[] = $inTime / self::PLAYED;
            self::assertEqualsWithDelta(0.8, $inTime / self::PLAYED, 0.025, "Session {$session}.");
        }
        $mean = array_sum($shares) / count($shares);
        self::assertGreaterThanOrEqual(0.775, $mean);
        self::assertLessThanOrEqual(0.825, $mean);
    }

    /**
     * Four to six random blocks and water, and what is played for each: kind, workers of each turn, numbers, judged seconds.
     *
     * @return array{list<Block>, int, list<array<string, mixed>>}
     */
    private static function session(): array
    {
        $players = mt_rand(2, 14);
        $blocks = [];
        $plays = [];
        $stood = 0;
        foreach (range(1, mt_rand(4, 6)) as $i) {
            $kind = ['quota', 'race', 'reps', 'quota'][mt_rand(0, 3)];
            $rep = mt_rand(8, 40) / 10;
            $fetch = mt_rand(3, 9);
            $chance = [0.5, 0.6, 0.7, 0.8][mt_rand(0, 3)];
            $drill = DrillFactory::fromFields(
                ['slug' => "drill-{$i}", 'secondsPerRep' => $rep, 'goodChance' => $chance, 'fetchSeconds' => $fetch] + Drills::fields(),
            );
            $number = mt_rand(4, 12);
            $sets = mt_rand(1, 3);
            $dose = match ($kind) {
                'quota' => QuotaDose::of($number, 20.0, DoseSides::Each),
                'race' => RaceDose::of($number, $sets, 20.0, DoseSides::Right),
                default => RepsDose::of($number, $sets, 20.0, DoseSides::Right),
            };
            $stations = mt_rand(max(1, intdiv($players, 3)), $players);
            $blocks[] = Block::ofDrill("b{$i}", $drill, $dose, Tempo::Steady, $stations);
            // Everybody has a station of their own, shift after shift; the markers of the block before stay, of stations still in use.
            $turns = [];
            for ($left = $players; $left > 0; $left -= $stations) {
                $turns[] = min($stations, $left);
            }
            $inUse = min($stations, $players);
            $goes = $kind === 'quota' ? 2 : $sets;
            $writing = array_sum(
                array_map(fn (int $workers): float => 2.0 * $workers + ($goes - 1) * max(0.0, 2.0 * $workers - 20.0), $turns),
            );
            $plays[] = [
                'kind' => $kind, 'turns' => $turns, 'number' => $number, 'goes' => $goes, 'rep' => $rep, 'fetch' => $fetch,
                'chance' => $chance,
                'judged' => [abs($inUse - $stood) * 4 * 5.0, 60.0, (count($turns) - 1) * 15.0, $writing],
            ];
            $stood = $inUse;
        }
        $blocks[] = Block::ofMinutes('w', BlockKind::Water, 3.0);
        $plays[] = ['kind' => 'water', 'turns' => [], 'judged' => [180.0]];

        return [$blocks, $players, $plays];
    }

    /** @param  array<string, mixed>  $play */
    private function played(array $play): float
    {
        $seconds = 0.0;
        foreach ($play['turns'] as $workers) {
            $seconds += ($play['goes'] - 1) * 20.0;
            if ($play['kind'] === 'reps') {
                $seconds += $this->gamma($play['goes'] * $play['number'] * $play['rep']);

                continue;
            }
            for ($go = 0; $go < $play['goes']; $go++) {
                $slowest = 0.0;
                for ($worker = 0; $worker < $workers; $worker++) {
                    $slowest = max(
                        $slowest,
                        $play['kind'] === 'race'
                            ? $play['number'] * $play['rep'] * self::logNormal(0.25)
                            : $play['number'] * $play['rep'] + $this->misses(
                                $play['number'],
                                $play['chance'],
                            ) * ($play['rep'] + $play['fetch']),
                    );
                }
                $seconds += $slowest;
            }
        }

        return $seconds;
    }

    /** Misses before so many good ones, for a player whose own chance nobody knows: about the drill's, weighed as ten tries. */
    private function misses(int $good, float $chance): int
    {
        $this->pools["{$good} {$chance}"] ??= [];
        $pool = &$this->pools["{$good} {$chance}"];
        while (count($pool) < 25000) {
            // Beta(a, b) with whole a and b: the a-th smallest of a + b − 1 uniforms.
            $draws = array_map(fn (int $i): float => self::uniform(), range(1, 9));
            sort($draws);
            $own = $draws[(int) round(10 * $chance) - 1];
            [$made, $missed] = [0, 0];
            while ($made < $good) {
                self::uniform() < $own ? $made++ : $missed++;
            }
            $pool[] = $missed;
        }

        return $pool[mt_rand(0, 24999)];
    }

    /** A quarter of spread: the mean of 16 exponentials. */
    private function gamma(float $mean): float
    {
        $product = 1.0;
        for ($i = 0; $i < ($mean > 0.0 ? 16 : 0); $i++) {
            $product *= self::uniform();
        }

        return -$mean * log($product) / 16;
    }

    private static function logNormal(float $variation): float
    {
        $sigma = sqrt(log(1 + $variation ** 2));

        return exp($sigma * sqrt(-2 * log(self::uniform())) * cos(2 * M_PI * self::uniform()) - $sigma ** 2 / 2);
    }

    private static function uniform(): float
    {
        return (mt_rand() + 0.5) / (mt_getrandmax() + 1.0);
    }
}
