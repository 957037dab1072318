<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Builder;

/** The same as RandomProposalsTest over three hundred proposals: in the suite of what takes long. */
final class LongProposals extends RandomProposalsTest
{
    protected const REQUESTS = 100;
}
