<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

/**
 * Where a run stands: a fold over the presses, so that the same presses always give the same clock.
 *
 * Repeated in the run kernel; golden/segment-clock.json holds both to it. A segment that ends by the clock gives way
 * to the next by itself; any other stays until `next` is pressed. Presses before `start`, and after the end, do nothing.
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

    private bool $paused = false;

    /** @param  list<array{seconds: float|int, endsByClock: bool}>  $segments */
    private function __construct(private readonly array $segments)
    {
    }

    /**
     * @param  list<array{seconds: float|int, endsByClock: bool}>  $segments
     * @param  list<array{press: string, atMs: int, seconds?: int}>  $presses  start, pause, resume, next, back, extend (seconds); in
     *     order of time
     * @return array{state: string, index: int, elapsedMs: int, remainingMs: int} remaining is negative once an open segment overruns
     */
    public static function at(array $segments, array $presses, int $nowMs): array
    {
        return self::folded($segments, $presses, $nowMs)->reading();
    }

    /**
     * How long each segment has lasted so far, pauses left out; a segment gone back to lasts on.
     *
     * @param  list<array{seconds: float|int, endsByClock: bool}>  $segments
     * @param  list<array{press: string, atMs: int, seconds?: int}>  $presses
     * @return list<int> milliseconds
     */
    public static function spentMs(array $segments, array $presses, int $nowMs): array
    {
        $clock = self::folded($segments, $presses, $nowMs);

        return array_map(static fn (int $index): int => $clock->spentMs[$index] ?? 0, array_keys($segments));
    }

    /**
     * @param  list<array{seconds: float|int, endsByClock: bool}>  $segments
     * @param  list<array{press: string, atMs: int, seconds?: int}>  $presses
     */
    private static function folded(array $segments, array $presses, int $nowMs): self
    {
        $clock = new self($segments);
        foreach ($presses as $press) {
            if ($press['atMs'] > $nowMs) {
                break;
            }
            $clock->runTo($press['atMs']);
            $clock->press($press['press'], $press['seconds'] ?? 0);
        }
        $clock->runTo($nowMs);

        return $clock;
    }

    private function runTo(int $ms): void
    {
        if ($this->started && ! $this->paused) {
            $passed = max(0, $ms - $this->atMs);
            $this->elapsedMs += $passed;
            $this->spentMs[$this->index] = ($this->spentMs[$this->index] ?? 0) + $passed;
        }
        $this->atMs = $ms;
        while (
            $this->index < count($this->segments)
            && $this->segments[$this->index]['endsByClock']
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

    private function press(string $press, int $seconds): void
    {
        if ($press === 'start') {
            $this->started = true;
        }
        if (! $this->started || $this->index >= count($this->segments)) {
            return;
        }
        match ($press) {
            'pause' => $this->paused = true,
            'resume' => $this->paused = false,
            'next' => $this->jump($this->index + 1),
            'back' => $this->jump($this->elapsedMs >= 3000 ? $this->index : max(0, $this->index - 1)),
            'extend' => $this->extraMs += $seconds * 1000,
            default => null,
        };
    }

    private function jump(int $index): void
    {
        $this->index = $index;
        $this->elapsedMs = 0;
        $this->extraMs = 0;
    }

    private function lengthMs(): int
    {
        return (int) round($this->segments[$this->index]['seconds'] * 1000) + $this->extraMs;
    }

    /** @return array{state: string, index: int, elapsedMs: int, remainingMs: int} */
    private function reading(): array
    {
        if ($this->index >= count($this->segments)) {
            return ['state' => 'over', 'index' => count($this->segments), 'elapsedMs' => 0, 'remainingMs' => 0];
        }

        return [
            'state' => ! $this->started ? 'ready' : ($this->paused ? 'paused' : 'running'),
            'index' => $this->index,
            'elapsedMs' => $this->elapsedMs,
            'remainingMs' => $this->lengthMs() - $this->elapsedMs,
        ];
    }
}
