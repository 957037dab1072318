<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Touch\Surface;
use FleetSparrow\Core\Touch\Tally;
use FleetSparrow\Core\Touch\TallyReader;

/** Headers and minutes of heading practice of each player, block after block: what a limit a day or a week is read against. */
final readonly class HeadingTime
{
    /**
     * @param  array<int, float>  $headers  player → so far
     * @param  array<int, float>  $minutes  player → work of the blocks in which they head, so far
     * @param  list<int>  $heading  players who head in the block added last
     */
    private function __construct(public array $headers = [], public array $minutes = [], public array $heading = [])
    {
    }

    public static function none(): self
    {
        return new self;
    }

    /** @param  list<BlockEvaluation>  $blocks */
    public static function of(array $blocks): self
    {
        return array_reduce($blocks, static fn (self $sum, BlockEvaluation $block): self => $sum->with($block), self::none());
    }

    public function with(BlockEvaluation $block): self
    {
        $read = new TallyReader(static fn (Tally $tally): float => $tally->contactsWith(Surface::Head));
        [$headers, $minutes, $heading] = [$this->headers, $this->minutes, []];
        foreach ($block->touches as $player => $tally) {
            $here = $read->of($tally);
            if ($here > 0.0) {
                $headers[$player] = ($headers[$player] ?? 0.0) + $here;
                $minutes[$player] = ($minutes[$player] ?? 0.0) + $block->work->mean() / 60.0;
                $heading[] = $player;
            }
        }

        return new self($headers, $minutes, $heading);
    }
}
