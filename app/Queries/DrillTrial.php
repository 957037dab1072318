<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\DrillVersion;
use App\Models\Player;
use App\Models\Squad;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Record\TaskDifference;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;

/** What a drill in hand would come to for the whole squad, and whether its numbers would stand beside the old ones. */
final class DrillTrial
{
    /**
     * Null for a drill that comes with no dose.
     *
     * @return array<string, mixed>|null
     */
    public function worked(Squad $squad, Drill $drill): ?array
    {
        if ($drill->dose === null) {
            return null;
        }
        $players = $squad->players->map(fn (Player $player): PlanPlayer => new PlanPlayer($player->id, $player->strong_foot))
            ->values()
            ->all();
        // A squad without players yet is tried with as many as one station takes.
        $players = $players !== []
            ? array_slice($players, 0, PlanContext::MOST_PLAYERS)
            : array_map(
                fn (int $i): PlanPlayer => new PlanPlayer($i, StrongFoot::Right),
                range(1, $drill->organisation->playersPerStation()),
            );
        $context = PlanContext::of(
            $players,
            [],
            new ClockRules,
            $squad->kit(),
            $squad->area(),
            $squad->headingLimit(),
        );
        $evaluation = PlanEvaluator::evaluate([Block::ofDrill('try', $drill, $drill->dose, Tempo::Steady, null)], $context);

        return [
            'players' => count($players),
            'evaluation' => $evaluation,
            'stationsFit' => $squad->area()?->stations($drill->layout->footprint()),
        ];
    }

    /**
     * Whether marks of the drill in hand would start lines of their own beside those of the drill it is compared with.
     *
     * @return array{startsNew: bool, reasons: list<string>}|null null where nothing is counted
     */
    public function line(Squad $squad, Drill $drill, ?DrillVersion $from): ?array
    {
        $before = $from?->drill();
        if ($drill->rule === null || $drill->dose === null) {
            return null;
        }
        $after = $drill->task($drill->dose, Side::Right, $squad->ballSize());
        $old = $before?->dose === null ? null : $before->task($before->dose, Side::Right, $squad->ballSize());
        if ($after === null || $old === null) {
            return [
                'startsNew' => true,
                'reasons' => [$before === null ? 'It is a drill of its own.' : 'What it began as was not counted.'],
            ];
        }
        $reasons = TaskDifference::between($old, $after, $squad->length_unit);

        return ['startsNew' => $reasons !== [], 'reasons' => $reasons];
    }
}
