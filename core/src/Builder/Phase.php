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
    case Game = 'game';

    /**
     * The phases a slot has room for; what is left out first is the second technique, then the game. This tool's own lines.
     *
     * @return non-empty-list<self>
     */
    public static function within(float $slotSeconds): array
    {
        return match (true) {
            $slotSeconds < 20 * 60 => [self::WarmUp, self::Technique],
            $slotSeconds < 30 * 60 => [self::WarmUp, self::Technique, self::Challenge],
            $slotSeconds < 45 * 60 => [self::WarmUp, self::Technique, self::Challenge, self::Game],
            default => self::cases(),
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::WarmUp => 'warm-up with the ball',
            self::Technique => 'technique',
            self::Demand => 'technique under more demand',
            self::Challenge => 'a number to beat',
            self::Game => 'game',
        };
    }

    public function tempo(): Tempo
    {
        return $this === self::Demand || $this === self::Challenge ? Tempo::Match : Tempo::Steady;
    }

    /** Whether it may be left out where it does not fit. */
    public function isOptional(): bool
    {
        return $this === self::Demand || $this === self::Game;
    }

    /** Whether a drill can be this part of a session. */
    public function suits(Drill $drill): bool
    {
        $isGame = $drill->organisation->pattern === Pattern::Live && $drill->organisation->workers > 2;

        return match ($this) {
            self::WarmUp => ! $isGame
                && in_array($drill->family, [Family::BallMastery, Family::Dribbling, Family::Footwork], true)
                && $drill->demands->opposition === Opposition::None,
            self::Technique => ! $isGame && ! self::isDemanding($drill),
            self::Demand => ! $isGame && self::isDemanding($drill),
            self::Challenge => ! $isGame && $drill->rule !== null,
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
