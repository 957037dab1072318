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

    /** @var array<string, string> */
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
     * The same for an answer dear enough to be kept for the next plan, as bytes.
     *
     * @param  callable(): string  $answer
     */
    public function kept(string $question, callable $answer): string
    {
        if (isset($this->asked[$question])) {
            return $this->asked[$question];
        }
        $this->isFuller = $this->isFuller || ! isset($this->kept[$question]);

        return $this->asked[$question] = $this->kept[$question] ?? $answer();
    }

    /** @return array<string, string> what this plan asked for of what is worth keeping */
    public function asked(): array
    {
        return $this->asked;
    }

    /** Whether something was asked for that had not been kept. */
    public function isFuller(): bool
    {
        return $this->isFuller;
    }
}
