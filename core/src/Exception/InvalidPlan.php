<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use InvalidArgumentException;

/** Refuses a plan that cannot be evaluated. */
final class InvalidPlan extends InvalidArgumentException implements CoreException
{
    use Refuses;
}
