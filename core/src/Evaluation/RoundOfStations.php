<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Organisation\Station;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Rotation\StationRound;
use FleetSparrow\Core\Shared\Cure;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Statistics\LogNormals;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Owed;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Touch\Tally;

/**
 * Blocks that run at the same time, each a station, with groups going round: every group visits every station once. A turn lasts
 * as long as the slowest station's; everything is laid out and explained before the first.
 */
final class RoundOfStations
{
    public function __construct(
        private readonly PlanContext $context,
        private readonly GroupDraw $draw,
        private readonly BlockEvaluator $evaluator,
    ) {
    }

    /**
     * @param  non-empty-list<Block>  $blocks
     * @param  Layout|null  $before  what still stands on the ground
     * @return list<BlockEvaluation>
     */
    public function evaluate(array $blocks, ?Layout $before, int $stationsBefore): array
    {
        $groups = $this->draw->round($this->context->players, count($blocks));
        $atStations = [];
        foreach ($blocks as $i => $block) {
            $visits = array_map(
                fn (array $group): BlockEvaluation => $this->evaluator->evaluate(
                    $block,
                    $i === 0 ? $before : null,
                    $i === 0 ? $stationsBefore : 0,
                    $group,
                ),
                $groups,
            );
            $atStations[] = self::slowest($visits);
        }
        $turn = self::longest(array_map(static fn (array $station): Quantiles => $station['evaluation']->work, $atStations));
        $evaluations = array_map(
            fn (int $i): BlockEvaluation => $this->station($blocks, $atStations, $i, $turn, $groups),
            array_keys($blocks),
        );

        return [$evaluations[0]->warned(...$this->warnings($blocks, $evaluations)), ...array_slice($evaluations, 1)];
    }

    /**
     * What only the stations together ask for: kit for all of them at once, and somebody to count where a count needs it.
     *
     * @param  non-empty-list<Block>  $blocks
     * @param  non-empty-list<BlockEvaluation>  $evaluations
     * @return list<Warning>
     */
    private function warnings(array $blocks, array $evaluations): array
    {
        $kit = null;
        $counters = 0;
        foreach ($blocks as $i => $block) {
            if ($block->drill !== null) {
                $here = $evaluations[$i]->kit;
                $kit = $kit === null || $here === null ? $here ?? $kit : $kit->plus($here);
                $counters += $block->drill->organisation->needsCounter ? 1 : 0;
            }
        }
        $adults = 1 + $this->context->helpers;
        $short = $kit === null
            ? []
            : array_map(
                static fn (string $sentence): Warning => new Warning("All stations at once: {$sentence}", null, 'kit'),
                $this->context->kit->shortages($kit),
            );

        return $counters <= $adults
            ? $short
            : [
                ...$short,
                new Warning(
                    sprintf(
                        '%d stations need somebody to watch and count, and there %s.',
                        $counters,
                        $adults === 1 ? 'is one grown-up' : "are {$adults} grown-ups",
                    ),
                    Cure::helper(),
                    'server',
                ),
            ];
    }

    /**
     * Of all groups' visits to a station the one that takes longest, with everybody's touches and times.
     *
     * @param  non-empty-list<BlockEvaluation>  $visits
     * @return array{evaluation: BlockEvaluation, touches: array<int, Tally>, times: array<int, PlayerTime>}
     */
    private static function slowest(array $visits): array
    {
        $slowest = $visits[0];
        [$touches, $times] = [[], []];
        foreach ($visits as $visit) {
            $slowest = $visit->work->mean() > $slowest->work->mean() ? $visit : $slowest;
            $touches += $visit->touches;
            $times += $visit->times;
        }

        return ['evaluation' => $slowest, 'touches' => $touches, 'times' => $times];
    }

    /** @param  non-empty-list<Quantiles>  $works */
    private static function longest(array $works): Quantiles
    {
        $longer = static fn (Quantiles $most, Quantiles $one): Quantiles => $one->mean() > $most->mean() ? $one : $most;

        return array_reduce($works, $longer, $works[0]);
    }

