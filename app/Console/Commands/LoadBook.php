<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\DrillVersion;
use FleetSparrow\Core\Drill\DrillFactory;
use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\DB;
use JsonException;

/** Loads book/drills/*.json: a changed drill becomes a new version, a drill that left the book is retired, nothing is deleted. */
class LoadBook extends Command
{
    protected $signature = 'sparrow:book';

    protected $description = 'Load the drill book from its files';

    public function handle(): int
    {
        $drills = [];
        $faults = [];
        foreach (glob(base_path('book/drills/*.json')) ?: [] as $file) {
            try {
                $book = json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR);
            } catch (JsonException $fault) {
                $faults[] = basename($file).': '.$fault->getMessage();

                continue;
            }
            foreach (is_array($book) && is_array($book['drills'] ?? null) ? $book['drills'] : [] as $i => $fields) {
                try {
                    $drill = DrillFactory::fromFields(is_array($fields) ? $fields : []);
                    if (isset($drills[$drill->slug])) {
                        $faults[] = basename($file).", drill {$i}: the slug {$drill->slug} is used twice.";
                    }
                    $drills[$drill->slug] = $fields;
                } catch (CoreException $fault) {
                    $faults[] = basename($file).", drill {$i}: ".$fault->getMessage();
                }
            }
        }
        if ($faults !== [] || $drills === []) {
            array_map($this->error(...), $faults ?: ['There are no drills in book/drills.']);

            return self::FAILURE;
        }
        $this->keep($drills);
        $this->info(count($drills).' drills in the book.');

        return self::SUCCESS;
    }

    /** @param  array<string, array<string, mixed>>  $drills */
    private function keep(array $drills): void
    {
        DB::transaction(function () use ($drills): void {
            DrillVersion::query()->update(['is_current' => false]);
            foreach ($drills as $slug => $fields) {
                $hash = hash('sha256', json_encode($fields, JSON_THROW_ON_ERROR));
                DrillVersion::query()->updateOrCreate(
                    ['slug' => $slug, 'content_hash' => $hash],
                    ['name' => $fields['name'], 'family' => $fields['family'], 'content' => $fields, 'is_current' => true],
                );
            }
        });
    }
}
