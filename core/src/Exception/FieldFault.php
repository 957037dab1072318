<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

/** A fault of one field of a file. */
final readonly class FieldFault
{
    public function __construct(public string $path, public string $message)
    {
    }
}
