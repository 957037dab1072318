<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Clock\SetUp;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Shared\DurationEstimate;

/** What a choice of drills in their order is worth, and how long it takes: the written objective, see `Weights`. */
final class Objective
{
    /** The quick estimate while searching is a little off what the plays of the finished session give; this tool's own value. */
    private const MARGIN = 0.995;

    /** Standard deviations from the mean to the eight-in-ten time of a normal distribution; R: qnorm(.8) is 0.8416212. */
    private const EIGHT_IN_TEN = 0.8416212;

    public const WATER_MINUTES = 2.0;

    public const RECAP_MINUTES = 2.0;

    /** @var array<string, SetUp> */
    private array $laid = [];

    public function __construct(
        private readonly Weights $weights,
        private readonly ClockRules $rules,
        private readonly float $slotSeconds,
        private readonly float $waterMinutes,
        private readonly bool $hasRecap,
        private readonly bool $isLaidBefore = true,
        private readonly ?HeadingRoom $heading = null,
    ) {
    }

    /** Nothing chosen yet; the talk at the end is certain. */
    public function nothing(): Sequence
    {
        $time = $this->hasRecap
            ? DurationEstimate::judged(self::RECAP_MINUTES * 60.0, $this->rules->partVariation)
            : DurationEstimate::fixed(0.0);

        return new Sequence([], 0.0, $time, [], []);
    }

    /** @param  list<Option|null>  $options */
    public function of(array $options): Sequence
    {
        return array_reduce($options, $this->with(...), $this->nothing());
    }

    /** One part more; with water before it where it would be too long without. */
    public function with(Sequence $so, ?Option $option): Sequence
    {
        if ($option === null) {
            return new Sequence(
                options: [...$so->options, null],
                value: $so->value,
                time: $so->time,
                extras: [...$so->extras, []],
                waterBefore: $so->waterBefore,
                ground: $so->ground,
                stations: $so->stations,
                layoutKey: $so->layoutKey,
                drySeconds: $so->drySeconds,
                slugs: $so->slugs,
                scripts: $so->scripts,
                doseKinds: $so->doseKinds,
            );
        }
        [$time, $waters, $dry] = [$so->time->plus($option->time), $so->waterBefore, $so->drySeconds];
        if ($dry > 0.0 && $dry + $option->work->meanSeconds > $this->waterMinutes * 60.0) {
            $time = $time->plus(DurationEstimate::judged(self::WATER_MINUTES * 60.0, $this->rules->partVariation));
            $waters[] = count($so->options);
            $dry = 0.0;
        }
        $setUp = $this->setUp($option, $so->ground, $so->stations, $so->layoutKey);
        $isNothingLaid = $option->layout->markers() === [];
        // The first layout lies before the start; on the spot none is laid, and what stands stays.
        $seconds = $isNothingLaid || ($so->ground === null && $this->isLaidBefore)
            ? 0.0
            : $setUp->touched() * $this->rules->markerSeconds * $this->rules->setUp->factor;
        $extra = [
            'variety' => self::variety($option, $so),
            'sharedLayout' => $so->slugs !== [] && ($isNothingLaid || $setUp->touched() === 0) ? 1.0 : 0.0,
            'setUpSeconds' => $seconds,
        ];

        return new Sequence(
            options: [...$so->options, $option],
            value: $so->value + $option->worth + $this->weights->variety * $extra['variety']
                + $this->weights->sharedLayout * $extra['sharedLayout']
                - $this->weights->setUp * $seconds / $this->slotSeconds,
            time: $seconds > 0.0 ? $time->plus(DurationEstimate::judged($seconds, $this->rules->setUp->variation)) : $time,
            extras: [...$so->extras, $extra],
            waterBefore: $waters,
            ground: $isNothingLaid ? $so->ground : $option->layout,
            stations: $isNothingLaid ? $so->stations : $option->stations,
            layoutKey: $isNothingLaid ? $so->layoutKey : $option->layoutKey,
            drySeconds: $dry + $option->work->meanSeconds,
            slugs: [...$so->slugs, $option->drill->slug],
            scripts: [$option->scriptText => true] + $so->scripts,
            doseKinds: [$option->doseKind => true] + $so->doseKinds,
        );
    }

    /** Whether eight in ten such sessions end within the slot, and nobody is asked for more heading than the limit leaves. */
    public function fits(Sequence $sequence): bool
    {
        if ($sequence->time->meanSeconds > $this->slotSeconds) {
            return false;
        }
        if ($this->heading?->holds($sequence->options) === false) {
            return false;
        }
        // As if no clock ended any of it: a little late is better than a little over. Sessions lean to late ends, which brings the
        // eight-in-ten time a little nearer than a normal distribution has it.
        $total = $sequence->time->withSharedFactor($this->rules->sharedVariation);

        return $total->meanSeconds + self::EIGHT_IN_TEN * $total->standardDeviationSeconds() <= self::MARGIN * $this->slotSeconds;
    }

    /** In which of so many steps of the slot it ends on average. */
    public function lengthOf(Sequence $sequence, int $steps): int
    {
        return (int) floor($steps * $sequence->time->meanSeconds / $this->slotSeconds);
    }

    private function setUp(Option $option, ?Layout $before, int $stations, string $key): SetUp
    {
        return $this->laid["{$option->layoutKey} {$option->stations} {$key} {$stations}"] ??= SetUp::of(
            $option->layout,
            $option->stations,
            $before,
            $stations,
        );
    }

    /**
     * The most that a part can add to the value wherever it stands: what depends on its neighbours in full, and nothing to lay.
     * A choice that is not worth enough by this needs no looking at.
     */
    public function most(?Option $option): float
    {
        return $option === null ? 0.0 : $option->worth + $this->weights->variety + $this->weights->sharedLayout;
    }

    /** Full where neither the script nor the kind of dose came before; half where one of them did. */
    private static function variety(Option $option, Sequence $so): float
    {
        return (isset($so->scripts[$option->scriptText]) ? 0.0 : 0.5) + (isset($so->doseKinds[$option->doseKind]) ? 0.0 : 0.5);
    }
}
