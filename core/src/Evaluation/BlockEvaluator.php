<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\BlockReasons;
use FleetSparrow\Core\Advice\BlockWarnings;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Clock\CountedFinish;
use FleetSparrow\Core\Clock\LaidOut;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\QuotaDose;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Pattern;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\Positions;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Organisation\Stationing;
use FleetSparrow\Core\Organisation\WorkTurn;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\OwnPaces;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Rotation\PassingQueue;
use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\BlockSegments;
use FleetSparrow\Core\Timeline\BlockTimes;
use FleetSparrow\Core\Timeline\BlockTouches;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Touch\Tally;

/** Works out one block: who works when, how long each part takes, and what each player touches. */
final class BlockEvaluator
{
    /** @param  bool  $isBrief  times and touches only, without the stretches, the reasons and the warnings: for trying many variants */
    public function __construct(
        private readonly PlanContext $context,
        private readonly GroupDraw $draw,
        private readonly bool $isBrief = false,
        private readonly LaidOut $laid = new LaidOut,
    ) {
    }

    /**
     * @param  Layout|null  $before  what still stands on the ground
     * @param  int  $stationsBefore  how many of it
     * @param  non-empty-list<PlanPlayer>|null  $players  some of those coming; null for all
     */
    public function evaluate(Block $block, ?Layout $before, int $stationsBefore, ?array $players = null): BlockEvaluation
    {
        return $block->drill === null || $block->dose === null
            ? $this->minutes($block)
            : $this->drill($block, $block->drill, $block->dose, $before, $stationsBefore, $players ?? $this->context->players);
    }

    private function minutes(Block $block): BlockEvaluation
    {
        $seconds = $block->minutes * 60.0;
        $ids = array_map(static fn (PlanPlayer $player): int => $player->id, $this->context->players);

        return new BlockEvaluation(
            blockId: $block->id,
            judged: DurationEstimate::judged($seconds, $this->context->rules->partVariation),
            work: DurationEstimate::fixed(0.0),
            partSeconds: ['other' => $seconds],
            touches: array_fill_keys($ids, Tally::zero()),
            times: array_fill_keys($ids, new PlayerTime),
            stations: 0,
            turns: 1,
            markers: 0,
            segments: [new Segment("{$block->id}-1", $block->id, SegmentKind::ofBlock($block->kind), $seconds, false)],
            how: [sprintf('%g min as planned, give or take a quarter.', $block->minutes)],
            warnings: [],
            setUp: null,
        );
    }

    /** @param  non-empty-list<PlanPlayer>  $players */
    private function drill(Block $block, Drill $drill, Dose $dose, ?Layout $before, int $stationsBefore, array $players): BlockEvaluation
    {
        $rules = $this->context->rules;
        $stationing = $this->draw->stationing($block, $drill, $players);
        $turns = $this->draw->turns($stationing);
        $queues = self::queues($drill, $block, $stationing);
        $pace = $drill->pace($block->tempo);
        $own = OwnPaces::of($drill, $pace, $players);
        $paces = self::paces($own, $queues);

        $laying = $this->laid->of($drill->layout, $stationing->inUse(), $before, $stationsBefore);
        $known = in_array($drill->slug, $this->context->knownDrills, true);
        $plain = [
            'setUp' => $laying->touched() * $rules->markerSeconds,
            'explain' => $known ? $rules->explainKnownSeconds : $rules->explainNewSeconds,
        ];
        $setUp = $plain['setUp'] * $rules->setUp->factor;
        $explain = $plain['explain'] * $rules->explain->factor;
        $changeOver = max(0, count($turns) - 1) * $rules->changeSeconds();

        $work = DurationEstimate::fixed(0.0);
        $turnMeans = [];
        $writeSeconds = 0.0;
        $workers = array_map(
            static fn (WorkTurn $turn): array => array_map(static fn (PlanPlayer $player): Pace => $paces[$player->id], $turn->working),
            $turns,
        );
        foreach ($turns as $i => $turn) {
            $time = $dose->turnTime($workers[$i], $this->context->memo);
            $turnMeans[] = $time->meanSeconds;
            $work = $work->plus($time);
            $writeSeconds += self::writeSeconds($drill, $dose, count($turn->working), $rules);
        }
        $judged = DurationEstimate::judged($setUp, $rules->setUp->variation)
            ->plus(DurationEstimate::judged($explain, $rules->explain->variation))
            ->plus(DurationEstimate::judged($changeOver, $rules->changeOver->variation))
            ->plus(DurationEstimate::judged($writeSeconds, $rules->partVariation));
        $touches = $this->touches($drill, $dose, $paces, $players);
        $times = BlockTimes::of(
            drill: $drill,
            dose: $dose,
            stationing: $stationing,
            turns: $turns,
            turnMeans: $turnMeans,
            queues: $queues,
            players: $players,
            changeSeconds: $rules->changeSeconds(),
        );

        $evaluation = new BlockEvaluation(
            blockId: $block->id,
            judged: $judged,
            work: $work,
            partSeconds: [
                'setUp' => $setUp,
                'explain' => $explain,
                'work' => $work->meanSeconds,
                'changeOver' => $changeOver,
                'write' => $writeSeconds,
            ],
            touches: $touches,
            times: $times,
            stations: $stationing->inUse(),
            turns: count($turns),
            markers: $laying->markers,
            segments: $this->isBrief
                ? []
                : (new BlockSegments($block, $drill, $dose, OwnPaces::middle($pace, $paces), $rules, $this->context->memo))->of(
                    $turns,
                    $turnMeans,
                    $setUp,
                    $explain,
                    $plain,
                ),
            how: $this->isBrief ? [] : BlockReasons::of(
                drill: $drill,
                dose: $dose,
                pace: $pace,
                rules: $rules,
                laying: $laying,
                known: $known,
                turns: $turns,
                own: $own,
                queues: $queues,
            ),
            warnings: [],
            setUp: $laying,
            groups: $drill->organisation->playersPerStation() === 1 ? [] : $stationing->groups,
            duties: $this->isBrief ? [] : $this->draw->duties($block, $drill, $players, $stationing),
            layout: $drill->layout,
            kit: $this->isBrief ? null : Kit::of($drill->layout, $stationing->inUse()),
            counted: $this->isBrief || ! $dose instanceof QuotaDose ? null : CountedFinish::tryWork($dose, $workers, $this->context->memo),
        );

        return $this->isBrief
            ? $evaluation
            : $evaluation->warned(...BlockWarnings::of($block, $drill, $evaluation, $stationing, $turnMeans, $queues, $this->context));
    }

