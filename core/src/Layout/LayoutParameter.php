<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

use FleetSparrow\Core\Exception\InvalidLayout;

/** One thing that may be chosen of a layout: a length, a whole number within limits, or yes and no. */
final readonly class LayoutParameter
{
    private function __construct(public string $name, public string $label, public string $type, public int $least, public int $most)
    {
    }

    public static function length(string $name, string $label): self
    {
        return new self($name, $label, 'length', 0, 0);
    }

    public static function whole(string $name, string $label, int $least, int $most): self
    {
        return new self($name, $label, 'whole', $least, $most);
    }

    public static function flag(string $name, string $label): self
    {
        return new self($name, $label, 'flag', 0, 1);
    }

    /** @throws InvalidLayout If a whole number is outside its limits. */
    public function held(int $value): int
    {
        if ($value < $this->least || $value > $this->most) {
            throw InvalidLayout::at("layout.{$this->name}", "{$this->label} must be between {$this->least} and {$this->most}.");
        }

        return $value;
    }
}
