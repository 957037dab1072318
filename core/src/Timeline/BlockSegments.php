<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Organisation\WorkTurn;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Script;

/** Lays the parts of a drill block out in order: set-up, explaining, then each turn's sets and rests. */
final class BlockSegments
{
    private int $number = 0;

    /** @var array<string, array{array{float, float}, array{float, float}}> script → contacts of one rep, led left and led right */
    private array $perRep = [];

    public function __construct(
        private readonly Block $block,
        private readonly Drill $drill,
        private readonly Dose $dose,
        private readonly Pace $pace,
        private readonly ClockRules $rules,
        private readonly Memo $memo,
    ) {
    }

    /**
     * @param  list<WorkTurn>  $turns
     * @param  list<float>  $turnMeans  seconds of each turn, rests included
     * @param  array{setUp: float, explain: float}  $plain  what set-up and explaining take before the coach's own times are known
     * @return list<Segment>
     */
    public function of(array $turns, array $turnMeans, float $setUp, float $explain, array $plain): array
    {
        $segments = $setUp > 0.0 ? [$this->judged(SegmentKind::SetUp, $setUp, $plain['setUp'])] : [];
        $segments[] = $this->judged(SegmentKind::Explain, $explain, $plain['explain']);
        foreach ($turns as $i => $turn) {
            if ($i > 0) {
                $segments[] = $this->judged(SegmentKind::Change, $this->rules->changeSeconds(), $this->rules->changeOverSeconds);
            }
            $segments = [
                ...$segments,
                ...($this->dose instanceof CircuitDose ? $this->rounds($this->dose, $i + 1, $turn->working) : $this->turn(
                    $i + 1,
                    $turn->working,
                    $turnMeans[$i] ?? 0.0,
                )),
            ];
        }

        return $segments;
    }

    /**
     * @param  non-empty-list<PlanPlayer>  $working
     * @return list<Segment>
     */
    private function turn(int $turn, array $working, float $turnSeconds): array
    {
        $ids = array_map(static fn (PlanPlayer $player): int => $player->id, $working);
        $perSide = $this->dose->sets();
        $sides = self::sideNames($this->dose);
        $sets = count($sides) * $perSide;
        $rest = $this->dose->restSeconds();
        $clocked = $this->dose->clockedSetSeconds();
        $seconds = $clocked ?? ($turnSeconds - ($sets - 1) * $rest) / $sets;
        $write = $this->drill->rule === null ? 0.0 : count($ids) * $this->rules->writeSeconds;
        $reps = $this->dose->expectedReps($this->pace) / $perSide;
        [$segments, $touches] = [[], []];
        for ($i = 0; $i < $sets; $i++) {
            $set = $i % $perSide + 1;
            $side = $sides[intdiv($i, $perSide)] ?? null;
            $segments[] = $this->segment(
                kind: SegmentKind::Work,
                seconds: $seconds,
                endsByClock: $clocked !== null,
                side: $side,
                set: $set,
                turn: $turn,
                working: $ids,
                touches: $touches[$side ?? ''] ??= $this->touchesOfOneSet($this->drill->script, $reps, $side, $working),
            );
            $last = $i === $sets - 1;
            if (! $last && $rest > 0.0) {
                $segments[] = $this->segment(SegmentKind::Rest, $rest, true, $side, $set, $turn, $ids);
            }
            $extra = $last ? $write : max(0.0, $write - $rest);
            if ($extra > 0.0) {
                $segments[] = $this->segment(SegmentKind::Write, $extra, false, $side, $set, $turn, $ids);
            }
        }

        return $segments;
    }

