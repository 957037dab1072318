<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

use Closure;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Organisation\Stationing;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Shared\Cure;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Timeline\BlockEvaluation;

/** Somebody waits too long: says so, with the first cure that is seen to shorten it when it is tried. */
final readonly class WaitAdvice
{
    /** Longer than this at a stretch is too long to stand (default). */
    private const LONGEST_WAIT_SECONDS = 60.0;

    /** A cure is worth a press where it takes a tenth of the wait away; this tool's own value. */
    private const WORTH_IT = 0.9;

    /**
     * @param  int|null  $fit  stations sure to fit into the area
     * @param  float|null  $limitSeconds  when a go is stopped
     * @param  bool  $isHelped  a helper had time to lay this block out: another has no more
     * @param  Closure(Block, int): BlockEvaluation  $tried  the block as changed, with so many helpers more
     * @param  Closure(): BlockEvaluation  $laidByHelper  its work as it is, laid out with one helper more
     * @param  Closure(): string  $question  everything that the answer depends on
     */
    public function __construct(
        private Block $block,
        private Drill $drill,
        private Stationing $stationing,
        private ?int $fit,
        private ?float $limitSeconds,
        private bool $isHelped,
        private PlanContext $context,
        private Closure $tried,
        private Closure $laidByHelper,
        private Closure $question,
    ) {
    }

    /** @return list<Warning> */
    public function of(BlockEvaluation $evaluation): array
    {
        [$longest, $work] = [null, 0.0];
        foreach ($evaluation->times as $time) {
            $longest = $longest === null || $time->longestWaitSeconds > $longest->longestWaitSeconds ? $time : $longest;
            $work = max($work, $time->workSeconds());
        }
        if ($longest === null || $work <= 0.0) {
            return [];
        }
        $isLong = $longest->longestWaitSeconds > self::LONGEST_WAIT_SECONDS;
        // Under a minute in all is nothing to speak of.
        $isMuch = $longest->waitingSeconds > max(self::LONGEST_WAIT_SECONDS, $longest->workSeconds() + $longest->servingSeconds);
        if (! $isLong && ! $isMuch) {
            return [];
        }
        $isLaying = ($evaluation->partSeconds['setUp'] ?? 0.0) >= $longest->longestWaitSeconds - 1e-9;
        $sentence = $isLaying && $isLong
            ? sprintf('Laying out takes %s, and everybody waits.', self::clock($longest->longestWaitSeconds))
            : sprintf(
                'Somebody waits %s in all, %s at a time, and '.($this->drill->usesBall ? 'has the ball for' : 'works for').' %s.',
                self::clock($longest->waitingSeconds),
                self::clock($longest->longestWaitSeconds),
                self::clock($longest->workSeconds()),
            );
        $cure = $this->context->memo->kept(
            'cure '.($this->question)().' '.(int) $isLong.(int) $isLaying,
            fn (): KeptCure => new KeptCure($this->cure(self::wait($evaluation, $isLong), $isLong, $isLaying)),
            KeptCure::class,
        )->cure;

        return [new Warning($sentence.$this->why($cure, $isLong && $isLaying), $cure, 'wait')];
    }

    private function why(?Cure $cure, bool $isOfLaying): string
    {
        return match (true) {
            $isOfLaying && $cure === null && $this->stationing->stations > 1 => ' Fewer stations are laid out sooner.',
            $isOfLaying => '',
            $this->drill->organisation->coachServes => ' One more grown-up could serve another station.',
            $this->stationing->hasThree() => ' There is one three.',
            $cure !== null => '',
            $this->fit !== null && $this->stationing->stations >= $this->fit => ' There is no room for another station: '
                .'work shorter, or in two groups.',
            default => ' Work shorter, or in two groups.',
        };
    }

    private function cure(float $wait, bool $isLong, bool $isLaying): ?Cure
    {
        if ($isLong && $isLaying) {
            // Nothing that is done in the block makes its laying out shorter.
            $isShorter = ! $this->isHelped && self::wait(($this->laidByHelper)(), $isLong) < self::WORTH_IT * $wait;

            return $isShorter ? Cure::helper() : null;
        }
        foreach ($this->candidates($isLaying) as [$cure, $changed, $helpers]) {
            if (self::wait(($this->tried)($changed, $helpers), $isLong) < self::WORTH_IT * $wait) {
                return $cure;
            }
        }

        return null;
    }

    /** @return iterable<array{Cure, Block, int}> cure, the block with it, and helpers more */
    private function candidates(bool $isLaying): iterable
    {
        if (($isLaying && ! $this->isHelped) || $this->drill->organisation->coachServes || $this->stationing->hasThree()) {
            yield [Cure::helper(), $this->block, 1];
        }
        foreach ($this->drill->organisation->coachServes ? [] : $this->moreStations() as $stations) {
            yield [Cure::stations($stations), $this->block->withStations($stations), 0];
        }
        $split = $this->split();
        if ($split !== null) {
            yield [Cure::dose('Half as long, twice as often', $split->fields()), $this->block->withDose($split), 0];
        }
        foreach ($this->stopped() as $stopped) {
            yield [
                Cure::dose('Stop a go after '.self::clock((float) $stopped->stopsAfter()), $stopped->fields()),
                $this->block->withDose($stopped),
                0,
            ];
        }
    }

    /** @return list<int<1, max>> one more, and as many as there is room, kit and people for */
    private function moreStations(): array
    {
        $now = $this->stationing->stations;
        $most = max(1, min(
            30,
            intdiv(
                count($this->context->players),
                Stationing::needsAnother($this->drill) ? $this->drill->organisation->playersPerStation() : 1,
            ),
            $this->fit ?? PHP_INT_MAX,
            $this->context->kit->withoutGoals()->stations($this->drill->kit(1)) ?? PHP_INT_MAX,
        ));

        // One more place helps only where somebody comes to be with fewer.
        $players = count($this->context->players);
        $isFewer = intdiv($players - 1, $now + 1) < intdiv($players - 1, $now);

        return array_values(array_unique(array_filter(
            $isFewer ? [$now + 1, $most] : [$most],
            static fn (int $one): bool => $one > $now && $one <= $most,
        )));
    }

    /** Half of each set in twice as many: as much work, and half as long a wait for the others' go. */
    private function split(): ?Dose
    {
        $fields = $this->block->dose?->fields() ?? [];
        $sets = $fields['sets'] ?? null;
        foreach (['reps', 'lengths', 'workSeconds', 'balls'] as $what) {
            $size = $fields[$what] ?? null;
            if (is_int($sets) && (is_int($size) || is_float($size)) && $size >= 2) {
                return $this->read([$what => is_int($size) ? intdiv($size + 1, 2) : $size / 2.0, 'sets' => 2 * $sets] + $fields);
            }
        }

        return null;
    }

    /** @return list<Dose> goes that are stopped after half of the usual time, and after a third */
    private function stopped(): array
    {
        $dose = $this->block->dose;
        if ($this->limitSeconds === null || $dose === null || ! $dose->mayNotEnd()) {
            return [];
        }
        $stopped = [];
        foreach ([1.0 / 2.0, 1.0 / 3.0] as $share) {
            $stopped[] = $this->read(['limitSeconds' => 30.0 * ceil($share * $this->limitSeconds / 30.0)] + $dose->fields());
        }

        return array_values(array_filter($stopped));
    }

    /** @param  array<string, mixed>  $fields */
    private function read(array $fields): ?Dose
    {
        try {
            return $this->drill->doseFrom($fields);
        } catch (InvalidDose) {
            return null;
        }
    }

    private static function wait(BlockEvaluation $evaluation, bool $isLong): float
    {
        $waits = 0.0;
        foreach ($evaluation->times as $time) {
            $waits = max($waits, $isLong ? $time->longestWaitSeconds : $time->waitingSeconds);
        }

        return $waits;
    }

    private static function clock(float $seconds): string
    {
        $whole = (int) round($seconds);

        return sprintf('%d:%02d', intdiv($whole, 60), $whole % 60);
    }
}
