<?php

declare(strict_types=1);

namespace App\Queries;

use App\Exchange\Export\EvaluationJson;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\Planning\DrillShelf;
use App\Planning\PlanDraft;
use App\Planning\WorkedOut;
use FleetSparrow\Core\Evaluation\OtherSizes;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Timeline\BlockEvaluation;

/** Evaluates a running order for a squad: a fixed number of queries, whatever the number of players. */
final class PlanEvaluationQuery
{
    public function __construct(
        private readonly OwnNumbersQuery $numbers,
        private readonly SquadBasisQuery $bases,
        private readonly DrillShelf $drills,
        private readonly WorkedOut $workedOut,
    ) {
    }

    /**
     * @param  CalendarDate  $day  of the session: what lies before it is its past
     * @param  int|null  $coachId  whose own times the judged parts are stretched by
     *
     * @throws \Illuminate\Validation\ValidationException
     * @throws \FleetSparrow\Core\Exception\CoreException
     */
    public function evaluate(Squad $squad, PlanDraft $draft, CalendarDate $day, ?int $coachId): PlanEvaluation
    {
        $blocks = $draft->coreBlocks($this->drills->drills($squad, $draft->drillVersionIds()));

        return $this->evaluated($squad, $draft, $blocks, $this->context($squad, $draft, $blocks, $day, $coachId));
    }

    /**
     * The same as an answer, in JSON. Of players by block only what is looked at is told: for a full session it would be half of it.
     *
     * @param  string|null  $playersOf  the block whose players are told one by one
     *
     * @throws \Illuminate\Validation\ValidationException
     * @throws \FleetSparrow\Core\Exception\CoreException
     */
    public function told(Squad $squad, PlanDraft $draft, CalendarDate $day, ?int $coachId, ?string $playersOf = null): string
    {
        $blocks = $draft->coreBlocks($this->drills->drills($squad, $draft->drillVersionIds()));
        $context = $this->context($squad, $draft, $blocks, $day, $coachId);

        return $this->workedOut->told(
            $squad,
            [$blocks, $context->given(), $draft->slotMinutes, $playersOf],
            fn (): array => EvaluationJson::of(
                $this->evaluated($squad, $draft, $blocks, $context),
                $draft->slotMinutes,
                playersOf: $playersOf === null ? [] : [$playersOf],
            ),
            $playersOf === null ? 'plan' : 'block',
        );
    }

    /**
     * @param  list<Block>  $blocks
     *
     * @throws \FleetSparrow\Core\Exception\CoreException
     */
    private function evaluated(Squad $squad, PlanDraft $draft, array $blocks, PlanContext $context): PlanEvaluation
    {
        return $this->workedOut->with(
            $squad,
            fn (Memo $memo): PlanEvaluation => PlanEvaluator::evaluate($blocks, $context->with($memo), $draft->slotMinutes * 60.0),
        );
    }

    /**
     * The same for other numbers of people than are planned for.
     *
     * @param  list<int<1, max>>  $sizes
     * @return array<int, list<BlockEvaluation>> number of people → blocks
     *
     * @throws \Illuminate\Validation\ValidationException
     * @throws \FleetSparrow\Core\Exception\CoreException
     */
    public function ofOtherSizes(Squad $squad, PlanDraft $draft, CalendarDate $day, ?int $coachId, array $sizes): array
    {
        $blocks = $draft->coreBlocks($this->drills->drills($squad, $draft->drillVersionIds()));

        return $this->workedOut->with($squad, fn (Memo $memo): array => OtherSizes::of(
            $blocks,
            $this->context($squad, $draft, $blocks, $day, $coachId, memo: $memo),
            $sizes,
        ));
    }

    /**
     * A session as it is kept, with whoever came and without what was skipped.
     *
     * @throws \FleetSparrow\Core\Exception\CoreException If nobody did, or a drill cannot be read.
     */
    public function ofSession(TrainingSession $session, CalendarDate $day): PlanEvaluation
    {
        $session->load(['blocks', 'attendances', 'overrides', 'squad.players']);

        $draft = PlanDraft::ofSession($session, $session->comingPlayerIds(), withSkipped: false);

        return $this->evaluate($session->squad, $draft, $day, null);
    }

    /**
     * @param  list<Block>  $blocks  whose drills the players' own numbers are looked up for
     *
     * @throws \FleetSparrow\Core\Exception\CoreException
     */
    public function context(
        Squad $squad,
        PlanDraft $draft,
        array $blocks,
        CalendarDate $day,
        ?int $coachId,
        Memo $memo = new Memo,
    ): PlanContext {
        $basis = $this->bases->of($squad, $day, $coachId);
        $numbers = $this->numbers->of($squad, $blocks);
        $players = [];
        foreach (array_intersect_key($basis->strongFeet, array_flip($draft->comingPlayerIds)) as $id => $foot) {
            $players[] = new PlanPlayer($id, $foot, $draft->availability($id), $numbers[$id] ?? [], $basis->ages[$id] ?? null);
        }

        return PlanContext::of(
            players: $players,
            knownDrills: $basis->knownDrills,
            rules: $basis->rules,
            kit: $squad->kit(),
            area: $squad->area(),
            heading: $squad->headingLimit(),
            helpers: $draft->helpers,
            past: $basis->past,
            weather: $draft->weather($squad->heat_care_celsius, $squad->heat_stop_celsius),
            memo: $memo,
            isLaidBefore: $draft->isLaidBefore,
        );
    }
}
