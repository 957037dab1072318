<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\BlockReasons;
use FleetSparrow\Core\Advice\BlockWarnings;
use FleetSparrow\Core\Advice\WaitAdvice;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Clock\LaidOut;
use FleetSparrow\Core\Clock\LaidWhen;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\AgeDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Organisation\SeatedCrew;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Record\DoseMeasures;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Statistics\LogNormals;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\OwnTimes;
use FleetSparrow\Core\Timeline\Roster;
use FleetSparrow\Core\Timeline\RunSheet;
use FleetSparrow\Core\Timeline\Touching;
use FleetSparrow\Core\Timeline\Writing;

/** Works out one block: who works when, how long each part takes, and what each player touches. */
final class BlockEvaluator
{
    private readonly LayingOut $layingOut;

    public function __construct(
        private readonly PlanContext $context,
        private readonly GroupDraw $draw,
        private readonly Detail $detail = Detail::All,
        LaidOut $laid = new LaidOut,
    ) {
        $this->layingOut = new LayingOut($context, $laid);
    }

    /** @param  non-empty-list<PlanPlayer>|null  $players  some of those coming; null for all */
    public function evaluate(Block $block, Standing $ground, ?array $players = null): BlockEvaluation
    {
        return $block->drill === null || $block->dose === null
            ? (new MinutesBlock($block, $this->context))->evaluation()
            : $this->drill($block, $block->drill, $block->dose, $ground, $players ?? $this->context->players);
    }

    /** @param  non-empty-list<PlanPlayer>  $players */
    private function drill(Block $block, Drill $drill, Dose $dose, Standing $ground, array $players): BlockEvaluation
    {
        [$rules, $memo] = [$this->context->rules, $this->context->memo];
        $cast = (new Casting($this->draw, $memo))->of($block, $drill, $dose, $players);
        $stations = $cast->stationing->inUse();
        $layout = $drill->layout->forPeople($cast->mostAtAPlace());
        $laying = $this->layingOut->of($layout, $stations, $ground)
            ->sized($layout === $drill->layout ? '' : $layout->footprint()->words());
        $explained = $ground->explained($block, $drill, $this->context->knownDrills);
        // What is left over of a helper's laying out says nothing of how quick this coach is.
        $plain = [
            'setUp' => $laying->when === LaidWhen::Meanwhile ? null : $laying->seconds(),
            'explain' => $explained->seconds($rules),
        ];
        $owed = RunSheet::owed($block->id, $cast->spells, $dose, $cast->players);
        $parts = [
            'setUp' => $laying->seconds($rules->setUp->factor),
            'explain' => $plain['explain'] * $rules->explain->factor,
            'work' => $cast->work->mean(),
            'changeOver' => 0.0,
            'write' => Writing::extraSeconds($cast->spells, $owed, $rules->writeSeconds),
        ];
        $touching = new Touching($drill, $dose, $cast->limitSeconds, $cast->players, $cast->paces, $memo);
        $isAll = $this->detail === Detail::All;
        $isSheet = $isAll || $this->detail === Detail::Sheet;
        $owes = array_merge([], ...$owed);
        $ages = ! $isAll ? [] : self::ages($cast, $owes !== []);
        $segments = ! $isSheet ? [] : BlockSheet::of($block->id, $cast, $touching, $parts, $plain, $owed);
        $evaluation = new BlockEvaluation(
            blockId: $block->id,
            judged: self::judged($parts, $rules, $memo),
            work: $cast->work,
            partSeconds: $parts,
            touches: $this->detail === Detail::Waits ? [] : $touching->of($cast->spells),
            atWork: Roster::of($cast->spells, array_keys($cast->players)),
            stations: $stations,
            turns: $cast->turns(),
            markers: $laying->setUp->markers,
            segments: $segments,
            how: ! $isAll ? [] : BlockReasons::of(
                drill: $drill,
                dose: $dose,
                pace: $cast->pace,
                rules: $rules,
                laying: $laying,
                explained: $explained,
                way: $cast->way,
                places: $cast->places,
                own: $cast->own,
                limitSeconds: $cast->limitSeconds,
                ages: $ages,
            ),
            warnings: [],
            owed: $owes,
            laying: $laying,
            groups: $cast->isWithoutGroups() ? [] : $cast->stationing->places(),
            duties: ! $isSheet ? [] : $cast->duties,
            layout: $layout,
            kit: ! $isAll ? null : $drill->kit($stations, $cast->balls(), $layout),
            grownUps: $cast->grownUps(),
            ages: $ages,
            counts: $drill->rule?->kind,
            mayCount: ! $isAll ? [] : DoseMeasures::of($dose, $memo),
        );

        return ! $isAll ? $evaluation : $evaluation->warned(...$this->warnings($block, $cast, $evaluation, $ground, $players));
    }