    /**
     * A circuit runs item after item, side after side, round after round, without a word between.
     *
     * @param  non-empty-list<PlanPlayer>  $working
     * @return list<Segment>
     */
    private function rounds(CircuitDose $dose, int $turn, array $working): array
    {
        $ids = array_map(static fn (PlanPlayer $player): int => $player->id, $working);
        $segments = [];
        for ($round = 1; $round <= $dose->sets(); $round++) {
            foreach ($dose->items as $i => $item) {
                $sides = self::sideNames($item->dose);
                $seconds = $item->dose->turnTime(array_fill(0, count($working), $item->pace), $this->memo)->meanSeconds / count($sides);
                foreach ($sides as $side) {
                    $touches = $this->touchesOfOneSet($item->script, $item->dose->expectedReps($item->pace), $side, $working);
                    $segments[] = $this->segment(
                        kind: SegmentKind::Work,
                        seconds: $seconds,
                        endsByClock: $item->dose->clockedSetSeconds() !== null,
                        side: $side,
                        set: $round,
                        turn: $turn,
                        working: $ids,
                        touches: $touches,
                        item: $item->name,
                    );
                }
                $rest = $i < count($dose->items) - 1 ? $item->restSeconds : ($round < $dose->sets() ? $dose->restSeconds() : 0.0);
                if ($rest > 0.0) {
                    $segments[] = $this->segment(
                        SegmentKind::Rest,
                        $rest,
                        true,
                        null,
                        $round,
                        $turn,
                        $ids,
                        item: $dose->items[$i + 1]->name ?? $dose->items[0]->name,
                    );
                }
            }
        }
        $write = $this->drill->rule === null ? 0.0 : count($ids) * $this->rules->writeSeconds;

        return $write > 0.0
            ? [...$segments, $this->segment(SegmentKind::Write, $write, false, null, $dose->sets(), $turn, $ids)]
            : $segments;
    }

    /** @return non-empty-list<string> what to shout: a foot, or strong and weaker where players differ */
    private static function sideNames(Dose $dose): array
    {
        return match ($dose->sides()) {
            DoseSides::Strong => ['strong'],
            DoseSides::Weaker => ['weaker'],
            default => array_map(static fn ($side): string => $side->value, $dose->sides()->sidesFor(StrongFoot::Both)),
        };
    }

    /**
     * Touches of one worker on average, left foot and right.
     *
     * @param  non-empty-list<PlanPlayer>  $working
     * @return array{float, float}
     */
    private function touchesOfOneSet(Script $script, float $reps, ?string $side, array $working): array
    {
        $leftShare = match ($side) {
            'R' => 0.0,
            'L' => 1.0,
            'strong' => self::lefties($working),
            'weaker' => 1.0 - self::lefties($working),
            default => 0.5,
        };
        [$ledLeft, $ledRight] = $this->perRep[$script->text()] ??= [$this->feet($script, Side::Left), $this->feet($script, Side::Right)];

        return [
            $reps * ($leftShare * $ledLeft[0] + (1.0 - $leftShare) * $ledRight[0]),
            $reps * ($leftShare * $ledLeft[1] + (1.0 - $leftShare) * $ledRight[1]),
        ];
    }

    /** @return array{float, float} contacts of one rep led by this side, with the left foot and the right */
    private function feet(Script $script, Side $by): array
    {
        $tally = BlockTouches::perRep($script, $this->drill->layout->timesAlongPath(), $by, $this->memo);

        return [$tally->contactsOf(FootMark::Left), $tally->contactsOf(FootMark::Right)];
    }

    /** @param  non-empty-list<PlanPlayer>  $working */
    private static function lefties(array $working): float
    {
        return count(
            array_filter($working, static fn (PlanPlayer $player): bool => $player->strongFoot->foot() === Foot::Left),
        ) / count($working);
    }

    private function judged(SegmentKind $kind, float $seconds, float $plainSeconds): Segment
    {
        $this->number++;

        return new Segment("{$this->block->id}-{$this->number}", $this->block->id, $kind, $seconds, false, plainSeconds: $plainSeconds);
    }

    /**
     * @param  list<int>  $working
     * @param  array{float, float}  $touches
     */
    private function segment(
        SegmentKind $kind,
        float $seconds,
        bool $endsByClock = false,
        ?string $side = null,
        ?int $set = null,
        ?int $turn = null,
        array $working = [],
        array $touches = [0.0, 0.0],
        ?string $item = null,
    ): Segment {
        $this->number++;

        return new Segment(
            id: "{$this->block->id}-{$this->number}",
            blockId: $this->block->id,
            kind: $kind,
            seconds: $seconds,
            endsByClock: $endsByClock,
            side: $side,
            set: $set,
            turn: $turn,
            working: $working,
            leftTouches: $touches[0],
            rightTouches: $touches[1],
            item: $item,
        );
    }
}
