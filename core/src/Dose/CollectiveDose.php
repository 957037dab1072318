<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Chances;
use FleetSparrow\Core\Statistics\LogNormals;

/**
 * A running total for each player; a drop does not set it back. With drop chance h a rep and r seconds to fetch: where a
 * dropped rep counts, N·s + drops·r with mean N·h and variance N·h·(1 − h); where only good ones count, drops are negative
 * binomial (N, 1 − h) and cost s + r each. The working part ends with the slowest worker.
 */
final readonly class CollectiveDose implements PlainDose
{
    use HeldToLimits;
    use InSets;

    public const KIND = 'collective';

    private function __construct(private int $total, private bool $onlyGood, private SetsAndRest $pattern, private ?float $limitSeconds)
    {
    }

    /**
     * @param  float|null  $limitSeconds  when a coach stops a go; 0 for never, null for the usual time
     *
     * @throws InvalidDose If the total is outside 5 to 2,000, or the limit over an hour.
     */
    public static function of(int $total, bool $onlyGood, SetsAndRest $pattern, ?float $limitSeconds = null): self
    {
        return new self(
            self::held('total', $total),
            $onlyGood,
            $pattern,
            $limitSeconds === null ? null : self::held('limitSeconds', $limitSeconds),
        );
    }

    public static function declared(): DoseDeclaration
    {
        return DoseDeclaration::of(
            self::KIND,
            'a running total',
            '{total} in all {sides}, {onlyGood}',
            'sets',
            DoseField::whole('total', 'The total', 5, 2000, start: 100),
            DoseField::yes('onlyGood', 'Drops', no: 'a drop goes on', yes: 'good ones only', start: false),
            ...[...SetsAndRest::asks(sets: 1, restSeconds: 0.0), DoseField::limit()],
        );
    }

    public static function fromFields(DoseFields $read): self
    {
        return self::of($read->whole('total'), $read->yes('onlyGood'), $read->pattern(), $read->limit());
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function window(): array
    {
        return ['kind' => 'collective', 'total' => $this->total, 'onlyGood' => $this->onlyGood ? 1 : 0];
    }

    public function mayNotEnd(): bool
    {
        return true;
    }

    public function stopsAfter(): ?float
    {
        return $this->limitSeconds;
    }

    public function played(Pace $pace, ?float $limitSeconds, Memo $memo, ?int $goes = null): Played
    {
        $go = $this->onlyGood
            ? GoCounts::misses($this->total, fn (float $chance): array => Chances::misses($this->total, $chance))
            : GoCounts::drops($this->total, fn (float $chance): array => Chances::drops(
                $this->total,
                $chance,
                LogNormals::middles($memo, Chances::SLICES),
            ));

        return Plays::of($pace, $goes ?? $this->goes(), $limitSeconds, $memo, $go);
    }
}
