<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Record\ProjectMarks;
use App\Models\Club;
use App\Models\Squad;
use App\Planning\SquadHistory;
use App\Tenancy\ClubContext;
use Illuminate\Console\Command;

class RebuildProjections extends Command
{
    protected $signature = 'sparrow:rebuild {--club= : Only the club of this id}';

    protected $description = 'Work out line days and bests anew from the marks; what past sessions left behind stays as it was kept';

    public function handle(ProjectMarks $projection, ClubContext $context, SquadHistory $history): int
    {
        $only = $this->option('club');
        $clubs = Club::query()->when($only !== null, fn ($query) => $query->whereKey($only))->orderBy('id')->get();
        if ($clubs->isEmpty()) {
            $this->error('There is no such club.');

            return self::FAILURE;
        }
        foreach ($clubs as $club) {
            $context->actFor($club->id);
            $counts = $projection->rebuild($club->id);
            Squad::query()->pluck('id')->each(fn (mixed $squadId) => $history->changed((int) $squadId));
            $this->info("{$club->name}: {$counts['players']} players, {$counts['lineDays']} line days, {$counts['bests']} bests.");
        }
        $context->leave();

        return self::SUCCESS;
    }
}
