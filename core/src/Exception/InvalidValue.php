<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use InvalidArgumentException;

/** Refuses a value outside what it can mean. */
final class InvalidValue extends InvalidArgumentException implements CoreException
{
    use Refuses;
}
