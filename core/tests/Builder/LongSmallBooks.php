<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Builder;

/** The same as SmallBooksTest over a hundred books: in the suite of what takes long. */
final class LongSmallBooks extends SmallBooksTest
{
    protected const BOOKS = 100;
}
