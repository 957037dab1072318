<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Statistics\Chances;

/** What chance decides of a go, worked out once for all players whose own chance lies in the same cell. */
final class CountsByChance
{
    /** @var array<int, list<int|float>> */
    private array $known = [];

    public function __construct(private readonly GoCounts $go)
    {
    }

    /** @return list<int|float> equally likely numbers */
    public function inCell(int $cell): array
    {
        return $this->known[$cell] ??= ($this->go->ofChance)(Chances::ofCell($cell));
    }
}
