<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Plan;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Touch\Tally;

/** Works out one block: who works when, how long each part takes, and what each player touches. */
final class BlockEvaluator
{
    /** @var array<string, SetUp> what was laid out before: layouts live as long as the plan that is evaluated */
    private array $laid = [];

    /** @param  bool  $isBrief  times and touches only, without the stretches, the reasons and the warnings: for trying many variants */
    public function __construct(private readonly PlanContext $context, private readonly bool $isBrief = false)
    {
    }

    /**
     * @param  Layout|null  $before  what still stands on the ground
     * @param  int  $stationsBefore  how many of it
     */
    public function evaluate(Block $block, ?Layout $before, int $stationsBefore): BlockEvaluation
    {
        return $block->drill === null || $block->dose === null
            ? $this->minutes($block)
            : $this->drill($block, $block->drill, $block->dose, $before, $stationsBefore);
    }

    private function minutes(Block $block): BlockEvaluation
    {
        $seconds = $block->minutes * 60.0;
        $kind = match ($block->kind) {
            BlockKind::Water => SegmentKind::Water,
            BlockKind::Game => SegmentKind::Game,
            default => SegmentKind::Talk,
        };

        return new BlockEvaluation(
            $block->id,
            DurationEstimate::judged($seconds, $this->context->rules->partVariation),
            DurationEstimate::fixed(0.0),
            ['other' => $seconds],
            array_fill_keys(array_map(static fn (PlanPlayer $player): string => $player->id, $this->context->players), Tally::zero()),
            0,
            1,
            0,
            0.0,
            [new Segment("{$block->id}-1", $block->id, $kind, $seconds, false)],
            [sprintf('%g min as planned, give or take a quarter.', $block->minutes)],
            [],
            null,
        );
    }

    private function drill(Block $block, Drill $drill, Dose $dose, ?Layout $before, int $stationsBefore): BlockEvaluation
    {
        $rules = $this->context->rules;
        $organisation = $drill->organisation;
        $players = $this->context->players;
        $stations = $block->stations ?? max(1, (int) ceil(count($players) / $organisation->playersPerStation()));
        $waves = Waves::of($players, $stations, $organisation->workers, $organisation->playerServers);
        // Fewer players than stations leave stations empty: nothing is laid out for them.
        $inUse = min($stations, (int) ceil(count($players) / $organisation->playersPerStation()));
        $pace = $drill->pace($block->tempo);
        $paces = [];
        foreach ($players as $player) {
            $tries = $player->triesByDrill[$drill->slug] ?? null;
            $paces[$player->id] = $tries === null ? $pace : $pace->withTries($tries['made'], $tries['missed']);
        }

        $laying = $this->laid[spl_object_id($drill->layout).' '.($before === null ? '' : spl_object_id($before))." {$inUse} {$stationsBefore}"] ??= SetUp::of($drill->layout, $inUse, $before, $stationsBefore);
        $known = in_array($drill->slug, $this->context->knownDrills, true);
        $setUp = $laying->touched() * $rules->markerSeconds;
        $explain = $known ? $rules->explainKnownSeconds : $rules->explainNewSeconds;
        $changeOver = (count($waves) - 1) * $rules->changeOverSeconds;

        $work = DurationEstimate::fixed(0.0);
        $turnMeans = [];
        $writeSeconds = 0.0;
        $sets = $dose->sides()->count() * $dose->sets();
        foreach ($waves as $working) {
            $turn = $dose->turnTime(array_map(static fn (PlanPlayer $player): Pace => $paces[$player->id], $working));
            $turnMeans[] = $turn->meanSeconds;
            $work = $work->plus($turn);
            $writeSeconds += self::writeSeconds($drill, $dose, count($working), $sets, $rules);
        }

        return new BlockEvaluation(
            $block->id,
            self::judged([$setUp, $explain, $changeOver, $writeSeconds], $rules->partVariation),
            $work,
            ['setUp' => $setUp, 'explain' => $explain, 'work' => $work->meanSeconds, 'changeOver' => $changeOver, 'write' => $writeSeconds],
            $touches = $this->touches($drill, $dose, $paces),
            $inUse,
            count($waves),
            $laying->markers,
            $wait = self::longestWait($drill, count($players), $stations, $turnMeans, $rules),
            $this->isBrief ? [] : (new BlockSegments($block, $drill, $dose, $pace, $rules))->of($waves, $turnMeans, $setUp, $explain),
            $this->isBrief ? [] : [$laying->sentence($rules->markerSeconds), ...self::how($drill, $dose, $pace, $rules, $known, $waves, $paces)],
            $this->isBrief ? [] : BlockWarnings::of($drill, $inUse, $this->context, $wait, $turnMeans[0], $stations, $touches),
            $laying,
        );
    }

