<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use InvalidArgumentException;

/** Refuses a drill whose description has a fault. */
final class InvalidDrill extends InvalidArgumentException implements CoreException
{
    use Refuses;
}
