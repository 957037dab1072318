<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Plan;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
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
 * nothing with it but the rules' sentences. Everybody has a chance and a pace of their own, kept over all goes; at a place they go
 * one after the other; a block ends with its last; a coach stops a go that does not end; one overrun stretches all that no clock ends.
 */
final class SimulationTest extends TestCase
{
    public function test_sessions_end_when_they_are_said_to(): void
    {
        [$eight, $five] = self::shares(16, 1200, 20);
        // Sampling alone strays by 0.012 a session.
        self::assertGreaterThanOrEqual(14, count(array_filter($eight, fn (float $share): bool => abs($share - 0.8) <= 0.035)));
        self::assertEqualsWithDelta(0.8, array_sum($eight) / count($eight), 0.012);
        self::assertEqualsWithDelta(0.5, array_sum($five) / count($five), 0.02);
    }

    /** @return array{list<float>, list<float>} of each session the share that ended by the 8-in-10 and by the 5-in-10 time */
    public static function shares(int $sessions, int $plays, int $seed): array
    {
        mt_srand($seed);
        [$eight, $five] = [[], []];
        for ($session = 0; $session < $sessions; $session++) {
            [$blocks, $players] = self::session();
            $evaluation = self::evaluate($blocks, $players);
            [$inEight, $inFive] = [0, 0];
            for ($play = 0; $play < $plays; $play++) {
                $end = self::play($blocks, $players, $evaluation);
                $inEight += $end <= $evaluation->finish->at(0.8) ? 1 : 0;
                $inFive += $end <= $evaluation->finish->at(0.5) ? 1 : 0;
            }
            $eight[] = $inEight / $plays;
            $five[] = $inFive / $plays;
        }

        return [$eight, $five];
    }

    /** @return array{list<array<string, mixed>>, int} blocks as they are played, and players */
    private static function session(): array
    {
        $players = mt_rand(1, 14);
        $blocks = [];
        foreach (range(1, mt_rand(3, 6)) as $i) {
            $number = mt_rand(4, 12);
            $common = ['sets' => mt_rand(1, 3), 'restSeconds' => 20, 'sides' => mt_rand(0, 1) === 1 ? 'each' : 'right'];
            $blocks[] = [
                'rep' => mt_rand(8, 40) / 10,
                'fetch' => mt_rand(3, 9),
                'chance' => mt_rand(3, 8) / 10,
                'stations' => mt_rand(max(1, intdiv($players, 3)), $players),
                'dose' => [
                    ['kind' => 'quota', 'good' => $number, 'restSeconds' => 20, 'sides' => $common['sides']],
                    ['kind' => 'race', 'reps' => $number] + $common,
                    ['kind' => 'reps', 'reps' => $number] + $common,
                    ['kind' => 'timed', 'workSeconds' => 5 * $number] + $common,
                    ['kind' => 'streak', 'goal' => 3 * $number] + $common,
                    ['kind' => 'tries', 'balls' => $number, 'untilHit' => 1] + $common,
                    ['kind' => 'collective', 'total' => 2 * $number, 'onlyGood' => mt_rand(0, 1)] + $common,
                ][mt_rand(0, 6)],
                'id' => "b{$i}",
            ];
        }
        if (mt_rand(0, 1) === 1) {
            $blocks[] = self::circuit($players);
        }

        return [$blocks, $players];
    }

    /** @return array<string, mixed> three to five items of good ones, for everybody at once, nobody stopped */
    private static function circuit(int $players): array
    {
        $items = array_map(fn (int $i): array => [
            'name' => "Item {$i}",
            'script' => 'a.in b.in',
            'secondsPerRep' => mt_rand(8, 40) / 10,
            'goodChance' => mt_rand(3, 8) / 10,
            'fetchSeconds' => mt_rand(3, 9),
            'dose' => ['kind' => 'quota', 'good' => mt_rand(4, 12), 'sides' => 'right', 'limitSeconds' => 0],
            'restSeconds' => 10,
        ], range(1, mt_rand(3, 5)));

        return [
            'id' => 'c',
            'stations' => $players,
            'items' => $items,
            'dose' => ['kind' => 'circuit', 'rounds' => 1, 'restSeconds' => 0, 'goesBy' => ['last', 'own'][mt_rand(0, 1)]],
        ];
    }

    /** @param  list<array<string, mixed>>  $blocks */
    private static function evaluate(array $blocks, int $players): PlanEvaluation
    {
        $planned = array_map(function (array $one): Block {
            $drill = DrillFactory::fromFields((isset($one['items']) ? [
                'slug' => 'circuit',
                'script' => null,
                'secondsPerRep' => null,
                'circuit' => $one['items'],
                'dose' => $one['dose'],
            ] : [
                'slug' => "drill-{$one['id']}",
                'secondsPerRep' => $one['rep'],
                'goodChance' => $one['chance'],
                'fetchSeconds' => $one['fetch'],
            ]) + Drills::fields());

            return Block::ofDrill($one['id'], $drill, $drill->doseFrom($one['dose']), Tempo::Steady, $one['stations']);
        }, $blocks);
        $people = array_map(fn (int $i): PlanPlayer => new PlanPlayer($i, StrongFoot::Right), range(1, $players));

        return PlanEvaluator::evaluate(
            [...$planned, Block::ofMinutes('w', BlockKind::Water, 3.0)],
            PlanContext::of($people, [], new ClockRules),
        );
    }

