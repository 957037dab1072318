<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Shared\Keepable;

/** What a session loses by one cut, kept for the next plan: trying it is dear. */
final readonly class Loss implements Keepable
{
    /**
     * @param  float  $seconds  off the mean
     * @param  float  $left  touches of one player on average
     * @param  float  $all  with those of no foot
     */
    public function __construct(public float $seconds, public float $left, public float $right, public float $all)
    {
    }

    /**
     * Rounded to a millionth: what the rest of a session adds up to leaves less than that in a difference.
     *
     * @param  array{float, float, float, float}  $now  seconds, left, right and all
     * @param  array{float, float, float, float}  $then
     */
    public static function between(array $now, array $then): self
    {
        $less = static fn (int $i): float => round($now[$i] - $then[$i], 6);

        return new self($less(0), $less(1), $less(2), $less(3));
    }

    public function packed(): string
    {
        return pack('d4', $this->seconds, $this->left, $this->right, $this->all);
    }

    public static function unpacked(string $bytes): self
    {
        /** @var array{1: float, 2: float, 3: float, 4: float} $off */
        $off = (array) unpack('d4', $bytes);

        return new self($off[1], $off[2], $off[3], $off[4]);
    }
}
