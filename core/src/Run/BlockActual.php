<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

use FleetSparrow\Core\Timeline\SegmentKind;

/** One block as it was planned and as it went. */
final readonly class BlockActual
{
    /** A difference under so many seconds is none; this tool's own value. */
    private const NONE_SECONDS = 30.0;

    /** Of what a block is for, less than this share was done: it was skipped. This tool's own value. */
    private const SKIPPED_UNDER = 1.0 / 3.0;

    /** What lies around that which a block is for. */
    private const AROUND = [SegmentKind::SetUp, SegmentKind::Explain, SegmentKind::Rest, SegmentKind::Write, SegmentKind::Change];

    private const WORDS = [
        'set-up' => 'laying out', 'explain' => 'explaining', 'work' => 'the work', 'rest' => 'the rests', 'write' => 'writing down',
        'change' => 'changing over', 'water' => 'water', 'talk' => 'talking', 'game' => 'the game', 'paused' => 'pauses',
        'frozen' => 'frozen to coach',
    ];

    /** @param  non-empty-array<string, float>  $overBy  part, paused or frozen → seconds more than planned, negative for less */
    private function __construct(
        public string $blockId,
        public float $plannedSeconds,
        public float $actualSeconds,
        public bool $wasSkipped,
        public array $overBy,
    ) {
    }

    /**
     * @param  non-empty-list<StretchTime>  $stretches  of one block
     * @param  bool  $isWritten  whether numbers of it were written down: then it was done, however fast somebody pressed on
     */
    public static function of(array $stretches, bool $isWritten = false): self
    {
        [$planned, $actual, $overBy] = [0.0, 0.0, ['paused' => 0.0, 'frozen' => 0.0]];
        // What a block is for: its work, or the minutes that it is.
        [$meant, $done] = [0.0, 0.0];
        foreach ($stretches as $one) {
            $planned += $one->expectedSeconds;
            $actual += $one->wallSeconds();
            $overBy[$one->kind->value] = ($overBy[$one->kind->value] ?? 0.0) + $one->actualSeconds - $one->expectedSeconds;
            $overBy['paused'] += $one->pausedSeconds;
            $overBy['frozen'] += $one->frozenSeconds;
            if (! in_array($one->kind, self::AROUND, true)) {
                $meant += $one->expectedSeconds;
                $done += min($one->actualSeconds, $one->expectedSeconds);
            }
        }

        $wasSkipped = ! $isWritten && $meant > 0.0 && $done < self::SKIPPED_UNDER * $meant;

        return new self($stretches[0]->blockId, $planned, $actual, $wasSkipped, $overBy);
    }

    public function overSeconds(): float
    {
        return $this->actualSeconds - $this->plannedSeconds;
    }

    /**
     * What made it longer or shorter, most of all; null where it went as planned.
     *
     * @return key-of<self::WORDS>|null
     */
    public function cause(): ?string
    {
        $over = $this->overSeconds();
        if ($this->wasSkipped || abs($over) < self::NONE_SECONDS) {
            return null;
        }
        $most = $over > 0.0 ? max($this->overBy) : min($this->overBy);
        $cause = array_search($most, $this->overBy, true);

        return is_string($cause) && isset(self::WORDS[$cause]) ? $cause : null;
    }

    /** In a few words: "3:10 over, most of all explaining." */
    public function words(): string
    {
        if ($this->wasSkipped) {
            return 'Skipped: it counts as not done.';
        }
        $cause = $this->cause();
        if ($cause === null) {
            return 'As planned.';
        }
        $seconds = (int) round(abs($this->overSeconds()));
        $side = $this->overSeconds() > 0.0 ? 'over' : 'under';

        return sprintf('%d:%02d %s, most of all %s.', intdiv($seconds, 60), $seconds % 60, $side, self::WORDS[$cause]);
    }
}
