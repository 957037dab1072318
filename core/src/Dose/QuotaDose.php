<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Chances;
use FleetSparrow\Core\Statistics\CountDistribution;
use FleetSparrow\Core\Statistics\Quantiles;

/**
 * Only good ones count: n good reps a side, poor ones are done again, and a missed ball is fetched.
 *
 * Misses of all goes together are beta-negative-binomial: k goes of n good ones are one wait for k·n.
 */
final class QuotaDose implements PlainDose
{
    use HeldToLimits;

    public const KIND = 'quota';

    private function __construct(
        private readonly int $good,
        private readonly float $restSeconds,
        private readonly DoseSides $sides,
        private readonly ?float $limitSeconds,
    ) {
    }

    /**
     * @param  float|null  $limitSeconds  when a coach stops a side; 0 for never, null for the usual time
     *
     * @throws InvalidDose If good reps are outside 1 to 100, the rest between sides outside 0 to 600 s, or the limit over an hour.
     */
    public static function of(int $good, float $restSeconds, DoseSides $sides, ?float $limitSeconds = null): self
    {
        return new self(
            self::held('good', $good),
            self::held('restSeconds', $restSeconds),
            $sides,
            $limitSeconds === null ? null : self::held('limitSeconds', $limitSeconds),
        );
    }

    public static function declared(): DoseDeclaration
    {
        return DoseDeclaration::of(
            self::KIND,
            'good ones only',
            '{good} good ones {sides}, poor ones again',
            'good',
            DoseField::whole('good', 'Good ones', 1, 100, start: 10),
            ...[DoseField::rest(start: 15.0), DoseField::sides(), DoseField::limit()],
        );
    }

    public static function fromFields(DoseFields $read): self
    {
        return self::of($read->whole('good'), $read->seconds('restSeconds'), $read->sides(), $read->limit());
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function sides(): DoseSides
    {
        return $this->sides;
    }

    public function sets(): int
    {
        return 1;
    }

    public function restSeconds(): float
    {
        return $this->restSeconds;
    }

    public function fields(): array
    {
        return ['kind' => 'quota', 'good' => $this->good, 'restSeconds' => $this->restSeconds, 'sides' => $this->sides->value]
            + $this->limitField();
    }

    public function window(): array
    {
        return ['kind' => 'quota', 'good' => $this->good];
    }

    public function clockedSetSeconds(): null
    {
        return null;
    }

    public function goes(): int
    {
        return $this->sides->count();
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
        $goes ??= $this->goes();
        if ($limitSeconds === null) {
            return $this->withoutLimit($pace, $goes, $memo);
        }
        $misses = GoCounts::misses($this->good, fn (float $chance): array => Chances::misses($this->good, $chance));

        return Plays::of($pace, $goes, $limitSeconds, $memo, $misses);
    }

    /** One chance for all goes: k goes of n good ones have the misses of one of k·n. */
    private function withoutLimit(Pace $pace, int $goes, Memo $memo): Played
    {
        $good = $goes * $this->good;
        $misses = $memo->of(
            "beta {$good} {$pace->alpha()} {$pace->beta()}",
            static fn (): CountDistribution => CountDistribution::betaNegativeBinomial($good, $pace->alpha(), $pace->beta()),
        );
        $weighted = [];
        $shares = $misses->shares();
        foreach (Plays::factors($memo) as $factor) {
            foreach ($shares as $missed => $share) {
                $weighted[] = [($good + $missed) * $factor * $pace->secondsPerRep + $missed * $pace->fetchSeconds, $share];
            }
        }

        return new Played(Quantiles::weighted($weighted)->values, $good + $misses->mean());
    }
}
