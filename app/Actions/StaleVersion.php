<?php

declare(strict_types=1);

namespace App\Actions;

use RuntimeException;

/** What was changed here has been changed elsewhere since this copy was read. */
final class StaleVersion extends RuntimeException
{
    /**
     * @param  string  $what  a plan, a drill, …
     * @param  array<string, mixed>  $current  as it stands, as the API shows it
     */
    private function __construct(
        public readonly string $what,
        public readonly int $sent,
        public readonly int $now,
        public readonly array $current = [],
    ) {
        parent::__construct("This {$what} was changed in another window. Yours is still here: compare, then save again or take the other.");
    }

    /** @throws self If the version that was changed is not the one that stands; to be asked with the row locked. */
    public static function refuse(string $what, int $sent, int $now): void
    {
        if ($sent !== $now) {
            throw new self($what, $sent, $now);
        }
    }

    /** @param  array<string, mixed>  $current */
    public function showing(array $current): self
    {
        return new self($this->what, $this->sent, $this->now, $current);
    }
}
