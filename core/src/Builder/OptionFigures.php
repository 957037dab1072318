<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\DurationEstimate;
use FleetSparrow\Core\Shared\Keepable;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\HeadingTime;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Tally;
use FleetSparrow\Core\Touch\TallyReader;

/** What a drill with a dose comes to on empty ground, as far as its worth rests on it; kept from one request to the next. */
final readonly class OptionFigures implements Keepable
{
    /** Waiting so short in a block is no waiting; this tool's own value. */
    private const SHORT_WAIT_SECONDS = 60.0;

    /**
     * @param  array{explain: float, changeOver: float, write: float}  $judgedSeconds  set-up depends on what stood before
     * @param  float  $ballSeconds  of a player on average, as for waiting
     * @param  float  $mostWaiting  seconds by which somebody's waiting exceeds their work, under a minute left out
     * @param  bool  $isBallForAll  nobody waits longer than they have the ball
     * @param  float  $headers  of the player asked for most
     * @param  float  $weakerShare  of the touches whose foot is known, of all who are not alike with both
     * @param  Layout|null  $layout  of one station, as it is laid for those coming; null for the drill's own
     */
    private function __construct(
        public int $stations,
        public array $judgedSeconds,
        public DurationEstimate $work,
        public float $ballSeconds,
        public float $waitingSeconds,
        public float $mostWaiting,
        public bool $isBallForAll,
        public float $headers,
        public float $weakerShare,
        public ?Layout $layout,
    ) {
    }

    /** @param  non-empty-list<PlanPlayer>  $players */
    public static function of(BlockEvaluation $worked, Layout $own, array $players): self
    {
        $count = max(1, count($worked->times));
        $parts = $worked->partSeconds;

        return new self(
            stations: $worked->stations,
            judgedSeconds: ['explain' => $parts['explain'], 'changeOver' => $parts['changeOver'], 'write' => $parts['write']],
            work: DurationEstimate::ofMoments($worked->work->mean(), $worked->work->variance()),
            ballSeconds: array_sum(array_map(static fn (PlayerTime $time): float => $time->ballSeconds, $worked->times)) / $count,
            waitingSeconds: array_sum(array_map(static fn (PlayerTime $time): float => $time->waitingSeconds, $worked->times)) / $count,
            mostWaiting: self::mostWaiting($worked),
            isBallForAll: self::isBallForAll($worked),
            headers: max([0.0, ...HeadingTime::of([$worked])->headers]),
            weakerShare: self::weakerShareOf($worked, $players),
            layout: $worked->layout === $own ? null : $worked->layout,
        );
    }

    private static function isBallForAll(BlockEvaluation $worked): bool
    {
        $with = array_filter($worked->atWork, static fn (PlayerTime $time): bool => $time->ballSeconds > 0.0);
        $idle = array_filter($worked->atWork, static fn (PlayerTime $time): bool => $time->ballSeconds < $time->waitingSeconds);

        return $with !== [] && $idle === [];
    }

    private static function mostWaiting(BlockEvaluation $worked): float
    {
        $most = 0.0;
        foreach ($worked->atWork as $time) {
            $waiting = $time->waitingSeconds;
            $most = $waiting <= self::SHORT_WAIT_SECONDS ? $most : max($most, $waiting - $time->workSeconds() - $time->servingSeconds);
        }

        return $most;
    }

    /** @param  non-empty-list<PlanPlayer>  $players */
    private static function weakerShareOf(BlockEvaluation $worked, array $players): float
    {
        [$weaker, $all] = [0.0, 0.0];
        $read = new TallyReader(
            static fn (Tally $tally): array => [$tally->contactsOf(FootMark::Left), $tally->contactsOf(FootMark::Right)],
        );
        foreach ($players as $player) {
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

    public function packed(): string
    {
        return serialize($this);
    }

    public static function unpacked(string $bytes): self
    {
        /** @var self */
        return unserialize($bytes);
    }
}
