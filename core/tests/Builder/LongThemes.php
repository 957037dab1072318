<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Builder;

/** The same as BuilderTest with every theme at every length: in the suite of what takes long. */
final class LongThemes extends BuilderTest
{
    protected const EVERY_SLOT = true;
}
