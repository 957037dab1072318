<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

use Closure;
use SplObjectStorage;

/**
 * Reads something off tallies, each once: players who work alike share one tally.
 *
 * @template T
 */
final readonly class TallyReader
{
    /** @var SplObjectStorage<Tally, T> */
    private SplObjectStorage $read;

    /** @param  Closure(Tally): T  $what */
    public function __construct(private Closure $what)
    {
        $this->read = new SplObjectStorage;
    }

    /** @return T */
    public function of(Tally $tally): mixed
    {
        if (! $this->read->contains($tally)) {
            $this->read[$tally] = ($this->what)($tally);
        }

        return $this->read[$tally];
    }
}
