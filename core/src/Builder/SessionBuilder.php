<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Touch\FootBalance;
use FleetSparrow\Core\Touch\FootMark;

/**
 * Proposes sessions: warm-up with the ball, technique, technique under more demand, a number to beat, a game, and a talk by
 * question, as is common practice. HardLimits are limits; what is chosen within them is worth most by the written objective.
 */
final class SessionBuilder
{
    public const PROPOSALS = 3;

    /** Of each part's drills so many are looked at in combination, those worth most by themselves; enough for three that differ. */
    private const DRILLS_A_PART = 10;

    /** Less time to spare than this is not worth a word. */
    private const SPARE_MINUTES = 5;

    /** A session shorter than this ends without a talk. */
    private const RECAP_FROM_MINUTES = 20;

    public static function propose(BuildRequest $request): BuildAnswer
    {
        [$request, $refusals] = self::slot($request->shuffled());
        $limits = new HardLimits($request);
        $theme = $request->theme ?? self::neededMost($request, $limits);
        $weights = $request->weights->wishing($request->wish);
        $wishes = (new Wishes($request, $limits, $theme))->resolved(Phase::within($request->slotMinutes * 60.0));
        $options = self::options($request, $theme, $weights, $limits, $wishes);
        $hasRecap = $request->slotMinutes >= self::RECAP_FROM_MINUTES;
        $objective = new Objective(
            $weights,
            $request->context->rules,
            $request->slotMinutes * 60.0,
            $request->context->weather->waterMinutes(),
            $hasRecap,
            $request->context->isLaidBefore,
            new HeadingRoom($request->context),
        );
        $proposals = [];
        for ($i = 0; $i < self::PROPOSALS; $i++) {
            $found = (new Search(
                $objective,
                $options,
                [...$request->seen, ...array_map(static fn (Proposal $one): array => $one->slugs(), $proposals)],
                $wishes->lockedSlugs(),
                $wishes->wishedPhases(),
            ))->best($wishes->phases);
            if ($found === null || $found->slugs() === []) {
                break;
            }
            $proposals[] = self::proposal($request, $found, $wishes->phases, new Reasons($request, $theme, $weights), $hasRecap);
        }

        usort($proposals, static fn (Proposal $a, Proposal $b): int => $b->worth <=> $a->worth);

        return new BuildAnswer(
            $proposals,
            [...$refusals, ...$wishes->refusals, ...self::shortfall($request, $proposals, $wishes)],
            $theme,
            $request->slotMinutes,
        );
    }

    /** @return array{BuildRequest, list<Refusal>} */
    private static function slot(BuildRequest $request): array
    {
        $minutes = min(BuildRequest::MOST_MINUTES, max(BuildRequest::LEAST_MINUTES, $request->slotMinutes));

        return $minutes === $request->slotMinutes ? [$request, []] : [$request->withSlot($minutes), [new Refusal(
            "a slot of {$request->slotMinutes} minutes", sprintf(
                'A session lasts %d to %d minutes.',
                BuildRequest::LEAST_MINUTES,
                BuildRequest::MOST_MINUTES,
            ), "Built for {$minutes} minutes.",
        )]];
    }

    /** Of the families there are drills for, the one not met for longest; ladders decide between equals, then the order of the book. */
    private static function neededMost(BuildRequest $request, HardLimits $limits): Family
    {
        $worth = [];
        foreach ($request->book as $drill) {
            if (Phase::Technique->suits($drill) && $limits->why($drill) === null) {
                $family = $drill->family->value;
                $worth[$family] ??= 1000.0 * min(365, $request->needs->familyDaysAgo[$family] ?? 365);
                $worth[$family] += $request->needs->nextRungs[$drill->slug] ?? 0;
            }
        }
        arsort($worth);

        return Family::from(array_key_first($worth) ?? Family::BallMastery->value);
    }

