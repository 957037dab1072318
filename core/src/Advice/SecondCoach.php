<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Opposition;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Touch\FootBalance;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Tally;

/** Rates any session, proposed or a coach's own, by the rubric. */
final readonly class SecondCoach
{
    private const USED = 0.85;

    private const OF_THE_THEME = 1.0 / 3.0;

    private const RECAP_FROM_SECONDS = 1200.0;

    /** Less waiting in all is nothing to speak of; this tool's own value. */
    private const SHORT_WAIT_SECONDS = 60.0;

    /**
     * @param  list<Block>  $blocks
     * @param  list<BlockEvaluation>  $worked  one for each block
     * @param  array<int, PlayerTime>  $times  player → in the whole session
     * @param  array<int, Tally>  $touches  player → in the whole session
     */
    private function __construct(
        private array $blocks,
        private array $worked,
        private array $times,
        private array $touches,
        private PlanContext $context,
    ) {
    }

    /**
     * @param  list<Block>  $blocks
     * @param  list<BlockEvaluation>  $worked  one for each block
     * @param  array<int, PlayerTime>  $times  player → in the whole session
     * @param  array<int, Tally>  $touches  player → in the whole session
     */
    public static function looking(array $blocks, array $worked, array $times, array $touches, PlanContext $context): self
    {
        return new self($blocks, $worked, $times, $touches, $context);
    }

    /** @param  Family|null  $theme  null for the one that has most time */
    public function rating(Quantiles $finish, float $slotSeconds, ?Family $theme = null): Rating
    {
        $drills = $this->drills();
        if ($drills === []) {
            return Rating::of([]);
        }
        $theme ??= $this->most();

        return Rating::of(array_values(array_filter([
            $this->barred(),
            self::late($finish, $slotSeconds),
            self::unused($finish, $slotSeconds),
            $this->waits(),
            $this->withoutBall(),
            $this->early(),
            $this->untrained($theme),
            $this->unopposed(),
            $this->unplayed($theme),
            $this->oneFooted(),
            $this->endsWithoutPlay(),
            $this->unmeasured(),
            $this->long(),
            $this->warned('kit', RubricRule::KitThere, 'Fewer stations, or what stands in.'),
            $this->warned('water', RubricRule::Water, 'Two minutes of water before it.'),
            $this->unasked($slotSeconds),
        ])));
    }

    /** @return list<array{Drill, BlockEvaluation, Block}> */
    private function drills(): array
    {
        $drills = [];
        foreach ($this->blocks as $i => $block) {
            if ($block->drill !== null) {
                $drills[] = [$block->drill, $this->worked[$i], $block];
            }
        }

        return $drills;
    }

    private function most(): Family
    {
        $seconds = [];
        foreach ($this->drills() as [$drill, $worked]) {
            $seconds[$drill->family->value] = ($seconds[$drill->family->value] ?? 0.0) + $worked->work->mean();
        }
        arsort($seconds);

        return Family::from((string) array_key_first($seconds));
    }

    private function barred(): ?Remark
    {
        foreach ($this->worked as $worked) {
            foreach ($worked->warnings as $warning) {
                if ($warning->isBarred) {
                    return new Remark(
                        RubricRule::NothingBarred,
                        $warning->sentence,
                        'Another surface, or another drill.',
                        $worked->blockId,
                    );
                }
            }
        }

        return null;
    }

    private static function late(Quantiles $finish, float $slotSeconds): ?Remark
    {
        $over = $finish->at(0.8) - $slotSeconds;

        return $over <= 0.5 ? null : new Remark(
            RubricRule::InTime,
            sprintf('Two in ten such sessions end %s over the slot or later.', self::clock($over)),
            'Take one of the cuts.',
        );
    }

    private static function unused(Quantiles $finish, float $slotSeconds): ?Remark
    {
        $used = $finish->at(0.8) / $slotSeconds;

        return $used >= self::USED ? null : new Remark(
            RubricRule::SlotUsed,
            sprintf('%d%% of the slot is used; %s are left.', (int) floor(100 * $used), self::clock($slotSeconds - $finish->at(0.8))),
            'A set more, a drill more, or play on.',
        );
    }

    private function waits(): ?Remark
    {
        $most = null;
        foreach ($this->times as $player => $time) {
            $works = $this->works($player);
            if ($time->waitingSeconds > max(self::SHORT_WAIT_SECONDS, $works) && $time->waitingSeconds > ($most[0] ?? 0.0)) {
                $most = [$time->waitingSeconds, $works];
            }
        }
        if ($most === null) {
            return null;
        }
        $where = array_reduce(
            $this->worked,
            static fn (?BlockEvaluation $longest, BlockEvaluation $one): BlockEvaluation => $longest === null
                || $one->longestWaitSeconds() > $longest->longestWaitSeconds() ? $one : $longest,
        );

        return new Remark(
            RubricRule::NobodyWaits,
            sprintf('Somebody waits %s and works %s.', self::clock($most[0]), self::clock($most[1])),
            'More balls or stations where the wait is longest.',
            $where?->blockId,
        );
    }

    /** Seconds at the ball or serving; in live play whoever does not wait works, with the ball or without. */
    private function works(int $player): float
    {
        $seconds = 0.0;
        foreach ($this->blocks as $i => $block) {
            $time = $this->worked[$i]->atWork[$player] ?? new PlayerTime;
            $isLive = $block->kind === BlockKind::Game || $block->drill?->demands->opposition === Opposition::Live;
            $seconds += $isLive
                ? max(0.0, $this->worked[$i]->work->mean() + ($this->worked[$i]->partSeconds['other'] ?? 0.0) - $time->waitingSeconds)
                : $time->workSeconds() + $time->servingSeconds;
        }

        return $seconds;
    }

    private function withoutBall(): ?Remark
    {
        [, $worked] = $this->drills()[0];
        $idle = count(array_filter($worked->atWork, static fn (PlayerTime $time): bool => $time->ballSeconds < $time->waitingSeconds));
        $hasBall = array_filter($worked->atWork, static fn (PlayerTime $time): bool => $time->ballSeconds > 0.0) !== [];

        return $idle === 0 && $hasBall ? null : new Remark(
            RubricRule::BallFromTheStart,
            $hasBall
                ? sprintf('In the first drill %d wait longer than they have the ball.', $idle)
                : 'In the first drill there is no ball.',
            'Begin with a ball each.',
            $worked->blockId,
        );
    }

    private function early(): ?Remark
    {
        $drills = $this->drills();
        $owed = count($drills[0][1]->owed);

        return $owed === 0 || count($drills) === 1 ? null : new Remark(
            RubricRule::NoEarlyNumbers,
            sprintf('%d numbers are asked for in the first drill.', $owed),
            'No number there: let them warm up.',
            $drills[0][1]->blockId,
        );
    }

    private function untrained(Family $theme): ?Remark
    {
        [$of, $all] = [0.0, 0.0];
        foreach ($this->drills() as [$drill, $worked]) {
            $all += $worked->work->mean();
            $of += $drill->family === $theme ? $worked->work->mean() : 0.0;
        }

        return $all <= 0.0 || $of >= self::OF_THE_THEME * $all ? null : new Remark(
            RubricRule::ThemeTrained,
            sprintf('%s has %s of %s of work.', ucfirst($theme->words()), self::clock($of), self::clock($all)),
            'One more drill of it, or a set more.',
        );
    }

    private function unopposed(): ?Remark
    {
        foreach ($this->blocks as $block) {
            if ($block->kind === BlockKind::Game || $block->drill?->demands->opposition === Opposition::Live) {
                return null;
            }
        }

        return count($this->context->players) < 2 ? null : new Remark(
            RubricRule::LiveOpponent,
            sprintf('No live opponent in %d drills.', count($this->drills())),
            'Four goes of thirty seconds, one against one, before the end.',
        );
    }

    private function unplayed(Family $theme): ?Remark
    {
        $live = array_filter($this->drills(), static fn (array $one): bool => $one[0]->demands->opposition === Opposition::Live);
        $carries = array_filter($live, static fn (array $one): bool => $one[0]->family === $theme || $one[0]->demands->keepsTheme);

        return $live === [] || $carries !== [] ? null : new Remark(
            RubricRule::ThemePlayed,
            sprintf('What is played live is not %s.', $theme->words()),
            'A rule for the game: what was trained counts double.',
            array_values($live)[count($live) - 1][1]->blockId,
        );
    }

    private function oneFooted(): ?Remark
    {
        [$left, $right] = [0.0, 0.0];
        foreach ($this->touches as $tally) {
            [$left, $right] = [$left + $tally->contactsOf(FootMark::Left), $right + $tally->contactsOf(FootMark::Right)];
        }

        return FootBalance::isKept($left, $right) ? null : new Remark(
            RubricRule::BothFeet,
            sprintf(
                'The %s foot has %d%% of the touches.',
                $left < $right ? 'left' : 'right',
                (int) round(100 * FootBalance::share($left, $right)),
            ),
            'Set one drill to the other foot.',
        );
    }

    private function endsWithoutPlay(): ?Remark
    {
        $work = array_values(array_filter(
            $this->blocks,
            static fn (Block $block): bool => $block->kind === BlockKind::Game || $block->drill !== null,
        ));
        $last = $work[count($work) - 1];

        return count($this->context->players) < 2 || $last->kind === BlockKind::Game
            || $last->drill?->demands->opposition === Opposition::Live ? null : new Remark(
                RubricRule::EndsWithPlay,
                sprintf('The last of %d drills is no play.', count($this->drills())),
                'Play at the end: a game, or one against one.',
                $last->id,
            );
    }

    private function unmeasured(): ?Remark
    {
        foreach ($this->worked as $worked) {
            if ($worked->owed !== []) {
                return null;
            }
        }

        return new Remark(
            RubricRule::NumberToBeat,
            sprintf('No number in %d drills.', count($this->drills())),
            'Count one of them, so that everybody has their own past to beat.',
        );
    }

    private function long(): ?Remark
    {
        $most = 60.0 * Bearable::minutes($this->context->age()?->under);
        foreach ($this->drills() as [$drill, $worked]) {
            $isGame = $drill->demands->opposition === Opposition::Live && $drill->organisation->workers > 2;
            $takes = $worked->meanSeconds() - ($worked->partSeconds['setUp'] ?? 0.0);
            if (! $isGame && $takes > $most) {
                return new Remark(
                    RubricRule::ShortEnough,
                    sprintf('%s takes %s; %s is long enough.', $drill->name, self::clock($takes), self::clock($most)),
                    'Two drills in its time.',
                    $worked->blockId,
                );
            }
        }

        return null;
    }

    private function warned(string $code, RubricRule $rule, string $cure): ?Remark
    {
        foreach ($this->worked as $worked) {
            $found = array_values(array_filter($worked->warnings, static fn (Warning $one): bool => $one->code === $code));
            if ($found !== []) {
                return new Remark($rule, $found[0]->sentence, $found[0]->cure->words ?? $cure, $worked->blockId);
            }
        }

        return null;
    }

    private function unasked(float $slotSeconds): ?Remark
    {
        foreach ($this->blocks as $block) {
            if ($block->kind === BlockKind::Talk) {
                return null;
            }
        }

        return $slotSeconds < self::RECAP_FROM_SECONDS ? null : new Remark(
            RubricRule::Recap,
            sprintf('Nobody is asked what the %d drills were about.', count($this->drills())),
            'Two minutes of questions at the end.',
        );
    }

    private static function clock(float $seconds): string
    {
        $whole = (int) round($seconds);

        return sprintf('%d:%02d', intdiv($whole, 60), $whole % 60);
    }
}
