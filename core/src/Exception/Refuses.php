<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

/** What every family of refusal has: a stable reason, the field it is about, and a sentence. */
trait Refuses
{
    private function __construct(private readonly string $reason, private readonly string $path, string $message)
    {
        parent::__construct($message);
    }

    /** @param  string  $path  of the field, from the value that was being made */
    public static function at(string $path, string $message): self
    {
        return new self(self::REASON, $path, $message);
    }

    public function reason(): string
    {
        return $this->reason;
    }

    public function path(): string
    {
        return $this->path;
    }
}
