<?php

declare(strict_types=1);

namespace App\Exchange\Import;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\BookFields;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Drill\Reading\FaultList;
use FleetSparrow\Core\Exception\FieldFault;
use FleetSparrow\Core\Exception\InvalidDrill;

/**
 * The drills a file may name: the book's, and those it carries itself. One of these may be another one with some fields changed
 * (`basedOn`), as long as no drill is in the end based on itself.
 */
final class EmbeddedDrills
{
    private const MOST = 200;

    /** @var array<string, array{fields: array<array-key, mixed>, path: string}> slug → what the file says of it */
    private array $own = [];

    /** @var array<string, Drill|null> */
    private array $built = [];

    /** @param  array<string, array<string, mixed>>  $book  slug → fields */
    public function __construct(private readonly array $book, BookFields $file, private readonly FaultList $faults)
    {
        $entries = $file->entries('drills');
        if (count($entries) > self::MOST) {
            throw $file->refusal('drills', 'A file carries at most '.self::MOST.' drills.');
        }
        foreach ($entries as $i => $entry) {
            $slug = $faults->try("drills.{$i}.slug", fn (): string => $entry->slug());
            if ($slug !== null && (isset($book[$slug]) || isset($this->own[$slug]))) {
                $faults->add(
                    "drills.{$i}.slug",
                    isset($book[$slug])
                        ? "The book has a drill \"{$slug}\" already; give this one a slug of its own."
                        : "Two drills have the slug \"{$slug}\".",
                );
            } elseif ($slug !== null) {
                $this->own[$slug] = ['fields' => $entry->fields, 'path' => "drills.{$i}"];
            }
        }
        // Built even when no block asks for them: a fault in the file is a fault.
        array_map($this->find(...), array_keys($this->own));
    }

    /** Null when there is no such drill, or it has a fault; the fault is kept. */
    public function find(string $slug): ?Drill
    {
        if (! array_key_exists($slug, $this->built)) {
            $this->built[$slug] = $this->build($slug);
        }

        return $this->built[$slug];
    }

    public function has(string $slug): bool
    {
        return isset($this->book[$slug]) || isset($this->own[$slug]);
    }

    /** @return list<Drill> the book's and the file's own */
    public function all(): array
    {
        return array_values(array_filter(array_map($this->find(...), [...array_keys($this->book), ...array_keys($this->own)])));
    }

    private function build(string $slug): ?Drill
    {
        $path = $this->own[$slug]['path'] ?? '';
        $fields = $this->fields($slug, []);
        if ($fields === null) {
            return null;
        }
        try {
            return DrillFactory::fromFields($fields);
        } catch (InvalidDrill $fault) {
            foreach ($fault->faults === [] ? [new FieldFault('', $fault->getMessage())] : $fault->faults as $one) {
                $this->faults->add(rtrim("{$path}.{$one->path}", '.'), $one->message);
            }
        }

        return null;
    }

    /**
     * @param  list<string>  $seen  slugs on the way here
     * @return array<array-key, mixed>|null
     */
    private function fields(string $slug, array $seen): ?array
    {
        if (! isset($this->own[$slug])) {
            return $this->book[$slug] ?? null;
        }
        ['fields' => $fields, 'path' => $path] = $this->own[$slug];
        $base = $fields['basedOn'] ?? null;
        if ($base === null) {
            return $fields;
        }
        if (in_array($slug, $seen, true)) {
            $this->faults->add("{$path}.basedOn", 'This goes round in a circle: '.implode(' on ', [...$seen, $slug]).'.');

            return null;
        }
        if (! is_string($base) || ! $this->has($base)) {
            $this->faults->add("{$path}.basedOn", 'There is no drill "'.(is_string($base) ? $base : '?').'" in the book or in this file.');

            return null;
        }
        $under = $this->fields($base, [...$seen, $slug]);
        unset($fields['basedOn']);

        return $under === null ? null : $fields + $under;
    }
}
