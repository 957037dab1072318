<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\DoseDeclaration;
use FleetSparrow\Core\Dose\DoseField;
use FleetSparrow\Core\Dose\DoseFields;
use FleetSparrow\Core\Dose\DoseSides;
use FleetSparrow\Core\Dose\HeldToLimits;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\Played;
use FleetSparrow\Core\Exception\InvalidDose;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Quantiles;

/**
 * Items in a row, run without stopping, as often as there are rounds: the sum of what each item takes and of the rests after
 * them; none trails.
 */
final readonly class CircuitDose implements Dose
{
    use HeldToLimits;

    public const KIND = 'circuit';

    /** @param  non-empty-list<CircuitItem>  $items */
    private function __construct(public array $items, private int $rounds, private float $restSeconds, public CircuitPace $pace)
    {
    }

    /**
     * @param  non-empty-list<CircuitItem>  $items
     *
     * @throws InvalidDose If rounds are outside 1 to 20, or the rest between rounds outside 0 to 600 s.
     */
    public static function of(array $items, int $rounds, float $restSeconds, CircuitPace $pace = CircuitPace::Last): self
    {
        return new self(
            $items,
            self::held('rounds', $rounds),
            self::held('restSeconds', $restSeconds),
            $pace,
        );
    }

    public static function declared(): DoseDeclaration
    {
        return DoseDeclaration::of(
            self::KIND,
            'round a circuit',
            '{rounds} {rounds:round|rounds}, {goesBy}',
            'rounds',
            DoseField::whole('rounds', 'Rounds', 1, 20, start: 1),
            DoseField::rest(start: 0.0),
            DoseField::choice('goesBy', 'From item to item', CircuitPace::choices()),
        );
    }

    /**
     * @param  non-empty-list<CircuitItem>  $items
     *
     * @throws InvalidDose If a field is missing or out of range.
     */
    public static function fromFields(array $items, DoseFields $read): self
    {
        return self::of(
            $items,
            $read->whole('rounds'),
            $read->seconds('restSeconds'),
            $read->choice('goesBy', CircuitPace::class, CircuitPace::Last),
        );
    }

    /** The same round with nothing written down. */
    public function withoutNumbers(): self
    {
        return new self(
            array_map(static fn (CircuitItem $item): CircuitItem => $item->countedBy(null), $this->items),
            $this->rounds,
            $this->restSeconds,
            $this->pace,
        );
    }

    /** Whether a number is written down of one of its items. */
    public function hasNumbers(): bool
    {
        return array_filter($this->items, static fn (CircuitItem $item): bool => $item->rule !== null) !== [];
    }

    public function kind(): string
    {
        return self::KIND;
    }

    public function sides(): DoseSides
    {
        return DoseSides::Both;
    }

    public function sets(): int
    {
        return $this->rounds;
    }

    public function restSeconds(): float
    {
        return $this->restSeconds;
    }

    public function fields(): array
    {
        return ['kind' => 'circuit', 'rounds' => $this->rounds, 'restSeconds' => $this->restSeconds]
            + ($this->pace === CircuitPace::Last ? [] : ['goesBy' => $this->pace->value]);
    }

    public function window(): array
    {
        return ['kind' => 'circuit', 'rounds' => $this->rounds, 'items' => array_map(static fn (CircuitItem $item): array => [
            'script' => $item->script->text(),
            'dose' => $item->dose->fields(),
            'restSeconds' => $item->restSeconds,
        ], $this->items)];
    }

    public function clockedSetSeconds(): null
    {
        return null;
    }

    public function goes(): int
    {
        return $this->rounds;
    }

    /** At the items' own paces, with a chance and a pace anew for each item; the rests between items belong to it. */
    public function played(Pace $pace, ?float $limitSeconds, Memo $memo, ?int $goes = null): Played
    {
        [$times, $reps, $rounds] = [[], 0.0, $goes ?? $this->rounds];
        foreach ($this->items as $i => $item) {
            $rest = $i < count($this->items) - 1 ? $item->restSeconds : 0.0;
            $played = $item->dose->played($item->pace, $limitSeconds, $memo, $rounds * $item->dose->goes());
            array_push($times, $played->inOrder(), Quantiles::fixed($rounds * $rest));
            $reps += $played->reps;
        }

        return new Played(Quantiles::sum($times)->values, $reps);
    }
}
