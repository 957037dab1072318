<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Exchange\Export\BookTable;
use App\Exchange\Import\BookFiles;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use Illuminate\Console\Command;

class PrintTable extends Command
{
    protected $signature = 'sparrow:table';

    protected $description = 'Plan every drill of the book for 1, 2, 7 and 14 players, without a database, and print docs/book.md';

    public function handle(): int
    {
        $drills = array_map(
            static fn (array $fields) => DrillFactory::fromFields($fields),
            array_values(BookFiles::drills(base_path('book'))),
        );
        $this->output->write(BookTable::of($drills));

        return self::SUCCESS;
    }
}
