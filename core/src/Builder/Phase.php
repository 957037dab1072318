<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\CompositionKind;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Opposition;
use FleetSparrow\Core\Drill\Pattern;

/** The parts of a session in their order, as is common practice: with the ball from the first minute, harder, counted, played. */
enum Phase: string
{
    case WarmUp = 'warm-up';
    case Technique = 'technique';
    case Demand = 'demand';
    case Challenge = 'challenge';
    case Duel = 'duel';
    case Game = 'game';

    /**
     * The parts a slot has room for. One alone has no opponent and no game; two or three end with one against one. This tool's own
     * lines.
     *
     * @return non-empty-list<self>
     */
    public static function within(float $slotSeconds, int $players = 4): array
    {
        $minutes = $slotSeconds / 60.0;
        $work = match (true) {
            $minutes < 20 => [self::WarmUp, self::Technique],
            $minutes < 30 => $players > 1 ? [self::WarmUp, self::Technique] : [self::WarmUp, self::Technique, self::Challenge],
            $minutes < 45 => [self::WarmUp, self::Technique, self::Challenge],
            $minutes < 75 => [self::WarmUp, self::Technique, self::Demand, self::Challenge],
            default => [self::WarmUp, self::Technique, self::Technique, self::Demand, self::Challenge],
        };
        $alone = match (true) {
            $minutes < 45 => [],
            $minutes < 75 => [self::Technique, self::Challenge],
            default => [self::Technique, self::Technique, self::Demand, self::Challenge, self::Challenge],
        };

        return match (true) {
            $players === 1 => [...$work, ...$alone],
            $minutes < 20 => $work,
            $players < 4 => [...$work, ...match (true) {
                $minutes < 45 => [],
                $minutes < 75 => [self::Challenge],
                default => [self::Technique, self::Demand, self::Challenge],
            }, self::Duel],
            $minutes < 30 => [...$work, self::Duel],
            default => [...$work, self::Duel, self::Game],
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::WarmUp => 'warm-up with the ball',
            self::Technique => 'technique',
            self::Demand => 'technique under more demand',
            self::Challenge => 'a number to beat',
            self::Duel => 'one against one',
            self::Game => 'game',
        };
    }

    public function tempo(): Tempo
    {
        return in_array($this, [self::Demand, self::Challenge, self::Duel, self::Game], true) ? Tempo::Match : Tempo::Steady;
    }

    /** Whether it may be left out where it does not fit. */
    public function isOptional(): bool
    {
        return $this === self::Demand || $this === self::Game || $this === self::Duel;
    }

    /** Whether a drill can be this part of a session. */
    public function suits(Drill $drill): bool
    {
        $isLive = $drill->demands->opposition === Opposition::Live;
        $isGame = $isLive && $drill->organisation->workers > 2;
        $isDuel = $isLive && ! $isGame;

        return match ($this) {
            self::WarmUp => ! $isGame
                && in_array($drill->family, [Family::BallMastery, Family::Dribbling, Family::Footwork], true)
                && $drill->demands->opposition === Opposition::None,
            self::Technique => ! $isGame && ! self::isDemanding($drill),
            self::Demand => ! $isGame && ! $isDuel && self::isDemanding($drill),
            self::Challenge => ! $isGame && ! $isDuel && $drill->rule !== null,
            self::Duel => $isDuel,
            self::Game => $isGame,
        };
    }

    private static function isDemanding(Drill $drill): bool
    {
        return ! in_array($drill->demands->opposition, [Opposition::None, Opposition::Marker], true)
            || $drill->demands->calling !== null
            || $drill->composition->kind !== CompositionKind::Single
            || in_array($drill->organisation->pattern, [Pattern::PassAndFollow, Pattern::Hunt, Pattern::Live, Pattern::Rotate], true);
    }
}
