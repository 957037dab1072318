<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

/** A dose done in sets with rest between, ended by the work and not by the clock. */
trait InSets
{
    public function sides(): DoseSides
    {
        return $this->pattern->sides;
    }

    public function sets(): int
    {
        return $this->pattern->sets;
    }

    public function goes(): int
    {
        return $this->pattern->sides->count() * $this->pattern->sets;
    }

    public function restSeconds(): float
    {
        return $this->pattern->restSeconds;
    }

    public function clockedSetSeconds(): ?float
    {
        return null;
    }

    public function fields(): array
    {
        /** @var array<string, int|float|string> $window */
        $window = $this->window();

        return ['kind' => $this->kind()] + $this->prescribed() + $window + $this->pattern->fields() + $this->limitField();
    }

    /**
     * What of the work makes no other task: a goal or a cap that only ends it.
     *
     * @return array<string, int>
     */
    protected function prescribed(): array
    {
        return [];
    }
}
