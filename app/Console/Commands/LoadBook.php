<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\DrillVersion;
use App\Models\MoveVersion;
use FleetSparrow\Core\Drill\DrillFactory;
use FleetSparrow\Core\Drill\Move;
use FleetSparrow\Core\Drill\MoveDictionary;
use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Console\Command;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use JsonException;

/** Loads book/: a changed entry becomes a new version, one that left the book is retired, nothing is deleted. All or nothing. */
class LoadBook extends Command
{
    protected $signature = 'sparrow:book {--from= : Another folder than book/}';

    protected $description = 'Load the drill book and the move dictionary from their files';

    /** @var list<string> */
    private array $faults = [];

    public function handle(): int
    {
        $this->faults = [];
        $folder = is_string($this->option('from')) ? $this->option('from') : base_path('book');
        $drills = $this->read("{$folder}/drills", 'drills', DrillFactory::fromFields(...));
        $moves = $this->read("{$folder}/moves", 'moves', Move::fromFields(...));
        $this->faults = [...$this->faults, ...MoveDictionary::faults(array_column($moves, 'built'))];
        if ($this->faults !== []) {
            array_map($this->error(...), $this->faults);

            return self::FAILURE;
        }
        DB::transaction(function () use ($drills, $moves): void {
            $this->keep(DrillVersion::class, array_column($drills, 'fields'));
            $this->keep(MoveVersion::class, array_column($moves, 'fields'));
        });
        $this->info(count($drills).' drills and '.count($moves).' moves in the book.');

        return self::SUCCESS;
    }

    /**
     * @template T
     *
     * @param  callable(array<array-key, mixed>): T  $build
     * @return list<array{fields: array<string, mixed>, built: T}>
     */
    private function read(string $folder, string $what, callable $build): array
    {
        $entries = [];
        $slugs = [];
        foreach (glob("{$folder}/*.json") ?: [] as $file) {
            $name = basename(dirname($file)).'/'.basename($file);
            try {
                $book = json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR);
            } catch (JsonException $fault) {
                $this->faults[] = "{$name}: {$fault->getMessage()}.";

                continue;
            }
            foreach (is_array($book) && is_array($book[$what] ?? null) ? $book[$what] : [] as $i => $fields) {
                try {
                    /** @var array<string, mixed> $fields */
                    $fields = is_array($fields) ? $fields : [];
                    $entries[] = ['fields' => $fields, 'built' => $build($fields)];
                    $slug = (string) $fields['slug'];
                    if (isset($slugs[$slug])) {
                        $this->faults[] = "{$name}, entry {$i}: the slug {$slug} stands in {$slugs[$slug]} already.";
                    }
                    $slugs[$slug] ??= $name;
                } catch (CoreException $fault) {
                    $this->faults[] = "{$name}, entry {$i}: {$fault->getMessage()}";
                }
            }
        }
        if ($entries === [] && $this->faults === []) {
            $this->faults[] = "There are no {$what} in {$folder}.";
        }

        return $entries;
    }

    /**
     * @param  class-string<Model>  $versions
     * @param  list<array<string, mixed>>  $entries
     */
    private function keep(string $versions, array $entries): void
    {
        $known = [];
        foreach ($versions::query()->toBase()->get(['id', 'slug', 'content_hash']) as $row) {
            $known["{$row->slug} {$row->content_hash}"] = (int) $row->id;
        }
        $current = [];
        $new = [];
        foreach ($entries as $fields) {
            $content = json_encode($fields, JSON_THROW_ON_ERROR);
            $hash = hash('sha256', $content);
            $id = $known["{$fields['slug']} {$hash}"] ?? null;
            if ($id !== null) {
                $current[] = $id;
            } else {
                $new[] = ['slug' => $fields['slug'], 'family' => $fields['family'], 'name' => $fields['name'], 'content_hash' => $hash, 'content' => $content, 'is_current' => true, 'created_at' => now(), 'updated_at' => now()];
            }
        }
        $versions::query()->whereKeyNot($current)->update(['is_current' => false]);
        $versions::query()->whereKey($current)->update(['is_current' => true]);
        $versions::query()->toBase()->insert($new);
    }
}