    /**
     * @param  non-empty-list<Block>  $blocks
     * @param  non-empty-list<array{evaluation: BlockEvaluation, touches: array<int, Tally>, times: array<int,
     *     PlayerTime>}>  $atStations
     * @param  non-empty-list<non-empty-list<PlanPlayer>>  $groups
     */
    private function station(array $blocks, array $atStations, int $i, Quantiles $turn, array $groups): BlockEvaluation
    {
        $rules = $this->context->rules;
        $own = $atStations[$i]['evaluation'];
        $parts = [
            'setUp' => 0.0,
            'explain' => 0.0,
            'work' => $turn->mean(),
            'changeOver' => $i > 0 ? $rules->changeSeconds() : 0.0,
            'write' => $own->partSeconds['write'] ?? 0.0,
        ];
        $segments = [];
        $judged = LogNormals::of($this->context->memo, $parts['changeOver'], $rules->changeOver->variation)
            ->plus(LogNormals::of($this->context->memo, $parts['write'], $rules->partVariation));
        foreach ($i === 0 ? $atStations : [] as $at => $station) {
            foreach (['setUp' => $rules->setUp, 'explain' => $rules->explain] as $part => $calibration) {
                $parts[$part] += $station['evaluation']->partSeconds[$part] ?? 0.0;
                $judged = $judged->plus(
                    LogNormals::of($this->context->memo, $station['evaluation']->partSeconds[$part] ?? 0.0, $calibration->variation),
                );
            }
            foreach ($station['evaluation']->segments as $segment) {
                if (in_array($segment->kind, [SegmentKind::SetUp, SegmentKind::Explain], true)) {
                    $segments[] = $segment->renamed("{$own->blockId}-{$at}{$segment->kind->value}", $own->blockId);
                }
            }
        }
        $idle = [];
        foreach ($atStations[$i]['times'] as $player => $time) {
            $idle[$player] = $time->plus(new PlayerTime(0.0, 0.0, max(0.0, $turn->mean() - $own->work->mean())));
        }

        return new BlockEvaluation(
            blockId: $own->blockId,
            judged: $judged,
            work: $turn,
            partSeconds: $parts,
            touches: $atStations[$i]['touches'],
            times: $idle,
            stations: $own->stations,
            turns: 1,
            markers: $own->markers,
            segments: [...$segments, ...($own->segments === [] ? [] : $this->turn($own, $parts, $i, $this->owed($blocks, $groups, $i)))],
            how: [
                ...$own->how,
                sprintf(
                    '%d stations at the same time, %d groups: every group is at every station once; '
                        .'a turn lasts as long as the slowest station, %.0f s in all with the moves.',
                    count($blocks),
                    count($groups),
                    StationRound::seconds(count($blocks), $turn->mean(), $rules->changeSeconds()),
                ),
            ],
            warnings: $own->warnings,
            setUp: $own->setUp,
            // The group that begins here; one station on at each move.
            groups: [new Station($groups[$i] ?? $groups[0])],
            duties: $own->duties,
            layout: $own->layout,
            kit: $own->kit,
        );
    }

    /**
     * In each turn every group owes the numbers of the station it is at, and of no other.
     *
     * @param  non-empty-list<Block>  $blocks
     * @param  non-empty-list<non-empty-list<PlanPlayer>>  $groups
     * @return list<Owed>
     */
    private function owed(array $blocks, array $groups, int $turn): array
    {
        $owed = [];
        foreach ($groups as $group => $players) {
            $block = $blocks[StationRound::stationOf($group, $turn, count($blocks))];
            if ($block->drill?->rule === null || $block->dose === null) {
                continue;
            }
            foreach ($players as $player) {
                foreach ($block->dose->sides()->sidesFor($player->strongFoot) as $side) {
                    $owed[] = new Owed($player->id, $block->id, $side->value);
                }
            }
        }

        return $owed;
    }

    /**
     * @param  array<string, float>  $parts
     * @param  list<Owed>  $owed
     * @return list<Segment>
     */
    private function turn(BlockEvaluation $own, array $parts, int $i, array $owed): array
    {
        $everybody = array_map(static fn (PlanPlayer $player): int => $player->id, $this->context->players);
        $work = array_values(array_filter($own->segments, static fn (Segment $segment): bool => $segment->kind === SegmentKind::Work));
        $segments = $i === 0
            ? []
            : [
                new Segment(
                    "{$own->blockId}-move",
                    $own->blockId,
                    SegmentKind::Change,
                    $parts['changeOver'],
                    false,
                    plainSeconds: $this->context->rules->changeOverSeconds,
                ),
            ];
        $left = array_sum(array_map(static fn (Segment $segment): float => $segment->leftTouches, $work));
        $right = array_sum(array_map(static fn (Segment $segment): float => $segment->rightTouches, $work));
        $segments[] = new Segment(
            id: "{$own->blockId}-turn",
            blockId: $own->blockId,
            kind: SegmentKind::Work,
            seconds: $parts['work'],
            endsByClock: ($work[0] ?? $own->segments[0])->endsByClock,
            side: null,
            set: 1,
            turn: $i + 1,
            working: $everybody,
            leftTouches: $left,
            rightTouches: $right,
            owed: $owed,
        );

        return $parts['write'] > 0.0
            ? [
                ...$segments,
                new Segment(
                    id: "{$own->blockId}-write",
                    blockId: $own->blockId,
                    kind: SegmentKind::Write,
                    seconds: $parts['write'],
                    endsByClock: false,
                    side: null,
                    set: 1,
                    turn: $i + 1,
                    working: $everybody,
                ),
            ]
            : $segments;
    }
}
