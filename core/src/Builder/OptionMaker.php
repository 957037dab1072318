<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Evaluation\BlockEvaluator;
use FleetSparrow\Core\Evaluation\Standing;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Season\Fade;
use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\HeadingTime;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Tally;
use FleetSparrow\Core\Touch\TallyReader;

/** Works out what each drill would be worth in each part of the session: one look at every drill, whatever is combined later. */
final class OptionMaker
{
    /** A drill done in the last two weeks is half repeated. */
    private const LATELY_DAYS = 14;

    /** What an even share of touches is worth where nobody lags, of what it is worth where somebody does. */
    private const BOTH_FEET = 0.4;

    private const NEW_DOSE = ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 2, 'restSeconds' => 20, 'sides' => 'each'];

    /** @var array<string, BlockEvaluation> slug and dose → what it comes to on empty ground */
    private array $worked = [];

    public function __construct(
        private readonly BuildRequest $request,
        private readonly Family $theme,
        private readonly Weights $weights,
        private readonly HardLimits $limits,
    ) {
    }

    /** The drill with its own dose; null when it cannot be laid out. */
    public function own(Phase $phase, Drill $drill): ?Option
    {
        return $this->option($phase, $drill, $this->dose($drill, $this->ownFields($drill)) ?? DoseKinds::standard()->read(self::NEW_DOSE));
    }

    /** @return list<Option> the same with other numbers of sets: one fewer, one more, two more */
    public function variants(Phase $phase, Option $own): array
    {
        $fields = $own->dose->fields();
        $variants = [];
        foreach (is_int($fields['sets'] ?? null) ? [$fields['sets'] - 1, $fields['sets'] + 1, $fields['sets'] + 2] : [] as $sets) {
            $dose = $sets < 1 ? null : $this->dose($own->drill, ['sets' => $sets] + $fields);
            $variant = $dose === null ? null : $this->option($phase, $own->drill, $dose);
            if ($variant !== null) {
                $variants[] = $variant;
            }
        }

        return $variants;
    }

    private function option(Phase $phase, Drill $drill, Dose $dose): ?Option
    {
        $block = Block::ofDrill("{$drill->slug} ".json_encode($dose->fields()), $drill, $dose, $phase->tempo(), null);
        $worked = $this->worked["{$block->id} {$block->tempo->value}"] ??= $this->evaluate($block);
        $stations = $this->limits->stations($drill, max(1, $worked->stations));
        if ($stations === 0) {
            return null;
        }
        $limitedTo = $stations < $worked->stations ? $stations : null;
        if ($limitedTo !== null) {
            $worked = $this->worked["{$block->id} {$block->tempo->value} {$stations}"] ??= $this->evaluate($block->withStations($stations));
        }
        $terms = $this->terms($phase, $drill, $worked);
        $players = max(1, count($worked->times));
        $ball = array_sum(array_map(static fn (PlayerTime $time): float => $time->ballSeconds, $worked->times)) / $players;
        $waiting = array_sum(array_map(static fn (PlayerTime $time): float => $time->waitingSeconds, $worked->times)) / $players;
        $slot = $this->request->slotMinutes * 60.0;
        $worth = $this->weights->ballTime * $ball / $slot - $this->weights->waiting * $waiting / $slot;
        foreach ($terms as $term => $value) {
            $worth += $this->weights->of($term) * $value;
        }
        $rules = $this->request->context->rules;
        $judged = DurationEstimate::fixed(0.0);
        foreach ([
            'explain' => $rules->explain->variation,
            'changeOver' => $rules->changeOver->variation,
            'write' => $rules->partVariation,
        ] as $part => $variation) {
            $judged = $judged->plus(DurationEstimate::judged($worked->partSeconds[$part] ?? 0.0, $variation));
        }

        return new Option(
            drill: $drill,
            dose: $dose,
            stations: $stations,
            limitedTo: $limitedTo,
            judged: $judged,
            work: DurationEstimate::ofMoments($worked->work->mean(), $worked->work->variance()),
            ballSeconds: $ball,
            waitingSeconds: $waiting,
            terms: $terms,
            worth: $worth,
            layout: $worked->layout ?? $drill->layout,
            layoutKey: $drill->layout->kind().json_encode($drill->layout->parameters()),
            scriptText: $drill->script->text(),
            doseKind: $dose->kind(),
            headers: max([0.0, ...HeadingTime::of([$worked])->headers]),
        );
    }

    private function evaluate(Block $block): BlockEvaluation
    {
        $context = $this->request->context;

        $draw = new GroupDraw(new SeasonPast, $context->helpers, $context->kit);

        return (new BlockEvaluator($context, $draw, isBrief: true))->evaluate($block, new Standing);
    }

    /** @return array<string, int|float|string> */
    private function ownFields(Drill $drill): array
    {
        $own = $drill->dose?->fields() ?? self::NEW_DOSE;

        return $this->request->wish === Wish::WeakerFoot && in_array($own['sides'] ?? null, ['each', 'left', 'right', 'strong'], true)
            ? ['sides' => 'weaker'] + $own
            : $own;
    }

    /** @param  array<string, int|float|string>  $fields */
    private function dose(Drill $drill, array $fields): ?Dose
    {
        try {
            return $drill->doseFrom($fields);
        } catch (CoreException) {
            return null;
        }
    }

    /** @return array<string, float> */
    private function terms(Phase $phase, Drill $drill, BlockEvaluation $worked): array
    {
        $needs = $this->request->needs;
        $players = max(1, count($this->request->context->players));
        $daysAgo = $needs->familyDaysAgo[$drill->family->value] ?? null;
        $drillAgo = $needs->drillDaysAgo[$drill->slug] ?? null;

        return [
            'stale' => $daysAgo === null ? 1.0 : Fade::share($daysAgo),
            'foot' => $this->foot($this->weakerShare($worked)),
            'ladder' => min(1.0, ($needs->nextRungs[$drill->slug] ?? 0) / $players),
            'target' => $phase === Phase::Challenge ? min(1.0, ($needs->records[$drill->slug] ?? 0) / $players) : 0.0,
            'repeat' => $phase !== Phase::Technique ? 0.0 : match (true) {
                in_array($drill->slug, $needs->lastTime, true) => 1.0,
                $drillAgo !== null && $drillAgo <= self::LATELY_DAYS => 0.5,
                default => 0.0,
            },
            'theme' => match (true) {
                $phase === Phase::Game => $drill->demands->keepsTheme ? 1.0 : 0.3,
                $drill->family === $this->theme => 1.0,
                default => 0.0,
            },
        ];
    }

    /**
     * Asked for alone, the weaker foot is worth its share of the touches. Where it lags it is worth an even share or more, as much
     * as it lags: in full at three touches in ten. Where it does not, both feet alike are liked.
     */
    private function foot(float $share): float
    {
        $lately = $this->request->needs->weakerShare;
        $lags = $lately === null ? 0.0 : min(1.0, max(0.0, (0.5 - $lately) / 0.2));

        return match (true) {
            $this->request->wish === Wish::WeakerFoot => $share,
            $lags > self::BOTH_FEET => $lags * min(1.0, 2.0 * $share),
            default => self::BOTH_FEET * 2.0 * min($share, 1.0 - $share),
        };
    }

    private function weakerShare(BlockEvaluation $worked): float
    {
        [$weaker, $all] = [0.0, 0.0];
        $read = new TallyReader(
            static fn (Tally $tally): array => [$tally->contactsOf(FootMark::Left), $tally->contactsOf(FootMark::Right)],
        );
        foreach ($this->request->context->players as $player) {
            $tally = $worked->touches[$player->id] ?? null;
            if ($tally === null || $player->strongFoot === StrongFoot::Both) {
                continue;
            }
            [$left, $right] = $read->of($tally);
            $weaker += $player->strongFoot === StrongFoot::Right ? $left : $right;
            $all += $left + $right;
        }

        return $all > 0.0 ? $weaker / $all : 0.0;
    }
}
