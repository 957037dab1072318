<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

/**
 * Where a run stands: a fold over the presses, so that the same presses always give the same clock.
 *
 * Repeated in the run kernel; golden/segment-clock.json holds both to it. A segment that ends by the clock gives way
 * to the next by itself, unless it is held; any other stays until `next` is pressed. Presses before `start`, and after the end, do
 * nothing.
 *
 * @phpstan-type Press array{press: string, atMs: int, seconds?: int, index?: int}
 * @phpstan-type Reading array{state: string, index: int, elapsedMs: int, remainingMs: int, isHeld: bool}
 */
final class SegmentClock
{
    private int $index = 0;

    private int $elapsedMs = 0;

    /** @var array<int, int> segment → milliseconds spent in it, pauses left out */
    private array $spentMs = [];

    private int $extraMs = 0;

    private int $atMs = 0;

    private bool $started = false;

    /** @var 'pausedMs'|'frozenMs'|null what the clock stands still for */
    private ?string $still = null;

    private bool $isHeld = false;

    /** @var array<int, array{pausedMs: int, frozenMs: int}> segment → milliseconds the clock stood still in it */
    private array $stoppedMs = [];

    /** @param  list<array{seconds: float|int, endsByClock: bool}>  $segments */
    private function __construct(private readonly array $segments)
    {
    }

    /**
     * @param  list<array{seconds: float|int, endsByClock: bool}>  $segments
     * @param  list<Press>  $presses  start, pause, freeze (to coach), resume, next, back, extend (seconds), go (to the segment of an
     *     index), hold (until next); in order of time
     * @return Reading remaining is negative once an open segment overruns
     */
    public static function at(array $segments, array $presses, int $nowMs): array
    {
        return self::folded($segments, $presses, $nowMs)->reading();
    }

    /**
     * How long each segment has lasted so far, pauses left out; a segment gone back to lasts on.
     *
     * @param  list<array{seconds: float|int, endsByClock: bool}>  $segments
     * @param  list<Press>  $presses
     * @return list<int> milliseconds
     */
    public static function spentMs(array $segments, array $presses, int $nowMs): array
    {
        $clock = self::folded($segments, $presses, $nowMs);

        return array_map(static fn (int $index): int => $clock->spentMs[$index] ?? 0, array_keys($segments));
    }

    /**
     * How long the clock stood still in each segment, and what for.
     *
     * @param  list<array{seconds: float|int, endsByClock: bool}>  $segments
     * @param  list<Press>  $presses
     * @return list<array{pausedMs: int, frozenMs: int}>
     */
    public static function stoppedMs(array $segments, array $presses, int $nowMs): array
    {
        $clock = self::folded($segments, $presses, $nowMs);

        return array_map(
            static fn (int $index): array => $clock->stoppedMs[$index] ?? ['pausedMs' => 0, 'frozenMs' => 0],
            array_keys($segments),
        );
    }

    /**
     * @param  list<array{seconds: float|int, endsByClock: bool}>  $segments
     * @param  list<Press>  $presses
     */
    private static function folded(array $segments, array $presses, int $nowMs): self
    {
        $clock = new self($segments);
        foreach ($presses as $press) {
            if ($press['atMs'] > $nowMs) {
                break;
            }
            $clock->runTo($press['atMs']);
            $clock->press($press['press'], $press['seconds'] ?? 0, $press['index'] ?? 0);
        }
        $clock->runTo($nowMs);

        return $clock;
    }

    private function runTo(int $ms): void
    {
        $passed = max(0, $ms - $this->atMs);
        if ($this->started && $this->still !== null) {
            $this->stoppedMs[$this->index] ??= ['pausedMs' => 0, 'frozenMs' => 0];
            $this->stoppedMs[$this->index][$this->still] += $passed;
        }
        if ($this->started && $this->still === null) {
            $this->elapsedMs += $passed;
            $this->spentMs[$this->index] = ($this->spentMs[$this->index] ?? 0) + $passed;
        }
        $this->atMs = $ms;
        while (
            $this->index < count($this->segments)
            && $this->segments[$this->index]['endsByClock']
            && ! $this->isHeld
            && $this->elapsedMs >= $this->lengthMs()
        ) {
            $this->elapsedMs -= $this->lengthMs();
            // What lies beyond its end belongs to the next.
            $this->spentMs[$this->index] = ($this->spentMs[$this->index] ?? 0) - $this->elapsedMs;
            $this->index++;
            $this->spentMs[$this->index] = ($this->spentMs[$this->index] ?? 0) + $this->elapsedMs;
            $this->extraMs = 0;
        }
    }

    private function press(string $press, int $seconds, int $index): void
    {
        if ($press === 'start') {
            $this->started = true;
        }
        if (! $this->started || $this->index >= count($this->segments)) {
            return;
        }
        match ($press) {
            'pause' => $this->still = 'pausedMs',
            'freeze' => $this->still = 'frozenMs',
            'resume' => $this->still = null,
            'next' => $this->jump($this->index + 1),
            'back' => $this->jump($this->elapsedMs >= 3000 ? $this->index : max(0, $this->index - 1)),
            'go' => $this->jump($index),
            'hold' => $this->isHeld = true,
            'extend' => $this->extraMs += $seconds * 1000,
            default => null,
        };
    }

    private function jump(int $index): void
    {
        $this->index = min($index, count($this->segments));
        $this->elapsedMs = 0;
        $this->extraMs = 0;
        $this->isHeld = false;
    }

    private function lengthMs(): int
    {
        return (int) round($this->segments[$this->index]['seconds'] * 1000) + $this->extraMs;
    }

    /** @return Reading */
    private function reading(): array
    {
        if ($this->index >= count($this->segments)) {
            return ['state' => 'over', 'index' => count($this->segments), 'elapsedMs' => 0, 'remainingMs' => 0, 'isHeld' => false];
        }

        return [
            'state' => match (true) {
                ! $this->started => 'ready',
                $this->still === null => 'running',
                default => $this->still === 'pausedMs' ? 'paused' : 'frozen',
            },
            'index' => $this->index,
            'elapsedMs' => $this->elapsedMs,
            'remainingMs' => $this->lengthMs() - $this->elapsedMs,
            'isHeld' => $this->isHeld,
        ];
    }
}
