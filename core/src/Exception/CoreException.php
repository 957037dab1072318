<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use Throwable;

/** Every refusal of the core. The message is a sentence a coach can act on. */
interface CoreException extends Throwable
{
    /** A stable name for the refusal, such as `script.unknown-surface`. */
    public function reason(): string;

    /** The field it is about, such as `dose.sets`; empty where it is about the whole. */
    public function path(): string;
}