    /** @param  list<array<string, mixed>>  $blocks */
    private static function play(array $blocks, int $players, PlanEvaluation $evaluation): float
    {
        [$open, $clocked] = [self::logNormal(180.0, 0.25), 0.0];
        foreach ($blocks as $i => $block) {
            foreach (['setUp', 'explain', 'write'] as $part) {
                $open += self::logNormal($evaluation->blocks[$i]->partSeconds[$part], 0.25);
            }
            $work = isset($block['items'])
                ? self::round($block, $players)
                : self::work($block, $players, $evaluation->blocks[$i]->how);
            $open += $block['dose']['kind'] === 'timed' ? 0.0 : $work;
            $clocked += $block['dose']['kind'] === 'timed' ? $work : 0.0;
        }

        return $clocked + $open * self::logNormal(1.0, 0.1);
    }

    /**
     * @param  array<string, mixed>  $block
     * @param  list<string>  $how
     */
    private static function work(array $block, int $players, array $how): float
    {
        $dose = $block['dose'];
        $goes = ($dose['sides'] === 'each' ? 2 : 1) * ($dose['sets'] ?? 1);
        $limit = preg_match('/stopped after (\d+):(\d\d)/', implode(' ', $how), $m) === 1 ? 60 * (int) $m[1] + (int) $m[2] : INF;
        $slowest = 0.0;
        for ($place = 0; $place < min($block['stations'], $players); $place++) {
            $people = intdiv($players - $place - 1, $block['stations']) + 1;
            // One after the other with three seconds to change; who is alone at a place rests between their goes.
            $seconds = $people === 1 ? ($goes - 1) * 20.0 : ($goes * $people - 1) * 3.0;
            $own = 0.0;
            for ($player = 0; $player < $people; $player++) {
                [$chance, $factor] = [self::chance($block['chance']), self::logNormal(1.0, 0.25)];
                for ($go = 0; $go < $goes; $go++) {
                    $own += min($limit, self::go($dose, $chance, $factor * $block['rep'], $block['fetch']));
                }
            }
            // A short go leaves rest to be had: the plan takes goes as long as they are on average.
            $slowest = max($slowest, $seconds + $own + ($people === 1 ? 0.0 : self::restToCome($dose, $people, $goes, $block, $limit)));
        }

        return $slowest;
    }

    /**
     * A circuit of everybody: each item waits for its last, or each goes through alone and the whole waits once. A chance and a pace
     * anew for each item.
     *
     * @param  array<string, mixed>  $block
     */
    private static function round(array $block, int $players): float
    {
        $own = [];
        foreach ($block['items'] as $item) {
            for ($player = 0; $player < $players; $player++) {
                $rep = self::logNormal(1.0, 0.25) * $item['secondsPerRep'];
                $own[$player][] = self::go($item['dose'], self::chance($item['goodChance']), $rep, $item['fetchSeconds']);
            }
        }
        $rests = 10.0 * (count($block['items']) - 1);

        return $rests + ($block['dose']['goesBy'] === 'own'
            ? max(array_map(array_sum(...), $own))
            : array_sum(array_map(fn (int $i): float => max(array_column($own, $i)), array_keys($block['items']))));
    }

    /**
     * Where so few share a place that the others' goes and the changes are shorter than the rest, the place waits for it.
     *
     * @param  array<string, mixed>  $dose
     * @param  array<string, mixed>  $block
     */
    private static function restToCome(array $dose, int $people, int $goes, array $block, float $limit): float
    {
        $key = json_encode([$dose, $block['rep'], $block['chance'], $block['fetch'], (string) $limit]);
        static $means = [];
        if (! isset($means[$key])) {
            [$sum, $seedless] = [0.0, 3000];
            for ($i = 0; $i < $seedless; $i++) {
                [$chance, $rep] = [self::chance($block['chance']), self::logNormal(1.0, 0.25) * $block['rep']];
                $sum += min($limit, self::go($dose, $chance, $rep, $block['fetch']));
            }
            $means[$key] = $sum / $seedless;
        }

        return ($goes - 1) * max(0.0, 20.0 - ($people - 1) * $means[$key] - $people * 3.0);
    }

    /** @param  array<string, mixed>  $dose */
    private static function go(array $dose, float $chance, float $rep, int $fetch): float
    {
        [$good, $tries, $time] = [0, 0, 0.0];
        switch ($dose['kind']) {
            case 'timed':
                return $dose['workSeconds'];
            case 'race':
            case 'reps':
                return $dose['reps'] * $rep;
            case 'streak':
                while ($good < $dose['goal'] && self::even() < $chance) {
                    $good++;
                }

                return $good * $rep + $fetch;
            case 'tries':
                do {
                    $tries++;
                } while (self::even() >= $chance && $tries < $dose['balls']);

                return $tries * $rep + $fetch;
            default:
                $wanted = $dose['good'] ?? $dose['total'];
                while ($good < $wanted) {
                    $isGood = self::even() < $chance;
                    $time += $rep + ($isGood ? 0 : $fetch);
                    $good += $isGood || ($dose['onlyGood'] ?? 1) === 0 ? 1 : 0;
                }

                return $time;
        }
    }

    /** Beta(10p, 10 − 10p) for whole numbers: the a-th smallest of nine uniforms. */
    private static function chance(float $mean): float
    {
        $draws = [];
        for ($i = 0; $i < 9; $i++) {
            $draws[] = self::even();
        }
        sort($draws);

        return $draws[(int) round(10 * $mean) - 1];
    }

    private static function logNormal(float $mean, float $cv): float
    {
        $variance = log(1.0 + $cv ** 2);
        $normal = sqrt(-2.0 * log(1.0 - self::even())) * cos(2.0 * M_PI * self::even());

        return $mean * exp(sqrt($variance) * $normal - $variance / 2.0);
    }

    private static function even(): float
    {
        return mt_rand() / (mt_getrandmax() + 1.0);
    }
}
