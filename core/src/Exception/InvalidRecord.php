<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use InvalidArgumentException;

/** Refuses a mark or record line that cannot be kept. */
final class InvalidRecord extends InvalidArgumentException implements CoreException
{
    use Refuses;
}
