<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/**
 * What was worked out already while one plan is worked out: the same question always has the same answer. Made by whoever
 * begins, and handed on; what was dear may be kept by them for the next plan.
 */
final class Memo
{
    /** @var array<string, mixed> */
    private array $known = [];

    /** @var array<string, Keepable> */
    private array $asked = [];

    private bool $isFuller = false;

    /** @param  array<string, string>  $kept  question → answer, of an earlier plan */
    public function __construct(private readonly array $kept = [])
    {
    }

    /**
     * @template T
     *
     * @param  string  $question  whose answer depends on nothing else
     * @param  callable(): T  $answer
     * @return T
     */
    public function of(string $question, callable $answer): mixed
    {
        /** @var T */
        return $this->known[$question] ??= $answer();
    }

    /**
     * The same for an answer dear enough to be kept for the next plan.
     *
     * @template T of Keepable
     *
     * @param  callable(): T  $answer
     * @param  class-string<T>  $kind  reads what was kept
     * @return T
     */
    public function kept(string $question, callable $answer, string $kind): Keepable
    {
        if (! isset($this->asked[$question])) {
            $bytes = $this->kept[$question] ?? null;
            $this->isFuller = $this->isFuller || $bytes === null;
            $this->asked[$question] = $bytes === null ? $answer() : $kind::unpacked($bytes);
        }

        /** @var T */
        return $this->asked[$question];
    }

    /** @return array<string, string> what this plan asked for of what is worth keeping */
    public function asked(): array
    {
        return array_intersect_key($this->kept, $this->asked)
            + array_map(static fn (Keepable $one): string => $one->packed(), array_diff_key($this->asked, $this->kept));
    }

    /** Whether something was asked for that had not been kept. */
    public function isFuller(): bool
    {
        return $this->isFuller;
    }
}
