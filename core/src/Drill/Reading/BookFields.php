<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill\Reading;

use BackedEnum;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Shared\Fault;

/** Reads the fields of an entry of a book file; a fault names the path of the field. */
final readonly class BookFields
{
    /**
     * @param  array<array-key, mixed>  $fields
     * @param  string  $path  of the entry within its file; empty for the entry itself
     */
    public function __construct(public array $fields, private string $path = '')
    {
    }

    public function path(string $name): string
    {
        return ltrim("{$this->path}.{$name}", '.');
    }

    public function has(string $name): bool
    {
        return isset($this->fields[$name]);
    }

    /** @throws InvalidDrill If there is no slug in lower case with hyphens. */
    public function slug(string $name = 'slug'): string
    {
        $slug = is_string($this->fields[$name] ?? null) ? $this->fields[$name] : '';

        return preg_match('/\A[a-z0-9]+(-[a-z0-9]+)*\z/', $slug) === 1 && strlen($slug) <= 80
            ? $slug
            : throw $this->refusal($name, "\"{$name}\" needs a slug in lower case with hyphens, at most 80 letters.");
    }

    /** @throws InvalidDrill If it is not text, empty where it may not be, or too long. */
    public function text(string $name, bool $mayBeEmpty = false, int $most = 500): string
    {
        $value = $this->fields[$name] ?? ($mayBeEmpty ? '' : null);
        if (! is_string($value) || (! $mayBeEmpty && trim($value) === '')) {
            throw $this->refusal($name, "\"{$name}\" needs some text.");
        }

        return mb_strlen($value) <= $most ? $value : throw $this->refusal($name, "\"{$name}\" holds at most {$most} letters.");
    }

    /**
     * @return list<string>
     *
     * @throws InvalidDrill If it is not a list of texts.
     */
    public function texts(string $name, int $least = 0, int $most = 40): array
    {
        $list = $this->list($name);
        if (count($list) < $least || count($list) > $most) {
            throw $this->refusal($name, "\"{$name}\" lists {$least} to {$most} sentences.");
        }

        return array_map(
            fn (int $i, mixed $text): string => is_string($text) && trim($text) !== '' && mb_strlen($text) <= 300
                ? $text
                : throw $this->refusal(
                    "{$name}.{$i}",
                    "\"{$name}\" lists sentences of at most 300 letters.",
                ),
            array_keys($list),
            $list,
        );
    }

    /**
     * @return list<mixed> empty where it is left out
     *
     * @throws InvalidDrill If it is no list.
     */
    public function list(string $name): array
    {
        $value = $this->fields[$name] ?? [];

        return is_array($value) && array_is_list($value) ? $value : throw $this->refusal($name, "\"{$name}\" must be a list.");
    }

    /**
     * @return list<self> the entries of a list of objects
     *
     * @throws InvalidDrill If it is no list of objects.
     */
    public function entries(string $name): array
    {
        return array_map(
            fn (int $i, mixed $one): self => is_array($one) ? new self($one, $this->path("{$name}.{$i}")) : throw $this->refusal(
                "{$name}.{$i}",
                "\"{$name}\" lists objects.",
            ),
            array_keys($this->list($name)),
            $this->list($name),
        );
    }

    /** @throws InvalidDrill If it is missing or no object. */
    public function object(string $name): self
    {
        $value = $this->fields[$name] ?? null;

        return is_array($value) ? new self($value, $this->path($name)) : throw $this->refusal($name, "\"{$name}\" is missing.");
    }

    /** @throws InvalidDrill If it is no number between the two. */
    public function number(string $name, float $least, float $most, ?float $default = null): float
    {
        $value = $this->fields[$name] ?? $default;
        if ((! is_int($value) && ! is_float($value)) || ! ($value >= $least && $value <= $most)) {
            throw $this->refusal($name, sprintf('"%s" must be a number between %g and %g.', $name, $least, $most));
        }

        return (float) $value;
    }

    /** @throws InvalidDrill If it is no whole number between the two. */
    public function whole(string $name, int $least, int $most, ?int $default = null): int
    {
        $value = $this->fields[$name] ?? $default;

        return is_int($value) && $value >= $least && $value <= $most
            ? $value
            : throw $this->refusal($name, "\"{$name}\" must be a whole number between {$least} and {$most}.");
    }

    /** @throws InvalidDrill If it is neither yes nor no. */
    public function flag(string $name): bool
    {
        $value = $this->fields[$name] ?? false;

        return is_bool($value) ? $value : throw $this->refusal($name, "\"{$name}\" is true or false.");
    }

    /**
     * @template T of BackedEnum
     *
     * @param  class-string<T>  $enum
     * @param  T|null  $default  null where it must be said
     * @return T
     *
     * @throws InvalidDrill If it is not one of the enum's.
     */
    public function choice(string $name, string $enum, ?BackedEnum $default = null): BackedEnum
    {
        $value = $this->fields[$name] ?? $default?->value;

        return (is_string($value) ? $enum::tryFrom($value) : null) ?? throw $this->refusal(
            $name,
            "\"{$name}\" must be one of ".implode(', ', array_column($enum::cases(), 'value')).'.',
        );
    }

    /** @throws InvalidDrill If it is not one of the nine. */
    public function family(): Family
    {
        return $this->choice('family', Family::class);
    }

    /**
     * @return list<Fault>
     *
     * @throws InvalidDrill If it does not list pairs of a fault and its fix.
     */
    public function faults(): array
    {
        return array_map(
            static fn (self $pair): Fault => new Fault($pair->text('fault'), $pair->text('fix')),
            $this->entries('faults'),
        );
    }

    public function refusal(string $name, string $message): InvalidDrill
    {
        return InvalidDrill::at($this->path($name), $message);
    }
}
