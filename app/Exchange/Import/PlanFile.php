<?php

declare(strict_types=1);

namespace App\Exchange\Import;

use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Reading\BookFields;
use FleetSparrow\Core\Drill\Reading\FaultList;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\Counted;
use FleetSparrow\Core\Plan\PlanContext;
use Illuminate\Validation\ValidationException;

/** Reads a `fleet-sparrow/plan` file and works it out, without a database. Taken whole or refused whole, every fault by its path. */
final readonly class PlanFile
{
    public const FORMAT = 'fleet-sparrow/plan';

    public const VERSION = 3;

    /**
     * Version 1 named drills and players by the numbers of one database, and could only be read by the one that wrote it; version 2
     * had no limit of a go and no way through a circuit.
     */
    public const OLDEST = 2;

    public const FIELDS = [
        'format',
        'version',
        'title',
        'place',
        'startsAt',
        'slotMinutes',
        'squad',
        'helpers',
        'laidBefore',
        'weather',
        'players',
        'past',
        'blocks',
        'drills',
        'overrides',
    ];

    public const BLOCK_FIELDS = [
        'id', 'kind', 'title', 'minutes', 'drill', 'dose', 'tempo', 'stations', 'links', 'together', 'stationsWait', 'counted',
    ];

    /** @param  list<Block>  $blocks */
    private function __construct(public int $slotMinutes, public array $blocks, public PlanContext $context)
    {
    }

    /**
     * @param  array<string, array<string, mixed>>  $book  slug → fields
     *
     * @throws ValidationException
     */
    public static function read(string $text, array $book): self
    {
        return OpenFile::whole(OpenFile::decoded($text, self::FORMAT, self::VERSION, self::OLDEST), function (
            BookFields $file,
            FaultList $faults,
        ) use ($book): ?self {
            $faults->unknown('', $file->fields, self::FIELDS);
            $slot = $faults->try('slotMinutes', fn (): int => $file->whole('slotMinutes', 10, 240));
            $drills = new EmbeddedDrills($book, $file, $faults);
            $blocks = $faults->try('blocks', fn (): array => self::blocks($file, $drills, $faults));
            $situation = Situation::read($file, $faults);

            return $slot === null || $blocks === null || $situation === null ? null : new self($slot, $blocks, $situation->context);
        });
    }

    /** @throws CoreException If the plan cannot be worked out. */
    public function evaluate(): PlanEvaluation
    {
        return PlanEvaluator::evaluate($this->blocks, $this->context, $this->slotMinutes * 60.0);
    }

    /** @return list<Block> */
    private static function blocks(BookFields $file, EmbeddedDrills $drills, FaultList $faults): array
    {
        $entries = $file->entries('blocks');
        if ($entries === [] || count($entries) > PlanEvaluator::MOST_BLOCKS) {
            throw $file->refusal('blocks', 'A plan lists 1 to '.PlanEvaluator::MOST_BLOCKS.' blocks.');
        }
        $blocks = [];
        $ids = [];
        foreach ($entries as $i => $entry) {
            $faults->unknown("blocks.{$i}", $entry->fields, self::BLOCK_FIELDS);
            $id = $faults->try(
                "blocks.{$i}.id",
                fn (): string => preg_match(
                    '/\A[A-Za-z0-9-]{1,40}\z/',
                    $entry->text('id', most: 40),
                ) === 1 ? $entry->text('id', most: 40) : throw $entry->refusal(
                    'id',
                    'A block needs an id of letters, digits and hyphens.',
                ),
            );
            if ($id !== null && isset($ids[$id])) {
                $faults->add("blocks.{$i}.id", 'Two blocks have the same id.');
            }
            $ids[$id ?? ''] = true;
            $block = $id === null ? null : self::block($id, "blocks.{$i}", $entry, $drills, $faults);
            $blocks = $block === null ? $blocks : [...$blocks, $block];
        }

        return $blocks;
    }

    private static function block(string $id, string $path, BookFields $entry, EmbeddedDrills $drills, FaultList $faults): ?Block
    {
        $kind = $faults->try("{$path}.kind", fn (): BlockKind => $entry->choice('kind', BlockKind::class));
        if ($kind === null || $kind !== BlockKind::Drill) {
            return $kind === null
                ? null
                : $faults->try("{$path}.minutes", fn (): Block => Block::ofMinutes($id, $kind, $entry->number('minutes', 0.5, 60.0)));
        }
        $slug = $faults->try("{$path}.drill", fn (): string => $entry->slug('drill'));
        $drill = $slug === null ? null : $drills->find($slug);
        if ($slug !== null && $drill === null && ! $drills->has($slug)) {
            $faults->add("{$path}.drill", "There is no drill \"{$slug}\" in the book or in this file.");
        }
        if ($drill === null) {
            return null;
        }
        $whole = fn (string $name): ?int => $entry->has($name) ? $entry->whole($name, 1, 30) : null;
        try {
            return Block::ofDrill(
                id: $id,
                drill: $drill,
                dose: $drill->doseFrom($entry->has('dose') ? $entry->object('dose')->fields : null),
                tempo: $entry->choice('tempo', Tempo::class, Tempo::Steady),
                stations: $whole('stations'),
                links: $whole('links'),
                together: $entry->has('together') ? $entry->text('together', most: 20) : null,
                stationsWait: $entry->has('stationsWait') && $entry->flag('stationsWait'),
                counted: $entry->has('counted') ? Counted::named($entry->text('counted', most: 40)) : null,
            );
        } catch (CoreException $fault) {
            $field = str_starts_with($fault->path(), "{$path}.") ? $fault->path() : rtrim("{$path}.{$fault->path()}", '.');
            $faults->add($field, $fault->getMessage());

            return null;
        }
    }
}
