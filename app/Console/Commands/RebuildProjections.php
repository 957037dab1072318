<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Actions\Record\ProjectLedger;
use App\Actions\Record\ProjectMarks;
use App\Models\Club;
use App\Models\Squad;
use App\Planning\SquadHistory;
use App\Tenancy\ClubContext;
use Illuminate\Console\Command;

class RebuildProjections extends Command
{
    protected $signature = 'sparrow:rebuild {--club= : Only the club of this id}';

    protected $description = 'Work out line days, bests and the touch ledger anew from the marks; what past sessions left behind stays';

    public function handle(ProjectMarks $projection, ProjectLedger $ledger, ClubContext $context, SquadHistory $history): int
    {
        $only = $this->option('club');
        $clubs = Club::query()->when($only !== null, fn ($query) => $query->whereKey($only))->orderBy('id')->get();
        if ($clubs->isEmpty()) {
            $this->error('There is no such club.');

            return self::FAILURE;
        }
        foreach ($clubs as $club) {
            $context->actFor($club->id);
            $bar = $this->output->createProgressBar($projection->steps($club->id) + $ledger->steps($club->id));
            $step = static fn (int $steps) => $bar->advance($steps);
            $counts = $projection->rebuild($club->id, $step);
            $entries = $ledger->rebuild($club->id, $step);
            Squad::query()->pluck('id')->each(fn (mixed $squadId) => $history->changed((int) $squadId));
            $bar->finish();
            $this->newLine();
            $this->info(
                "{$club->name}: {$counts['players']} players, {$counts['lineDays']} line days, {$counts['bests']} bests, "
                ."{$entries} entries of the ledger.",
            );
        }
        $context->leave();

        return self::SUCCESS;
    }
}
