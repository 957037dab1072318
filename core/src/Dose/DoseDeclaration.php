<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use LogicException;

/**
 * What a dose says of itself, once: reading, limits, the schema of files, the form, its types and its words all come from here.
 *
 * In the sentence `{name}` is the field's value as a coach says it, and `{name:one|many}` the word that goes with it.
 */
final readonly class DoseDeclaration
{
    /** @param  non-empty-list<DoseField>  $fields  in the order a coach would say them */
    private function __construct(
        public string $kind,
        public string $words,
        public string $sentence,
        public string $sizedBy,
        public array $fields,
    ) {
    }

    /**
     * @param  string  $words  as a choice among kinds
     * @param  string  $sizedBy  the field that makes it longer or shorter
     */
    public static function of(string $kind, string $words, string $sentence, string $sizedBy, DoseField $first, DoseField ...$others): self
    {
        return new self($kind, $words, $sentence, $sizedBy, [$first, ...array_values($others)]);
    }

    public function field(string $name): DoseField
    {
        foreach ($this->fields as $field) {
            if ($field->name === $name) {
                return $field;
            }
        }

        throw new LogicException("A dose of the kind {$this->kind} asks for no {$name}.");
    }
}
