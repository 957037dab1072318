<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use InvalidArgumentException;

/** Refuses a dose that cannot be carried out. */
final class InvalidDose extends InvalidArgumentException implements CoreException
{
    use Refuses;

    private const REASON = 'dose';
}
