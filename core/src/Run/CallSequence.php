<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

use FleetSparrow\Core\Drill\Calling;
use FleetSparrow\Core\Drill\CallKind;
use FleetSparrow\Core\Drill\CallRule;
use FleetSparrow\Core\Drill\DrillWords;
use FleetSparrow\Core\Layout\Label;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Layout\Marker;
use FleetSparrow\Core\Layout\Place;
use FleetSparrow\Core\Layout\PlaceRole;
use FleetSparrow\Core\Layout\Point;
use FleetSparrow\Core\Shared\Draw;

/**
 * The calls of a drill, the same for the same seed: so that a sequence can be run again, and a second phone can show the board without
 * a word from the first. Intervals are even over the spread; a place follows itself only where the drill says so.
 */
final readonly class CallSequence
{
    /** More than anybody calls in one block; a longer one begins anew. */
    public const MOST_CALLS = 200;

    /** Of the board: one hand can show them. */
    private const BOARD = [1, 2, 3, 4, 5, 6, 7, 8, 9];

    /** @param  non-empty-array<array-key, bool|null>  $places  name → whether it lies in front; null where that cannot be said */
    private function __construct(private Calling $calling, private array $places, private int $seed)
    {
    }

    /**
     * @param  float  $workSeconds  of the whole block
     * @return list<Call>
     */
    public static function of(Calling $calling, Layout $layout, int $seed, float $workSeconds): array
    {
        $sequence = new self($calling, self::placesOf($calling->kind, $layout), $seed);
        [$calls, $at, $before, $board, $command] = [[], $calling->everySeconds / 2, null, null, null];
        for ($k = 0; $at < $workSeconds && $k < self::MOST_CALLS; $k++) {
            $places = $sequence->places($k, $before);
            $board = $calling->twoWay ? $sequence->drawn("board {$k}", array_values(array_diff(self::BOARD, [$board]))) : null;
            $command = $sequence->command($k, $command);
            $calls[] = new Call(
                atSeconds: round($at, 1),
                ballSeconds: round($at + $calling->leadSeconds, 1),
                places: $places,
                number: $board,
                asks: $sequence->asks($places[count($places) - 1]),
                command: $command,
            );
            $before = $places[count($places) - 1];
            $at += $calling->everySeconds * (1.0 + $calling->spread * (2.0 * $sequence->share("pause {$k}") - 1.0));
        }

        return $calls;
    }

    /** @return non-empty-array<array-key, bool|null> */
    private static function placesOf(CallKind $kind, Layout $layout): array
    {
        $named = match ($kind) {
            CallKind::Colour => array_map(static fn (Marker $one): array => [$one->colour, $one->at], $layout->markers()),
            CallKind::Number => array_map(static fn (Label $one): array => [$one->text, $one->at], array_values(array_filter(
                $layout->labels(),
                static fn (Label $one): bool => preg_match('/\A\d+\z/', $one->text) === 1,
            ))),
            CallKind::Side => [['left', null], ['right', null]],
            CallKind::Movement => [['the next movement', null]],
            // Whose name it is only a phone knows: the call says which in the list.
            CallKind::Name => array_map(static fn (int $one): array => [(string) $one, null], range(1, 20)),
        };
        [$worker, $caller] = [self::spot($layout, PlaceRole::Worker), self::spot($layout, PlaceRole::Caller)];
        $places = [];
        foreach ($named as [$name, $at]) {
            $places[$name] = $at === null || $worker === null || $caller === null
                ? null
                : $at->distanceMetres($caller) < $worker->distanceMetres($caller);
        }

        return $places === [] ? ['now' => null] : $places;
    }

    private static function spot(Layout $layout, PlaceRole $role): ?Point
    {
        $spots = array_values(array_filter($layout->places(), static fn (Place $one): bool => $one->role === $role));

        return ($spots[0] ?? null)?->at;
    }

    /** @return non-empty-list<string> */
    private function places(int $k, ?string $before): array
    {
        $called = [$this->place("place {$k} 0", $before)];
        for ($i = 1; $i < $this->calling->inOrder; $i++) {
            $called[] = $this->place("place {$k} {$i}", $called[$i - 1] ?? null);
        }

        return $called;
    }

    /** Never the same twice running, where there is another. */
    private function command(int $k, ?string $before): ?string
    {
        $others = array_values(array_diff($this->calling->commands, [$before]));

        return $others === [] ? $before : $this->drawn("command {$k}", $others);
    }

    private function place(string $what, ?string $before): string
    {
        $may = array_map(strval(...), array_keys($this->places));
        $others = array_values(array_diff($may, [$before]));

        return $this->drawn($what, $this->calling->again || $others === [] ? $may : $others);
    }

    private function asks(string $place): string
    {
        $isFront = $this->places[$place] ?? null;
        $rules = array_filter($this->calling->rules, static fn (CallRule $one): bool => $one->place === $place
            || ($isFront === true && $one->place === 'front') || ($isFront === false && $one->place === 'behind'));

        return implode(' ', array_map(DrillWords::callRule(...), $rules));
    }

    /**
     * @template T
     *
     * @param  list<T>  $among
     * @return T
     */
    private function drawn(string $what, array $among): mixed
    {
        return $among[(int) floor($this->share($what) * count($among))];
    }

    private function share(string $what): float
    {
        return Draw::share($this->seed, $what);
    }
}
