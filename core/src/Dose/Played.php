<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Shared\Keepable;
use FleetSparrow\Core\Statistics\Quantiles;

/** All goes of one player at a dose: what they take, in seconds without the rests between, and how many reps are done in them. */
final readonly class Played implements Keepable
{
    /** @param  float  $reps  on average, those within the limit of a go */
    public function __construct(public Quantiles $times, public float $reps)
    {
    }

    /** The same without its spread. */
    public function onAverage(): self
    {
        return new self(Quantiles::fixed($this->times->mean()), $this->reps);
    }

    public function packed(): string
    {
        return pack('d', $this->reps).$this->times->packed();
    }

    /** @param  string  $bytes  as packed */
    public static function unpacked(string $bytes): self
    {
        /** @var array{1: float} $reps */
        $reps = (array) unpack('d', $bytes);

        return new self(Quantiles::unpacked(substr($bytes, 8)), $reps[1]);
    }
}