    /** Numbers are written in the rest between sets; only what does not fit there, and the last set's, takes extra time. */
    private static function writeSeconds(Drill $drill, Dose $dose, int $working, int $sets, ClockRules $rules): float
    {
        if ($drill->rule === null) {
            return 0.0;
        }
        $once = $working * $rules->writeSeconds;

        return $once + ($sets - 1) * max(0.0, $once - $dose->restSeconds());
    }

    /** @param  list<float>  $parts seconds of independent judged parts */
    private static function judged(array $parts, float $variation): DurationEstimate
    {
        return array_reduce(
            $parts,
            static fn (DurationEstimate $sum, float $seconds): DurationEstimate => $sum->plus(DurationEstimate::judged($seconds, $variation)),
            DurationEstimate::fixed(0.0),
        );
    }

    /**
     * @param  array<array-key, Pace>  $paces
     * @return array<string, Tally>
     */
    private function touches(Drill $drill, Dose $dose, array $paces): array
    {
        $same = [];
        $touches = [];
        foreach ($this->context->players as $player) {
            $pace = $paces[$player->id];
            $key = "{$player->strongFoot->value} {$pace->made} {$pace->missed}";
            $touches[$player->id] = $same[$key] ??= BlockTouches::of($drill, $dose, $pace, $player->strongFoot);
        }

        return $touches;
    }

    /**
     * Players of one group wait while the other groups take their turns; a server does not wait.
     *
     * @param  non-empty-list<float>  $turnMeans
     */
    private static function longestWait(Drill $drill, int $players, int $stations, array $turnMeans, ClockRules $rules): float
    {
        $groups = (int) ceil($players / ($stations * $drill->organisation->playersPerStation()));
        $swaps = (int) ceil($drill->organisation->playersPerStation() / $drill->organisation->workers);

        return ($groups - 1) * $swaps * (max($turnMeans) + $rules->changeOverSeconds);
    }

    /**
     * @param  non-empty-list<non-empty-list<PlanPlayer>>  $waves
     * @param  array<array-key, Pace>  $paces
     * @return list<string>
     */
    private static function how(Drill $drill, Dose $dose, Pace $pace, ClockRules $rules, bool $known, array $waves, array $paces): array
    {
        $how = [
            $known
                ? sprintf('Explaining: %g s, done in the last three sessions.', $rules->explainKnownSeconds)
                : sprintf('Explaining: %g s, new or not done lately.', $rules->explainNewSeconds),
        ];
        if (count($waves) > 1) {
            $how[] = sprintf('%d turns, %g s from one to the next.', count($waves), $rules->changeOverSeconds);
        }
        $how[] = sprintf('A rep is %.1f s, so touches are estimated, not counted.', $pace->secondsPerRep);
        if ($dose->kind() === 'quota') {
            $measured = count(array_filter($paces, static fn (Pace $own): bool => $own->made + $own->missed > 0));
            $how[] = sprintf('Chance of a good one: the drill\'s own %d%%, weighed as 10 tries, with the tries of %d of %d players. Each side ends with its slowest worker.', (int) round(100 * $drill->goodChance), $measured, count($paces));
        }
        if ($dose->kind() === 'race') {
            $how[] = 'Each go ends with its slowest worker.';
        }
        if ($dose->kind() === 'circuit') {
            $how[] = 'Items follow each other without stopping: the sum of their times and of the rests between.';
        }

        return $how;
    }
}
