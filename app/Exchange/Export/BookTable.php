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

    private const MOST_MARKERS_A_PLAYER = 3;

    /** @param  list<Drill>  $drills */
    public static function of(array $drills): string
    {
        $rows = [];
        foreach ($drills as $drill) {
            foreach (self::SIZES as $players) {
                $rows[] = self::row($drill, $players);
            }
        }

        return implode("\n", [
            '# The book, planned',
            'Written by `php artisan sparrow:table > docs/book.md`: every drill at its own dose for 1, 2, 7 and 14 players on 60 by 40 yd, '
                .'with 200 markers, 40 balls, 4 small goals, one place at a wall, one coach and no helper. Times are minutes and '
                .'seconds; ball is of those who have least and most of it, the wait of the one who stands longest at a time. '
                .'The first layout lies before the start.',
            '',
            '| drill | players | places | in all | work | ball | longest wait | markers | balls | said |',
            '|---|---|---|---|---|---|---|---|---|---|',
            ...$rows,
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
        ]).' |';
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

    private static function worked(Drill $drill, int $players): BlockEvaluation
    {
        $dose = $drill->dose ?? TimedDose::of(30.0, 2, 15.0, DoseSides::Both);
        $area = new Area(Length::of(60, LengthUnit::Yard), Length::of(40, LengthUnit::Yard), LengthUnit::Yard);

        return PlanEvaluator::evaluate([Block::ofDrill('block', $drill, $dose, Tempo::Steady, null)], PlanContext::of(
            players: array_map(static fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), range(1, $players)),
            knownDrills: [],
            rules: new ClockRules,
            kit: new KitOwned(markers: 200, balls: 40, goals: 4),
            area: $area,
        ))->blocks[0];
    }

    private static function clock(float $seconds): string
    {
        $whole = (int) round($seconds);

        return sprintf('%d:%02d', intdiv($whole, 60), $whole % 60);
    }
}
