<?php

declare(strict_types=1);

namespace App\Exchange\Export;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Dose\TimedDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Layout\Equipment;
use FleetSparrow\Core\Plan\Area;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\PlayerTime;

/** Every drill as it comes, planned for 1, 2, 7 and 14 players: to be read line by line as a coach would. */
final class BookTable
{
    private const SIZES = [1, 2, 7, 14];

    private const OTHER_SIZES = [3, 5, 9, 20];

    private const MOST_MARKERS_A_PLAYER = 3;

    private const SPARE_MARKERS = 6;

    private const LONG_WAIT_SECONDS = 60.0;

    private const MOST_WAIT_A_WORK = 1.5;

    private const LONG_SECONDS = 1200.0;

    /** @param  list<Drill>  $drills */
    public static function of(array $drills): string
    {
        $rows = [];
        foreach ($drills as $drill) {
            foreach (self::SIZES as $players) {
                $rows[] = self::row($drill, $players);
            }
        }

        $others = [];
        foreach ($drills as $drill) {
            foreach (self::OTHER_SIZES as $players) {
                $why = self::whyItStays($drill, $players, self::worked($drill, $players));
                $others = $why === '' ? $others : [...$others, "| {$drill->slug} | {$players} | {$why} |"];
            }
        }

        return implode("\n", [
            '# The book, planned',
            'Written by `php artisan sparrow:table > docs/book.md`: every drill at its own dose for 1, 2, 7 and 14 players on 60 by 40 yd, '
                .'with 200 markers, 40 balls, 4 small goals, one place at a wall, one coach and no helper. Times are minutes and '
                .'seconds; ball is of those who have least and most of it, the wait of the one who stands longest at a time. '
                .'The first layout lies before the start. Where somebody stands for over a minute and half as long again as they '
                .'work, where it takes over twenty minutes, or lays more than three markers a player and six, the last column says '
                .'why it stays so, and what it comes to with what is lacking.',
            '',
            '| drill | players | places | in all | work | ball | longest wait | markers | balls | said | why it stays |',
            '|---|---|---|---|---|---|---|---|---|---|---|',
            ...$rows,
            '',
            '## For 3, 5, 9 and 20',
            'Only where something stays so; every other plan of these sizes is within the bounds above.',
            '',
            '| drill | players | why it stays |',
            '|---|---|---|',
            ...$others,
        ])."\n";
    }

    private static function row(Drill $drill, int $players): string
    {
        $worked = self::worked($drill, $players);
        $ball = array_map(static fn (PlayerTime $time): float => $time->ballSeconds, $worked->times);

        return '| '.implode(' | ', [
            $drill->slug,
            $players,
            $worked->stations,
            self::clock($worked->meanSeconds()),
            self::clock($worked->work->mean()),
            implode('–', array_unique(array_map(self::clock(...), $ball === [] ? [] : [min($ball), max($ball)]))),
            self::clock($worked->longestWaitSeconds()),
            $worked->markers,
            $worked->kit->equipment[Equipment::Ball->value] ?? 0,
            self::said($worked, $players),
            self::whyItStays($drill, $players, $worked),
        ]).' |';
    }

    /** Of what a coach would shake the head at: what is lacking for it, and what it comes to with that. */
    private static function whyItStays(Drill $drill, int $players, BlockEvaluation $worked): string
    {
        $why = [];
        if (self::isLongWait($worked, $players) || $worked->meanSeconds() > self::LONG_SECONDS) {
            $why = [self::lacking($drill, $players, $worked) ?? 'a session by itself: '.self::clock($worked->work->mean()).' of work'];
        }
        if ($worked->markers > self::MOST_MARKERS_A_PLAYER * $players + self::SPARE_MARKERS) {
            $why[] = $players === 1 ? 'the ground of a game or of many gates is the same for one' : 'each pair has a ground of its own';
        }

        return implode('; ', $why);
    }

    private static function isLongWait(BlockEvaluation $worked, int $players): bool
    {
        $active = array_map(static fn (PlayerTime $time): float => $time->workSeconds() + $time->servingSeconds, $worked->times);
        $wait = $worked->longestWaitSeconds();

        return $players > 1 && $wait > self::LONG_WAIT_SECONDS && $wait > self::MOST_WAIT_A_WORK * max(0.0, ...array_values($active));
    }

    /** The first lack that is of use when it is mended; null where none is. */
    private static function lacking(Drill $drill, int $players, BlockEvaluation $worked): ?string
    {
        $enough = new KitOwned(markers: 999, balls: 999, goals: 2 * $players, wallPlaces: 2 * $players);
        $goals = new KitOwned(markers: 999, balls: 999, goals: 4);
        $helpers = min(20, $players);
        foreach ([
            ['one place at a wall', 'with one each', $enough, 0, null],
            ['one who serves', 'with a helper each', $goals, $helpers, null],
            ['a queue at each ground', 'on twice the grounds', $enough, 0, 2 * $worked->stations],
            ['a queue, since it takes several at once', 'with a ground and a helper each', $enough, $helpers, $players],
        ] as [$lack, $with, $kit, $helping, $stations]) {
            $better = self::worked($drill, $players, $kit, $helping, $stations);
            $wait = $better->longestWaitSeconds();
            $isOfUse = $wait < 0.6 * $worked->longestWaitSeconds() || $better->meanSeconds() < 0.6 * $worked->meanSeconds();
            if ($isOfUse) {
                return "{$lack}: {$with} it takes ".self::clock($better->meanSeconds()).' and the longest wait is '.self::clock($wait);
            }
        }

        return null;
    }

    private static function said(BlockEvaluation $worked, int $players): string
    {
        $said = [];
        foreach ($worked->warnings as $warning) {
            $said[] = $warning->code.($warning->cure === null ? '' : ": {$warning->cure->words}");
        }
        if ($worked->markers > self::MOST_MARKERS_A_PLAYER * $players && $players > 1) {
            $said[] = 'many markers';
        }

        return implode('; ', array_unique($said));
    }

    private static function worked(
        Drill $drill,
        int $players,
        ?KitOwned $kit = null,
        int $helpers = 0,
        ?int $stations = null,
    ): BlockEvaluation {
        $dose = $drill->dose ?? TimedDose::of(30.0, 2, 15.0, DoseSides::Both);
        $area = new Area(Length::of(60, LengthUnit::Yard), Length::of(40, LengthUnit::Yard), LengthUnit::Yard);

        return PlanEvaluator::evaluate([Block::ofDrill('block', $drill, $dose, Tempo::Steady, $stations)], PlanContext::of(
            players: array_map(static fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), range(1, $players)),
            knownDrills: [],
            rules: new ClockRules,
            kit: $kit ?? new KitOwned(markers: 200, balls: 40, goals: 4),
            area: $area,
            helpers: $helpers,
        ))->blocks[0];
    }

    private static function clock(float $seconds): string
    {
        $whole = (int) round($seconds);

        return sprintf('%d:%02d', intdiv($whole, 60), $whole % 60);
    }
}
