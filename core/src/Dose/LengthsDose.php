<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\LogNormals;

/**
 * Trips of the layout, one way or there and back, uncounted inside: a lap one way is not a lap there and back, so the dose says
 * which. A set ends with its slowest worker.
 */
final readonly class LengthsDose implements PlainDose
{
    use HeldToLimits;
    use InSets;

    public const KIND = 'lengths';

    /** @param  list<Tempo>  $tempos  of each length where they differ; empty where all are alike */
    private function __construct(private int $lengths, private bool $andBack, private SetsAndRest $pattern, private array $tempos)
    {
    }

    /**
     * @param  list<Tempo>  $tempos  one for each length ("first slow, then fast"), or none
     *
     * @throws InvalidDose If lengths are outside 1 to 100, or there are tempos but not one for each.
     */
    public static function of(int $lengths, bool $andBack, SetsAndRest $pattern, array $tempos = []): self
    {
        if ($tempos !== [] && count($tempos) !== $lengths) {
            throw InvalidDose::at('dose.tempos', 'Say a tempo for each length, or none.');
        }

        return new self(self::held('lengths', $lengths), $andBack, $pattern, $tempos);
    }

    public static function declared(): DoseDeclaration
    {
        return DoseDeclaration::of(
            self::KIND,
            'lengths of the layout',
            '{sets} × {lengths} lengths {andBack} {sides}, {tempos}{restSeconds} s rest',
            'sets',
            DoseField::whole('lengths', 'Lengths', 1, 100, start: 4),
            DoseField::yes('andBack', 'Each length', no: 'one way', yes: 'there and back', start: true),
            DoseField::tempos(),
            ...SetsAndRest::asks(),
        );
    }

    public static function fromFields(DoseFields $read): self
    {
        return self::of($read->whole('lengths'), $read->yes('andBack'), $read->pattern(), $read->tempos());
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function window(): array
    {
        $tempos = implode(' ', array_map(static fn (Tempo $tempo): string => $tempo->value, $this->tempos));

        return [
            'kind' => 'lengths',
            'lengths' => $this->lengths,
            'andBack' => $this->andBack ? 1 : 0,
        ] + ($tempos === '' ? [] : ['tempos' => $tempos]);
    }

    public function played(Pace $pace, ?float $limitSeconds, Memo $memo, ?int $goes = null): Played
    {
        $goes ??= $this->goes();

        return new Played(
            LogNormals::of($memo, $goes * $this->steadyTrips() * $pace->secondsPerRep, Pace::COEFFICIENT_OF_VARIATION)->values,
            $goes * $this->trips(),
        );
    }

    /** Trips as many as would take as long at the tempo of the block. */
    private function steadyTrips(): float
    {
        return $this->tempos === []
            ? (float) $this->trips()
            : array_sum(array_map(static fn (Tempo $tempo): float => $tempo->secondsFactor(), $this->tempos)) * ($this->andBack ? 2 : 1);
    }

    private function trips(): int
    {
        return $this->lengths * ($this->andBack ? 2 : 1);
    }
}
