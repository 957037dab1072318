<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Shared\Keepable;
use FleetSparrow\Core\Statistics\Quantiles;

/** All goes of one player at a dose: what they take, in seconds without the rests between, and how many reps are done in them. */
final readonly class Played implements Keepable
{
    public float $meanSeconds;

    /**
     * @param  list<float>  $times  equally likely, in any order
     * @param  float  $reps  on average, those within the limit of a go
     */
    public function __construct(public array $times, public float $reps)
    {
        $this->meanSeconds = array_sum($times) / count($times);
    }

    public function inOrder(): Quantiles
    {
        return Quantiles::of($this->times);
    }

    /** The same without its spread. */
    public function onAverage(): self
    {
        return new self([$this->meanSeconds], $this->reps);
    }

    public function packed(): string
    {
        return pack('d*', $this->reps, ...$this->times);
    }

    /** @param  string  $bytes  as packed */
    public static function unpacked(string $bytes): self
    {
        /** @var list<float> $numbers */
        $numbers = array_values((array) unpack('d*', $bytes));
        $reps = (float) array_shift($numbers);

        return new self($numbers, $reps);
    }
}
