<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Club;
use Database\Seeders\DemoSeeder;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

class LoadDemo extends Command
{
    protected $signature = 'sparrow:demo {--if-empty : Do nothing when there is a club already}';

    protected $description = 'Load the made-up harbour-town squad and its nine weeks';

    public function handle(DemoSeeder $seeder): int
    {
        if (Club::query()->exists()) {
            $this->info('There is a club already; the demo was not loaded.');

            return $this->option('if-empty') === true ? self::SUCCESS : self::FAILURE;
        }
        // In one transaction: cut off, it leaves nothing, and the next start begins it again.
        DB::transaction(fn () => $seeder->run());
        // Ids begin anew with the tables, so what was kept of a squad before would pass for this one's.
        Cache::flush();
        $this->info('The demo is loaded.');

        return self::SUCCESS;
    }
}
