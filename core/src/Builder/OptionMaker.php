<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Advice\Bearable;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Evaluation\BlockEvaluator;
use FleetSparrow\Core\Evaluation\Detail;
use FleetSparrow\Core\Evaluation\Standing;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\Counted;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Season\Fade;
use FleetSparrow\Core\Shared\DurationEstimate;

/** Works out what each drill would be worth in each part of the session: one look at every drill, whatever is combined later. */
final class OptionMaker
{
    /** A drill done in the last two weeks is half repeated. */
    private const LATELY_DAYS = 14;

    /** What an even share of touches is worth where nobody lags, of what it is worth where somebody does. */
    private const BOTH_FEET = 0.4;

    /** Less work than this of a drill's time, laying out left out, is not worth telling it; this tool's own value. */
    private const LEAST_WORK = 0.5;

    /** A closing game is no longer than that; this tool's own value. */
    private const LONGEST_GAME_MINUTES = 20.0;

    private const IN_TURN = [Phase::WarmUp, Phase::Duel, Phase::Game];

    private const NEW_DOSE = ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 2, 'restSeconds' => 20, 'sides' => 'each'];

    /** Everything but the drill and its dose that its figures depend on. */
    private readonly string $situation;

    /** @var array<string, string> slug → all of the drill, in short */
    private array $contents = [];

    public function __construct(
        private readonly BuildRequest $request,
        private readonly Family $theme,
        private readonly Weights $weights,
        private readonly HardLimits $limits,
    ) {
        $context = $request->context;
        $this->situation = hash('xxh128', serialize([
            $context->players, $context->knownDrills, $context->rules, $context->kit, $context->area, $context->helpers,
            $context->isLaidBefore,
        ]));
    }

    /**
     * The drill with its own dose, or with fewer sets where that is longer than the age bears; null when it cannot be laid out, is too
     * long even so, or has somebody wait longer than they work.
     */
    public function own(Phase $phase, Drill $drill): ?Option
    {
        $dose = $this->dose($drill, $this->ownFields($drill)) ?? DoseKinds::standard()->read(self::NEW_DOSE);
        $own = $this->option($phase, $drill, $dose);
        if ($own !== null && $this->isBearable($phase, $own)) {
            return $own;
        }
        $sets = $own === null ? null : $dose->fields()['sets'] ?? null;
        for ($fewer = is_int($sets) ? $sets - 1 : 0; $fewer >= 1; $fewer--) {
            $short = $this->dose($drill, ['sets' => $fewer] + $dose->fields());
            $option = $short === null ? null : $this->option($phase, $drill, $short);
            if ($option !== null && $this->isBearable($phase, $option)) {
                return $option;
            }
        }

        return null;
    }

    /** @return list<Option> the same with other numbers of sets, or other minutes where it is free */
    public function variants(Phase $phase, Option $own): array
    {
        $fields = $own->dose->fields();
        $changes = match (true) {
            is_int($fields['sets'] ?? null) => array_map(
                static fn (int $by): array => ['sets' => $fields['sets'] + $by],
                [-1, 1, 3],
            ),
            is_numeric($fields['minutes'] ?? null) => array_map(
                static fn (float $times): array => ['minutes' => min(self::LONGEST_GAME_MINUTES, round($times * $fields['minutes']))],
                [1.25, 1.75, 2.5],
            ),
            default => [],
        };
        $variants = [];
        foreach ($changes as $change) {
            $dose = ($change['sets'] ?? 1) < 1 ? null : $this->dose($own->drill, $change + $fields);
            $variant = $dose === null ? null : $this->option($phase, $own->drill, $dose);
            if ($variant !== null && $this->isBearable($phase, $variant)) {
                $variants[] = $variant;
            }
        }

        return $variants;
    }

    /** Not longer than children of this age stay with one thing, but for games; more work than talk; nobody waits longer than they work. */
    private function isBearable(Phase $phase, Option $option): bool
    {
        $seconds = $option->time->meanSeconds;

        return ($phase === Phase::Game || $seconds <= Bearable::minutes($this->request->underAge) * 60.0)
            && $option->work->meanSeconds >= self::LEAST_WORK * $seconds
            && $option->mostWaiting <= 0.0
            && ($phase !== Phase::WarmUp || $option->isBallForAll);
    }

    private function option(Phase $phase, Drill $drill, Dose $dose): ?Option
    {
        // Technique before speed: what is new today is not done at the tempo of a match.
        $isNew = $this->request->needs->drillDaysAgo !== [] && ! isset($this->request->needs->drillDaysAgo[$drill->slug]);
        $tempo = $isNew && $phase !== Phase::Game && $phase !== Phase::Duel ? Tempo::Steady : $phase->tempo();
        $isCounted = $phase !== Phase::WarmUp;
        $block = Block::ofDrill(
            id: "{$drill->slug} ".json_encode($dose->fields()).(int) $isCounted,
            drill: $drill,
            dose: $dose,
            tempo: $tempo,
            stations: null,
            counted: $isCounted ? null : Counted::nothing(),
        );
        $figures = $this->figures($block, $drill);
        $stations = $this->limits->stations($drill, max(1, $figures->stations));
        if ($stations === 0) {
            return null;
        }
        $limitedTo = $stations < $figures->stations ? $stations : null;
        if ($limitedTo !== null) {
            $figures = $this->figures($block->withStations($stations), $drill);
        }
        $terms = $this->terms($phase, $drill, $figures);
        $slot = $this->request->slotMinutes * 60.0;
        $worth = $this->weights->ballTime * $figures->ballSeconds / $slot - $this->weights->waiting * $figures->waitingSeconds / $slot
            + $this->weights->work * $figures->work->meanSeconds / $slot
            + ($drill->family === $this->theme ? $this->weights->themeTime * $figures->work->meanSeconds / $slot : 0.0);
        foreach ($terms as $term => $value) {
            $worth += $this->weights->of($term) * $value;
        }
        $rules = $this->request->context->rules;
        $time = $figures->work;
        foreach ([
            'explain' => $rules->explain->variation,
            'changeOver' => $rules->changeOver->variation,
            'write' => $rules->partVariation,
        ] as $part => $variation) {
            $time = $time->plus(DurationEstimate::judged($figures->judgedSeconds[$part], $variation));
        }

        return new Option(
            drill: $drill,
            dose: $dose,
            stations: $stations,
            limitedTo: $limitedTo,
            time: $time,
            work: $figures->work,
            ballSeconds: $figures->ballSeconds,
            waitingSeconds: $figures->waitingSeconds,
            terms: $terms,
            worth: $worth,
            layout: $figures->layout ?? $drill->layout,
            layoutKey: $drill->layout->kind().json_encode($drill->layout->parameters()),
            scriptText: $drill->script->text(),
            doseKind: $dose->kind(),
            headers: $figures->headers,
            tempo: $tempo,
            isCounted: $isCounted,
            mostWaiting: $figures->mostWaiting,
            isBallForAll: $figures->isBallForAll,
        );
    }

    private function figures(Block $block, Drill $drill): OptionFigures
    {
        $context = $this->request->context;
        $drillInShort = $this->contents[$drill->slug] ??= hash('xxh128', serialize($drill));

        return $context->memo->kept(
            "option {$this->situation} {$drillInShort} {$block->id} {$block->tempo->value} {$block->stations}",
            static fn (): OptionFigures => OptionFigures::of(
                (new BlockEvaluator($context, new GroupDraw(new SeasonPast, $context->helpers, $context->kit), Detail::Times))
                    ->evaluate($block, new Standing),
                $drill->layout,
                $context->players,
            ),
            OptionFigures::class,
        );
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
    private function terms(Phase $phase, Drill $drill, OptionFigures $figures): array
    {
        $needs = $this->request->needs;
        $players = max(1, count($this->request->context->players));
        $daysAgo = $needs->familyDaysAgo[$drill->family->value] ?? null;
        $drillAgo = $needs->drillDaysAgo[$drill->slug] ?? null;

        return [
            'stale' => $daysAgo === null ? 1.0 : Fade::share($daysAgo),
            'foot' => $this->foot($figures->weakerShare),
            'ladder' => min(1.0, ($needs->nextRungs[$drill->slug] ?? 0) / $players),
            'target' => $phase === Phase::Challenge ? min(1.0, ($needs->records[$drill->slug] ?? 0) / $players) : 0.0,
            'repeat' => $phase !== Phase::Technique ? 0.0 : match (true) {
                in_array($drill->slug, $needs->lastTime, true) => 1.0,
                $drillAgo !== null && $drillAgo <= self::LATELY_DAYS => 0.5,
                default => 0.0,
            },
            // Openers and games change from week to week: longest ago first, and by lot between those.
            'fresh' => in_array($phase, self::IN_TURN, true) ? ($drillAgo === null ? 1.0 : Fade::share($drillAgo)) : 0.0,
            'turn' => in_array($phase, self::IN_TURN, true) ? $this->lot($drill) : 0.0,
            'theme' => match (true) {
                $drill->family === $this->theme => 1.0,
                $phase === Phase::Game => $drill->demands->keepsTheme ? 0.6 : 0.3,
                default => 0.0,
            },
        ];
    }

    /** From 0 to 1, another for every squad, day, theme and size of group, and always the same. */
    private function lot(Drill $drill): float
    {
        $request = $this->request;
        $about = [$request->seed, $request->slotMinutes, $this->theme->value, count($request->context->players), $drill->slug];

        return hexdec(hash('crc32b', implode(' ', $about))) / 0xFFFFFFFF;
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
}
