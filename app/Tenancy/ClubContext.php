<?php

declare(strict_types=1);

namespace App\Tenancy;

use LogicException;

/** The club whose records may be read and written now. Set once a request, command or job. */
final class ClubContext
{
    private ?int $clubId = null;

    public function actFor(int $clubId): void
    {
        $this->clubId = $clubId;
    }

    public function leave(): void
    {
        $this->clubId = null;
    }

    /** @throws LogicException If no club is set: better no answer than another club's children. */
    public function clubId(): int
    {
        return $this->clubId ?? throw new LogicException('No club is set, so no club\'s records may be touched.');
    }
}
