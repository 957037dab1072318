<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Exception\InvalidDrill;

/** Reads the fields of an entry of a book file; a fault names the field. */
final readonly class BookFields
{
    /**
     * @param  array<array-key, mixed>  $fields
     * @param  string  $of  what the entry is, first part of a refusal's reason
     */
    public function __construct(private array $fields, private string $of)
    {
    }

    /** @throws InvalidDrill If there is no slug in lower case with hyphens. */
    public function slug(): string
    {
        $slug = is_string($this->fields['slug'] ?? null) ? $this->fields['slug'] : '';

        return preg_match('/\A[a-z0-9]+(-[a-z0-9]+)*\z/', $slug) === 1 ? $slug : throw InvalidDrill::because("{$this->of}.slug", "A {$this->of} needs a slug in lower case with hyphens.");
    }

    /** @throws InvalidDrill If it is not text, or empty where it may not be. */
    public function text(string $name, bool $mayBeEmpty = false): string
    {
        $value = $this->fields[$name] ?? ($mayBeEmpty ? '' : null);

        return is_string($value) && ($mayBeEmpty || trim($value) !== '') ? $value : throw InvalidDrill::because("{$this->of}.{$name}", "\"{$name}\" needs some text.");
    }

    /**
     * @return list<string>
     *
     * @throws InvalidDrill If it is not a list of texts.
     */
    public function texts(string $name): array
    {
        return array_values(array_map(
            fn (mixed $text): string => is_string($text) ? $text : throw InvalidDrill::because("{$this->of}.{$name}", "\"{$name}\" lists sentences."),
            $this->object($name),
        ));
    }

    /**
     * @return array<array-key, mixed>
     *
     * @throws InvalidDrill If it is missing.
     */
    public function object(string $name): array
    {
        $value = $this->fields[$name] ?? null;

        return is_array($value) ? $value : throw InvalidDrill::because("{$this->of}.{$name}", "\"{$name}\" is missing.");
    }

    /** @throws InvalidDrill If it is no number between the two. */
    public function number(string $name, float $least, float $most): float
    {
        $value = $this->fields[$name] ?? null;
        if ((! is_int($value) && ! is_float($value)) || $value < $least || $value > $most) {
            throw InvalidDrill::because("{$this->of}.{$name}", sprintf('"%s" must be a number between %g and %g.', $name, $least, $most));
        }

        return (float) $value;
    }

    /** @throws InvalidDrill If it is not one of the nine. */
    public function family(): Family
    {
        return Family::tryFrom($this->text('family')) ?? throw InvalidDrill::because("{$this->of}.family", '"family" is not one of the nine families.');
    }

    /**
     * @return list<array{fault: string, fix: string}>
     *
     * @throws InvalidDrill If it does not list pairs of a fault and its fix.
     */
    public function faults(): array
    {
        $faults = [];
        foreach ($this->object('faults') as $entry) {
            if (! is_array($entry)) {
                throw InvalidDrill::because("{$this->of}.faults", '"faults" lists pairs of a fault and its fix.');
            }
            $pair = new self($entry, $this->of);
            $faults[] = ['fault' => $pair->text('fault'), 'fix' => $pair->text('fix')];
        }

        return $faults;
    }
}
