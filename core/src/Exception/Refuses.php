<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

/** What every family of refusal has: a stable reason and a sentence. */
trait Refuses
{
    private string $reason = '';

    private function __construct(string $message)
    {
        parent::__construct($message);
    }

    /** @param  string  $reason stable name, lower case with hyphens */
    public static function because(string $reason, string $message): self
    {
        $refusal = new self($message);
        $refusal->reason = $reason;

        return $refusal;
    }

    public function reason(): string
    {
        return $this->reason;
    }
}
