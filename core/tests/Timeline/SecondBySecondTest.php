<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Timeline;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\PlayerTime;
use PHPUnit\Framework\TestCase;

/**
 * Who does what, second by second: people at places who take turns by the clock, each with one role in each second, written apart
 * from the model. What they do is counted, and is what the model says of them.
 */
final class SecondBySecondTest extends TestCase
{
    private const SWAP = 3;

    public function test_turns_by_the_clock_are_as_they_are_played(): void
    {
        mt_srand(11);
        for ($i = 0; $i < 80; $i++) {
            $size = mt_rand(1, 5);
            $stations = mt_rand(1, intdiv(20, $size));
            [$isServed, $rest, $sets] = [mt_rand(0, 1) === 1, mt_rand(0, 60), mt_rand(1, 3)];
            [$size, $players] = $isServed ? [2, 2 * $stations] : [$size, $size * $stations];
            $dose = [
                'kind' => 'timed',
                'workSeconds' => mt_rand(5, 60),
                'sets' => $sets,
                'restSeconds' => $rest,
                'sides' => mt_rand(0, 1) === 1 ? 'each' : 'right',
            ];
            $worked = self::evaluated($players, $stations, $isServed, $dose);
            $seconds = self::roles($size, $isServed, $dose);
            $words = json_encode([$players, $stations, $isServed, $dose], JSON_THROW_ON_ERROR);
            self::assertEqualsWithDelta(count($seconds), $worked->partSeconds['work'], 1e-6, $words);
            self::assertEqualsWithDelta(self::counts($seconds, $stations), self::figures($worked), 1e-6, $words);
        }
    }

    /** @param  array<string, mixed>  $dose */
    private static function evaluated(int $players, int $stations, bool $isServed, array $dose): BlockEvaluation
    {
        $drill = DrillFactory::fromFields([
            'organisation' => $isServed
                ? [
                    'workers' => 1,
                    'playerServers' => 1,
                    'service' => 'passed',
                    'manner' => 'firm',
                    'pattern' => 'swap',
                    'card' => ['give' => 'Along the ground.', 'call' => '', 'count' => '', 'stop' => ''],
                ]
                : ['workers' => 1, 'playerServers' => 0, 'service' => 'none', 'pattern' => 'own'],
        ] + Drills::fields());
        $people = array_map(static fn (int $i): PlanPlayer => new PlanPlayer($i, StrongFoot::Right), range(1, $players));

        return PlanEvaluator::evaluate(
            [Block::ofDrill('a', $drill, $drill->doseFrom($dose), Tempo::Steady, $stations)],
            PlanContext::of($people, [], new ClockRules),
        )->blocks[0];
    }

    /** @return list<array{float, float, float, float}> ball, serving, waiting, longest wait; of everybody, growing */
    private static function figures(BlockEvaluation $worked): array
    {
        $figures = array_map(
            static fn (PlayerTime $one): array => [$one->ballSeconds, $one->servingSeconds, $one->waitingSeconds, $one->longestWaitSeconds],
            array_values($worked->atWork),
        );
        sort($figures);

        return $figures;
    }

    /**
     * @param  list<list<string>>  $seconds  second → person → role
     * @return list<array{float, float, float, float}> of everybody at so many places, growing
     */
    private static function counts(array $seconds, int $places): array
    {
        $people = [];
        foreach (array_keys($seconds[0] ?? []) as $person) {
            array_push($people, ...array_fill(0, $places, self::counted(array_column($seconds, $person))));
        }
        sort($people);

        return $people;
    }

    /**
     * One place, second by second.
     *
     * @param  array<string, mixed>  $dose
     * @return list<list<string>> second → person → role
     */
    private static function roles(int $size, bool $isServed, array $dose): array
    {
        [$go, $rest] = [$dose['workSeconds'], $dose['restSeconds']];
        $turns = [];
        for ($set = 0; $set < $dose['sets'] * ($dose['sides'] === 'each' ? 2 : 1); $set++) {
            array_push($turns, ...range(0, $size - 1));
        }
        $left = array_count_values($turns);
        [$seconds, $ended, $rested, $before] = [[], array_fill(0, $size, null), array_fill(0, $size, 0), null];
        foreach ($turns as $worker) {
            // The place is free after the swap, and its player has rested.
            $gap = $before === null ? 0 : ($size > 1 ? self::SWAP : 0);
            $ready = $ended[$worker] === null ? 0 : $ended[$worker] + $rest;
            $free = count($seconds);
            for ($at = $free; $at < max($free + $gap, $ready); $at++) {
                $isSwap = $at < $free + $gap;
                $seconds[] = array_map(static fn (int $one): string => $isSwap || $ended[$one] === null || $left[$one] === 0
                    ? 'waits'
                    : 'rests', range(0, $size - 1));
            }
            $server = $isServed && $size > 1 ? ($worker + $size - 1) % $size : null;
            for ($second = 0; $second < $go; $second++) {
                $now = [];
                for ($one = 0; $one < $size; $one++) {
                    $mayRest = $ended[$one] !== null && $left[$one] > 0 && $rested[$one] < max($rest, $go);
                    $now[] = match (true) {
                        $one === $worker => 'works',
                        $one === $server => 'serves',
                        $mayRest => 'rests',
                        default => 'waits',
                    };
                    $rested[$one] += $one !== $worker && $mayRest ? 1 : 0;
                }
                $seconds[] = $now;
            }
            [$ended[$worker], $rested[$worker], $before] = [count($seconds), 0, $worker];
            $left[$worker]--;
        }

        return $seconds;
    }

    /**
     * @param  list<string>  $roles  second by second
     * @return array{float, float, float, float}
     */
    private static function counted(array $roles): array
    {
        $counts = array_count_values($roles) + ['works' => 0, 'serves' => 0, 'waits' => 0];
        [$longest, $run] = [0, 0];
        foreach ($roles as $role) {
            $run = $role === 'waits' ? $run + 1 : 0;
            $longest = max($longest, $run);
        }

        return array_map(floatval(...), [$counts['works'], $counts['serves'], $counts['waits'], $longest]);
    }
}
