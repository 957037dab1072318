<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

/**
 * What was worked out already while one plan is worked out: the same question always has the same answer. Made by whoever
 * begins, and handed on; nothing is kept beyond.
 */
final class Memo
{
    /** @var array<string, mixed> */
    private array $known = [];

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
}
