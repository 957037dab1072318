<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Home;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Owed;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;

/**
 * A day at home as it goes, read off the same timeline as a session: a moment to read each thing, its sets and rests, and water on the
 * way. What is laid out and explained at a pitch is read here, and costs the pause between two.
 */
final readonly class HomeDay
{
    /**
     * @param  list<Segment>  $segments  what the timer counts; the first waits for a press
     * @param  list<BlockEvaluation>  $worked  item by item
     */
    private function __construct(public array $segments, public array $worked)
    {
    }

    public static function of(RoutineDay $day, PlanPlayer $player, Memo $memo = new Memo): self
    {
        $context = PlanContext::of(
            players: [$player],
            knownDrills: array_map(static fn (RoutineItem $item): string => $item->drill->slug, $day->items),
            rules: new ClockRules,
            // A grown-up who serves, where a drill needs one: without there would be no such drill in the day.
            helpers: 1,
            memo: $memo,
        );
        $worked = array_map(
            static fn (RoutineItem $item): BlockEvaluation => PlanEvaluator::evaluate([$item->block()], $context)->blocks[0],
            $day->items,
        );

        return new self(self::segments($day, $worked), $worked);
    }

    /**
     * The numbers a day asks for: of each item and foot one, the best of its sets.
     *
     * @return list<list<Owed>> item by item
     */
    public function asks(): array
    {
        return array_map(static function (BlockEvaluation $block): array {
            $asks = [];
            foreach ($block->segments as $segment) {
                foreach ($segment->owed as $owed) {
                    $asks["{$owed->item} {$owed->side}"] ??= new Owed($owed->playerId, $owed->blockId, $owed->side, $owed->item);
                }
            }

            return array_values($asks);
        }, $this->worked);
    }

    /** Mean seconds of all of it. */
    public function seconds(): float
    {
        return array_sum(array_map(static fn (Segment $segment): float => $segment->seconds, $this->segments));
    }

    /**
     * @param  list<BlockEvaluation>  $worked
     * @return list<Segment>
     */
    private static function segments(RoutineDay $day, array $worked): array
    {
        $segments = [];
        $waterAfter = self::waterAfter($day);
        foreach ($worked as $i => $block) {
            $segments[] = new Segment(
                id: "{$block->blockId}-read",
                blockId: $block->blockId,
                kind: SegmentKind::Explain,
                seconds: $i === 0 ? 0.0 : 60.0 * Routine::PAUSE_MINUTES,
                endsByClock: false,
            );
            foreach ($block->segments as $segment) {
                if ($segment->kind === SegmentKind::Work || $segment->kind === SegmentKind::Rest) {
                    $segments[] = $segment;
                }
            }
            if ($i === $waterAfter) {
                $segments[] = new Segment(
                    id: 'water',
                    blockId: $block->blockId,
                    kind: SegmentKind::Water,
                    seconds: 60.0 * Routine::WATER_MINUTES,
                    endsByClock: true,
                );
            }
        }

        return $segments;
    }

    /** After the item that brings the day past its half; null where it is too short for water, or ends there. */
    private static function waterAfter(RoutineDay $day): ?int
    {
        if ($day->minutes <= Routine::WATER_AFTER_MINUTES) {
            return null;
        }
        $done = 0.0;
        foreach ($day->items as $i => $item) {
            $done += $item->minutes;
            if ($done >= $day->minutes / 2.0) {
                return $i;
            }
        }

        return null;
    }
}