    /**
     * The lines of a passing pattern, by player: everybody at a station stands in one.
     *
     * @return array<array-key, PassingQueue>
     */
    private static function queues(Drill $drill, Block $block, Stationing $stationing): array
    {
        if ($drill->organisation->pattern !== Pattern::PassAndFollow) {
            return [];
        }
        $queues = [];
        foreach ($stationing->groups as $group) {
            $queue = PassingQueue::of(
                $group->players(),
                Positions::of($drill->layout),
                max(1, count($drill->layout->balls())),
                $drill->pace($block->tempo)->secondsPerRep,
            );
            foreach ($group->workers as $player) {
                $queues[$player->id] = $queue;
            }
        }

        return $queues;
    }

    /**
     * In a line everybody's rep takes as long as the ball needs to come round.
     *
     * @param  array<array-key, PassingQueue>  $queues
     * @return non-empty-array<array-key, Pace>
     */
    private static function paces(OwnPaces $own, array $queues): array
    {
        $paces = $own->byPlayer;
        foreach ($queues as $player => $queue) {
            if (isset($paces[$player])) {
                $paces[$player] = $paces[$player]->withSecondsPerRep($queue->meanGapSeconds());
            }
        }

        return $paces;
    }

    /** Numbers are written in the rest between sets; only what does not fit there, and the last set's, takes extra time. */
    private static function writeSeconds(Drill $drill, Dose $dose, int $working, ClockRules $rules): float
    {
        if ($drill->rule === null) {
            return 0.0;
        }
        $once = $working * $rules->writeSeconds;

        return $once + ($dose->sides()->count() * $dose->sets() - 1) * max(0.0, $once - $dose->restSeconds());
    }

    /**
     * Who may not work in it touches nothing.
     *
     * @param  array<array-key, Pace>  $paces
     * @param  non-empty-list<PlanPlayer>  $players
     * @return array<int, Tally>
     */
    private function touches(Drill $drill, Dose $dose, array $paces, array $players): array
    {
        [$same, $sidesOf, $touches] = [[], [], []];
        foreach ($players as $player) {
            $pace = $paces[$player->id];
            // Who works the same sides in the same time touches the same.
            $sides = $sidesOf[$player->strongFoot->value] ??= $dose instanceof CircuitDose
                ? $player->strongFoot->value
                : implode(' ', array_column($dose->sides()->sidesFor($player->strongFoot), 'value'));
            $key = "{$sides} {$pace->made} {$pace->missed} {$pace->priorChance} {$pace->secondsPerRep}";
            $touches[$player->id] = $player->today->mayWorkIn($drill)
                ? $same[$key] ??= BlockTouches::of($drill, $dose, $pace, $player->strongFoot, $this->context->memo)
                : Tally::zero();
        }

        return $touches;
    }
}