    /** @return list<AgeDose> */
    private static function ages(Cast $cast, bool $isWrittenDown): array
    {
        $known = array_filter(array_map(static fn (PlanPlayer $one): ?AgeGroup => $one->age, $cast->players));

        return AgeDose::of($cast->drill, $cast->dose, $known, $isWrittenDown);
    }

    /**
     * @param  non-empty-list<PlanPlayer>  $players
     * @return list<Warning>
     */
    private function warnings(Block $block, Cast $cast, BlockEvaluation $evaluation, Standing $ground, array $players): array
    {
        [$stationing, $layout] = [$cast->stationing, $evaluation->layout ?? $cast->drill->layout];
        $fit = $this->context->area?->stations($layout->footprint());
        $trying = function (int $helpers): self {
            $context = $helpers > 0 ? $this->context->withHelpers($this->context->helpers + $helpers) : $this->context;

            return new self($context, GroupDraw::at($context), Detail::Waits);
        };
        $waits = new WaitAdvice(
            block: $block,
            drill: $cast->drill,
            stationing: $stationing,
            fit: $fit,
            limitSeconds: $cast->limitSeconds,
            isHelped: $ground->isHelped,
            context: $this->context,
            tried: static fn (Block $changed, int $helpers): BlockEvaluation => $trying($helpers)
                ->evaluate($changed, $helpers === 0 ? $ground : $ground->helped(), $players),
            laidByHelper: static fn (): BlockEvaluation => $trying(1)->laidAgain($block, $evaluation, $ground->helped()),
            question: fn (): string => $this->question($block, $cast, $ground, $fit),
        );

        return [
            ...BlockWarnings::of($cast->drill, $evaluation, $stationing, $cast->way, $cast->places, $this->context, $fit),
            ...$waits->of($evaluation),
        ];
    }

    /** Everything that who waits in a block, and what would help, depends on. */
    private function question(Block $block, Cast $cast, Standing $ground, ?int $fit): string
    {
        $context = $this->context;
        $times = new OwnTimes($cast->dose, $cast->limitSeconds, $context->memo);
        // The same for all blocks of a plan.
        $given = $context->memo->of('rules and kit', static fn (): string => serialize([$context->rules, $context->kit]));

        return hash('xxh128', serialize([
            $cast->drill->slug,
            [$cast->drill->layout->kind(), $cast->drill->layout->parameters()],
            get_object_vars($cast->drill->organisation),
            [$block->tempo->value, $block->stations, $block->links],
            array_map($times->question(...), $cast->paces),
            array_map(static fn (SeatedCrew $at): array => [$at->crew, $at->players], $cast->places),
            array_map(static fn (PlanPlayer $one): string => $one->today->value, $cast->players),
            [$context->helpers, $fit, $given, $context->isLaidBefore],
            $ground->described(),
        ]));
    }

    /** The same block laid out and explained from another ground: nothing of its work changes. */
    public function laidAgain(Block $block, BlockEvaluation $worked, Standing $ground): BlockEvaluation
    {
        if ($block->drill === null || $worked->layout === null) {
            return $worked;
        }
        $rules = $this->context->rules;
        $laying = $this->layingOut->of($worked->layout, $worked->stations, $ground)->sized($worked->laying->size ?? '');
        $parts = [
            'setUp' => $laying->seconds($rules->setUp->factor),
            'explain' => $ground->explained($block, $block->drill, $this->context->knownDrills)->seconds($rules) * $rules->explain->factor,
        ] + $worked->partSeconds;

        return $worked->with(judged: self::judged($parts, $rules, $this->context->memo), partSeconds: $parts, laying: $laying);
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