    /** @return array<string, list<Option>> phase → what may stand there */
    private static function options(BuildRequest $request, Family $theme, Weights $weights, HardLimits $limits, Wishes $wishes): array
    {
        $maker = new OptionMaker($request, $theme, $weights, $limits);
        $options = [];
        foreach ($wishes->phases as $phase) {
            $own = array_values(
                array_filter(
                    array_map(
                        static fn (Drill $drill): ?Option => $wishes->allows($phase, $drill) ? $maker->own($phase, $drill) : null,
                        $wishes->book,
                    ),
                ),
            );
            // The sort keeps the order of equals, which the seed has decided.
            usort($own, static fn (Option $a, Option $b): int => $b->worth <=> $a->worth);
            $best = array_slice($own, 0, self::DRILLS_A_PART);
            $options[$phase->value] = array_merge(
                $best,
                ...array_map(static fn (Option $one): array => $maker->variants($phase, $one), $best),
            );
        }

        return $options;
    }

    /** @param  non-empty-list<Phase>  $phases */
    private static function proposal(BuildRequest $request, Sequence $found, array $phases, Reasons $reasons, bool $hasRecap): Proposal
    {
        $blocks = [];
        foreach ($found->options as $place => $option) {
            if ($option === null) {
                continue;
            }
            $phase = $phases[$place];
            if (in_array($place, $found->waterBefore, true)) {
                $blocks[] = new ProposedBlock(Block::ofMinutes("w{$place}", BlockKind::Water, Objective::WATER_MINUTES), null, 'Water', []);
            }
            $blocks[] = new ProposedBlock(
                Block::ofDrill("p{$place}", $option->drill, $option->dose, $phase->tempo(), $option->limitedTo),
                $phase,
                $option->drill->name,
                $reasons->of($option, $found->extras[$place] ?? []),
            );
        }
        if ($hasRecap) {
            $blocks[] = new ProposedBlock(
                Block::ofMinutes('recap', BlockKind::Talk, Objective::RECAP_MINUTES),
                null,
                'What was today about?',
                [],
            );
        }
        $evaluation = PlanEvaluator::evaluate(
            array_map(static fn (ProposedBlock $one): Block => $one->block, $blocks),
            $request->context,
            $request->slotMinutes * 60.0,
        );

        $left = $request->slotMinutes - $evaluation->finish->at(0.8) / 60.0;
        $notes = $left >= self::SPARE_MINUTES
            ? [sprintf('Ends about %d minutes before the slot does: add a set, or play on.', (int) floor($left))]
            : [];

        return new Proposal(
            $blocks,
            $found->value,
            $evaluation,
            [...self::notes($found, $phases), ...$notes, ...self::feet($request, $evaluation)],
        );
    }

    /**
     * @param  non-empty-list<Phase>  $phases
     * @return list<string>
     */
    private static function notes(Sequence $found, array $phases): array
    {
        $notes = [];
        foreach ($found->options as $place => $option) {
            if ($option === null) {
                $notes[] = 'No '.$phases[$place]->words().': nothing that may be done fits into the time left.';
            } elseif ($phases[$place] === Phase::Game && ! $option->drill->demands->keepsTheme) {
                $notes[] = 'The game does not keep the theme\'s rule; say it before the whistle, or choose one that does.';
            }
        }

        return $notes;
    }

    /** @return list<string> a session that leaves one foot behind says so, unless that was asked for */
    private static function feet(BuildRequest $request, PlanEvaluation $evaluation): array
    {
        [$left, $right] = [0.0, 0.0];
        foreach ($evaluation->touches as $tally) {
            $left += $tally->contactsOf(FootMark::Left);
            $right += $tally->contactsOf(FootMark::Right);
        }

        return $request->wish === Wish::WeakerFoot || FootBalance::isKept($left, $right)
            ? []
            : [
                sprintf(
                    'The %s foot has %d%% of the touches.',
                    $left < $right ? 'left' : 'right',
                    (int) round(100 * FootBalance::share($left, $right)),
                ),
            ];
    }

    /**
     * @param  list<Proposal>  $proposals
     * @return list<Refusal>
     */
    private static function shortfall(BuildRequest $request, array $proposals, Wishes $wishes): array
    {
        return match (true) {
            $proposals === [] => [
                new Refusal(
                    'a session',
                    $wishes->whyNothing($request->slotMinutes),
                    'Give it more time, fewer locks, or more of what is short.',
                ),
            ],
            count($proposals) < self::PROPOSALS => [
                new Refusal(
                    'three proposals',
                    'Within these wishes there are no more that differ in at least half of their drills.',
                    'Take a lock or a ban away for more.',
                ),
            ],
            default => [],
        };
    }
}
