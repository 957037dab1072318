<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\Counted;

/**
 * Proposes sessions: warm-up with the ball, technique, technique under more demand, a number to beat, a game, and a talk by
 * question, as is common practice. HardLimits are limits; what is chosen within them is worth most by the written objective.
 */
final class SessionBuilder
{
    public const PROPOSALS = 3;

    /** Of each part's drills so many are looked at in combination, those worth most by themselves; enough for three that differ. */
    private const DRILLS_A_PART = 8;

    /** So many of what was wanted and cannot be are named. */
    private const LEFT_OUT = 3;

    /** Less time to spare than this is not worth a word. */
    private const SPARE_MINUTES = 5;

    /** A session shorter than this ends without a talk. */
    private const RECAP_FROM_MINUTES = 20;

    public static function propose(BuildRequest $request): BuildAnswer
    {
        [$request, $refusals] = self::slot($request->shuffled());
        $limits = new HardLimits($request);
        [$theme, $impossible] = self::theme($request, $limits);
        $refusals = [...$refusals, ...$impossible];
        $weights = $request->weights->wishing($request->wish);
        $wishes = (new Wishes($request, $limits, $theme))->resolved(Phase::within(
            $request->slotMinutes * 60.0,
            count($request->context->players),
        ));
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
        $reasons = new Reasons($request, $theme, $weights);
        $proposals = [];
        for ($i = 0; $i < self::PROPOSALS; $i++) {
            $found = (new Search(
                $objective,
                self::others($options, $proposals, $wishes),
                [...$request->seen, ...array_map(static fn (Proposal $one): array => $one->slugs(), $proposals)],
                $wishes->lockedSlugs(),
                $wishes->wishedPhases(),
            ))->best($wishes->phases);
            if ($found === null || $found->slugs === []) {
                break;
            }
            $proposals[] = self::proposal($request, $found, $wishes->phases, $reasons, $hasRecap, $theme);
        }

        usort($proposals, static fn (Proposal $a, Proposal $b): int => $b->worth <=> $a->worth);

        return new BuildAnswer(
            $proposals,
            [...$refusals, ...$wishes->refusals, ...self::shortfall($request, $proposals, $wishes)],
            $theme,
            $request->slotMinutes,
            self::leftOut($request, $limits, $theme),
        );
    }

