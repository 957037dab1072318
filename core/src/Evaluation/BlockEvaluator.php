<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\BlockReasons;
use FleetSparrow\Core\Advice\BlockWarnings;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Clock\LaidOut;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Organisation\Way\Game;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\LogNormals;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\Roster;
use FleetSparrow\Core\Timeline\RunSheet;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Timeline\Spell;
use FleetSparrow\Core\Timeline\Touching;
use FleetSparrow\Core\Timeline\Writing;
use FleetSparrow\Core\Touch\Script;
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
        [$touches, $time] = [Tally::zero(), new PlayerTime];
        if ($block->kind === BlockKind::Game) {
            $share = (new Game)->fieldShare(new Crew(count($ids)));
            $time = new PlayerTime($seconds * $share);
            $touches = Tally::of(Script::fromText('?.?'))->times($seconds * $share * Game::CONTACTS_A_SECOND);
        }

        return new BlockEvaluation(
            blockId: $block->id,
            judged: LogNormals::of($this->context->memo, $seconds, $this->context->rules->partVariation),
            work: Quantiles::fixed(0.0),
            partSeconds: ['other' => $seconds],
            touches: array_fill_keys($ids, $touches),
            times: array_fill_keys($ids, $time),
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
        [$rules, $memo] = [$this->context->rules, $this->context->memo];
        $cast = (new Casting($this->draw, $memo))->of($block, $drill, $dose, $players);
        $stations = $cast->stationing->inUse();
        $laying = $this->laid->of($drill->layout, $stations, $before, $stationsBefore);
        $known = in_array($drill->slug, $this->context->knownDrills, true);
        $plain = [
            'setUp' => $laying->touched() * $rules->markerSeconds,
            'explain' => $known ? $rules->explainKnownSeconds : $rules->explainNewSeconds,
        ];
        $parts = [
            'setUp' => $plain['setUp'] * $rules->setUp->factor,
            'explain' => $plain['explain'] * $rules->explain->factor,
            'work' => $cast->work->mean(),
            'changeOver' => 0.0,
            'write' => Writing::extraSeconds($cast->spells, $rules->writeSeconds),
        ];
        $touching = new Touching($drill, $dose, $cast->limitSeconds, $cast->players, $cast->paces, $memo);
        $segments = $this->isBrief ? [] : BlockSheet::of($block->id, $cast, $touching, $parts, $plain);
        $evaluation = new BlockEvaluation(
            blockId: $block->id,
            judged: self::judged($parts, $rules, $memo),
            work: $cast->work,
            partSeconds: $parts,
            touches: $touching->of($cast->spells),
            times: Roster::of($cast->spells, array_keys($cast->players)),
            stations: $stations,
            turns: $cast->turns(),
            markers: $laying->markers,
            segments: $segments,
            how: $this->isBrief ? [] : BlockReasons::of(
                drill: $drill,
                dose: $dose,
                pace: $cast->pace,
                rules: $rules,
                laying: $laying,
                known: $known,
                way: $cast->way,
                places: $cast->places,
                own: $cast->own,
                limitSeconds: $cast->limitSeconds,
            ),
            warnings: [],
            owed: array_merge([], ...($this->isBrief
                ? array_map(static fn (Spell $spell): array => RunSheet::owed($block->id, $spell, $dose, $cast->players), $cast->spells)
                : array_column($segments, 'owed'))),
            setUp: $laying,
            groups: $drill->organisation->playersPerStation() === 1 && $stations === count($cast->stationing->groups)
                ? []
                : $cast->stationing->places(),
            duties: $this->isBrief ? [] : $cast->duties,
            layout: $drill->layout,
            kit: $this->isBrief ? null : Kit::of($drill->layout, $stations, $cast->balls()),
        );

        return $this->isBrief
            ? $evaluation
            : $evaluation->warned(...BlockWarnings::of(
                $block,
                $drill,
                $evaluation,
                $cast->stationing,
                $cast->way,
                $cast->places,
                $this->context,
            ));
    }

    /** The same block laid out from another ground: nothing of its work changes. */
    public function laidAgain(Block $block, BlockEvaluation $worked, ?Layout $before, int $stationsBefore): BlockEvaluation
    {
        if ($block->drill === null) {
            return $worked;
        }
        $rules = $this->context->rules;
        $laying = $this->laid->of($block->drill->layout, $worked->stations, $before, $stationsBefore);
        $parts = ['setUp' => $laying->touched() * $rules->markerSeconds * $rules->setUp->factor] + $worked->partSeconds;

        return $worked->with(judged: self::judged($parts, $rules, $this->context->memo), partSeconds: $parts);
    }

    /** @param  array<string, float>  $parts  mean seconds by part */
    private static function judged(array $parts, ClockRules $rules, Memo $memo): Quantiles
    {
        return LogNormals::sum($memo, [
            [$parts['setUp'], $rules->setUp->variation],
            [$parts['explain'], $rules->explain->variation],
            [$parts['changeOver'], $rules->changeOver->variation],
            [$parts['write'], $rules->partVariation],
        ]);
    }
}
