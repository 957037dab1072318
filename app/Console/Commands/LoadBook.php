<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\DrillVersion;
use App\Models\LadderVersion;
use App\Models\MoveVersion;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Exception\FieldFault;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Ladder\Ladder;
use FleetSparrow\Core\Move\Move;
use FleetSparrow\Core\Move\MoveDictionary;
use Illuminate\Console\Command;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Facades\DB;
use JsonException;

/** Loads book/: a changed entry becomes a new version, one that left the book is retired, nothing is deleted. All or nothing. */
class LoadBook extends Command
{
    protected $signature = 'sparrow:book {--from= : Another folder than book/}';

    protected $description = 'Load the drill book, the ladders and the move dictionary from their files';

    /** @var list<string> */
    private array $faults = [];

    public function handle(): int
    {
        $this->faults = [];
        $folder = is_string($this->option('from')) ? $this->option('from') : base_path('book');
        $drills = $this->read("{$folder}/drills", 'drills', DrillFactory::fromFields(...));
        $moves = $this->read("{$folder}/moves", 'moves', Move::fromFields(...));
        $ladders = $this->read("{$folder}/ladders", 'ladders', Ladder::fromFields(...));
        $this->faults = [
            ...$this->faults,
            ...MoveDictionary::faults(array_column($moves, 'built')),
            ...Ladder::faults(array_column($ladders, 'built'), array_column($drills, 'built')),
            ...self::sameNames(array_column($drills, 'fields')),
        ];
        if ($this->faults !== []) {
            array_map($this->error(...), $this->faults);

            return self::FAILURE;
        }
        DB::transaction(function () use ($drills, $moves, $ladders): void {
            $this->keep(fn (): Builder => DrillVersion::ofTheBook(), array_column($drills, 'fields'));
            $this->keep(fn (): Builder => MoveVersion::query(), array_column($moves, 'fields'));
            $this->keep(fn (): Builder => LadderVersion::query(), array_column($ladders, 'fields'));
        });
        $this->info(count($drills).' drills, '.count($moves).' moves and '.count($ladders).' ladders in the book.');

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
        $files = glob("{$folder}/*.json");
        foreach ($files === false ? [] : $files as $file) {
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
                } catch (InvalidDrill $fault) {
                    $each = $fault->faults === []
                        ? [" {$fault->getMessage()}"]
                        : array_map(
                            fn (FieldFault $one): string => ' Drill '.(is_string($fields['slug'] ?? null) ? $fields['slug'] : '?')
                                .", {$one->path}: {$one->message}",
                            $fault->faults,
                        );
                    $this->faults = [...$this->faults, ...array_map(fn (string $one): string => "{$name}, entry {$i}:{$one}", $each)];
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
     * @param  list<array<string, mixed>>  $drills
     * @return list<string>
     */
    private static function sameNames(array $drills): array
    {
        $faults = [];
        $seen = [];
        foreach ($drills as $fields) {
            $name = mb_strtolower((string) $fields['name']);
            if (isset($seen[$name])) {
                $faults[] = "Drill {$fields['slug']}, name: \"{$fields['name']}\" is also the name of {$seen[$name]}.";
            }
            $seen[$name] ??= (string) $fields['slug'];
        }

        return $faults;
    }

    /**
     * @param  callable(): Builder<covariant Model>  $versions
     * @param  list<array<string, mixed>>  $entries
     */
    private function keep(callable $versions, array $entries): void
    {
        $known = [];
        foreach ($versions()->toBase()->get(['id', 'slug', 'content_hash']) as $row) {
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
                $new[] = [
                    'slug' => $fields['slug'],
                    'family' => $fields['family'],
                    'name' => $fields['name'],
                    'content_hash' => $hash,
                    'content' => $content,
                    'is_current' => true,
                    'created_at' => now(),
                    'updated_at' => now(),
                ];
            }
        }
        $versions()->whereKeyNot($current)->update(['is_current' => false]);
        $versions()->whereKey($current)->update(['is_current' => true]);
        $versions()->toBase()->insert($new);
    }
}
