<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use InvalidArgumentException;

/** Refuses a layout that cannot be laid out. */
final class InvalidLayout extends InvalidArgumentException implements CoreException
{
    use Refuses;

    private const REASON = 'layout';
}