    /** @return list<LeftOut> what the squad needs most of what cannot be done: stuck and next first, then the theme */
    private static function leftOut(BuildRequest $request, HardLimits $limits, Family $theme): array
    {
        [$needs, $wanted, $why] = [$request->needs, [], []];
        foreach ($request->book as $drill) {
            $worth = 3 * count($needs->stuck[$drill->slug] ?? []) + 2 * ($needs->nextRungs[$drill->slug] ?? 0)
                + ($drill->family === $theme ? 1 : 0);
            $barred = $worth > 0 ? $limits->why($drill) : null;
            if ($barred !== null) {
                $wanted[$drill->slug] = $worth;
                $why[$drill->slug] = new LeftOut($drill->name, $barred);
            }
        }
        arsort($wanted);

        return array_map(
            static fn (string $slug): LeftOut => $why[$slug],
            array_slice(array_keys($wanted), 0, self::LEFT_OUT),
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

    /**
     * The theme that was asked for, or what is needed most: where nothing of what was asked for can be done, that is said.
     *
     * @return array{Family, list<Refusal>}
     */
    private static function theme(BuildRequest $request, HardLimits $limits): array
    {
        $needed = self::neededMost($request, $limits);
        if ($request->theme === null) {
            return [$needed, []];
        }
        $why = [];
        foreach ($request->book as $drill) {
            if ($drill->family === $request->theme && self::isTrained($drill)) {
                $barred = $limits->why($drill);
                if ($barred === null) {
                    return [$request->theme, []];
                }
                $why[] = $barred;
            }
        }

        return [$needed, [new Refusal(
            "a session on {$request->theme->words()}",
            $why[0] ?? "There is no drill for {$request->theme->words()} to choose from.",
            "Built on {$needed->words()}: there is enough of it that can be done today.",
        )]];
    }

    private static function isTrained(Drill $drill): bool
    {
        return Phase::Technique->suits($drill) || Phase::Demand->suits($drill) || Phase::Challenge->suits($drill);
    }

    /** @return array<string, list<Option>> phase → what may stand there */
    private static function options(BuildRequest $request, Family $theme, Weights $weights, HardLimits $limits, Wishes $wishes): array
    {
        $maker = new OptionMaker($request, $theme, $weights, $limits);
        $options = [];
        foreach ($wishes->phases as $phase) {
            if (isset($options[$phase->value])) {
                continue;
            }
            $own = array_values(
                array_filter(
                    array_map(
                        static fn (Drill $drill): ?Option => $wishes->allows($phase, $drill) ? $maker->own($phase, $drill) : null,
                        $wishes->book,
                    ),
                ),
            );
            $own = self::onTheTheme($phase, $own, $theme, $wishes);
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

    /**
     * Each proposal begins and ends in its own way, where there is another.
     *
     * @param  array<string, list<Option>>  $options  phase → what may stand there
     * @param  list<Proposal>  $proposals  made so far
     * @return array<string, list<Option>>
     */
    private static function others(array $options, array $proposals, Wishes $wishes): array
    {
        $taken = array_merge([], ...array_map(static fn (Proposal $one): array => $one->slugs(), $proposals));
        foreach ([Phase::WarmUp] as $phase) {
            $left = array_values(array_filter(
                $options[$phase->value] ?? [],
                static fn (Option $one): bool => ! in_array($one->drill->slug, $taken, true),
            ));
            if ($left !== [] && ! in_array($phase->value, $wishes->wishedPhases(), true)) {
                $options[$phase->value] = $left;
            }
        }

        return $options;
    }

    /**
     * Technique is the theme's, where there is anything of it and nothing else was wished for there.
     *
     * @param  list<Option>  $options
     * @return list<Option>
     */
    private static function onTheTheme(Phase $phase, array $options, Family $theme, Wishes $wishes): array
    {
        $of = array_values(array_filter($options, static fn (Option $one): bool => $one->drill->family === $theme));

        return $phase !== Phase::Technique || count($of) < self::PROPOSALS || in_array($phase->value, $wishes->wishedPhases(), true)
            ? $options
            : $of;
    }

    /** @param  non-empty-list<Phase>  $phases */
    private static function proposal(
        BuildRequest $request,
        Sequence $found,
        array $phases,
        Reasons $reasons,
        bool $hasRecap,
        Family $theme,
    ): Proposal {
        [$blocks, $said] = [[], []];
        foreach ($found->options as $place => $option) {
            if ($option === null) {
                continue;
            }
            $phase = $phases[$place];
            if (in_array($place, $found->waterBefore, true)) {
                $blocks[] = new ProposedBlock(Block::ofMinutes("w{$place}", BlockKind::Water, Objective::WATER_MINUTES), null, 'Water', []);
            }
            $why = $reasons->of($option, $found->extras[$place] ?? [], $said);
            $said = [...$said, ...array_map(static fn (Reason $one): string => $one->words, $why)];
            $blocks[] = new ProposedBlock(
                Block::ofDrill(
                    id: "p{$place}",
                    drill: $option->drill,
                    dose: $option->dose,
                    tempo: $option->tempo,
                    stations: $option->limitedTo,
                    counted: $option->isCounted ? null : Counted::nothing(),
                ),
                $phase,
                $option->drill->name,
                $why,
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
            $theme,
        );

        $left = $request->slotMinutes - $evaluation->finish->at(0.8) / 60.0;
        $notes = $left >= self::SPARE_MINUTES
            ? [sprintf('Ends about %d minutes before the slot does: add a set, or play on.', (int) floor($left))]
            : [];

        return new Proposal(
            $blocks,
            $found->value,
            $evaluation,
            [...self::notes($found, $phases, $theme), ...$notes],
        );
    }

    /**
     * @param  non-empty-list<Phase>  $phases
     * @return list<string>
     */
    private static function notes(Sequence $found, array $phases, Family $theme): array
    {
        $notes = [];
        foreach ($found->options as $place => $option) {
            if ($option === null) {
                $notes[] = ucfirst($phases[$place]->words()).' is left out: nothing that may be done fits into the time left.';
            } elseif ($phases[$place] === Phase::Game && $option->drill->family !== $theme && ! $option->drill->demands->keepsTheme) {
                $notes[] = "The game is not made for {$theme->words()}: what was trained counts double in it; say so before the whistle.";
            }
        }

        return $notes;
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
