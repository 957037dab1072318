<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** What a rep needs to count. */
enum Condition: string
{
    case LineCrossed = 'line-crossed';
    case ThroughGate = 'through-gate';
    case BothGates = 'both-gates';
    case BallInside = 'ball-inside';
    case MarkerNotTouched = 'marker-not-touched';
    case MarkerRounded = 'marker-rounded';
    case PastMarker = 'past-marker';
    case WholeRound = 'whole-round';
    case FeetInTurn = 'feet-in-turn';
    case NamedFoot = 'named-foot';
    case NamedPart = 'named-part';
    case NamedTarget = 'named-target';
    case NamedDirection = 'named-direction';
    case BallStands = 'ball-stands';
    case NoTouchBetween = 'no-touch-between';
    case Rolled = 'rolled';
    case Caught = 'caught';
    case InAir = 'in-air';
    case DropGoesOn = 'drop-goes-on';
    case ChestHigh = 'chest-high';
    case NoBounce = 'no-bounce';
    case WallHit = 'wall-hit';
    case StaysLow = 'stays-low';
    case OnGoal = 'on-goal';
    case EveryGap = 'every-gap';
    case Walking = 'walking';
    case CountedTogether = 'counted-together';
    case NeverTwice = 'never-twice';
    case AtStart = 'at-start';

    public function sentence(): string
    {
        return match ($this) {
            self::LineCrossed => 'The line is crossed with the ball.',
            self::ThroughGate => 'Through the gate.',
            self::BothGates => 'Through both gates.',
            self::BallInside => 'The ball stays inside.',
            self::MarkerNotTouched => 'No marker is touched.',
            self::MarkerRounded => 'Round the marker on its outside.',
            self::PastMarker => 'Past the marker every time.',
            self::WholeRound => 'A whole round counts one.',
            self::FeetInTurn => 'The feet take turns; a pair counts one.',
            self::NamedFoot => 'Only the foot named.',
            self::NamedPart => 'Only the foot or part named.',
            self::NamedTarget => 'Only the target that was named.',
            self::NamedDirection => 'The first touch goes where the call says.',
            self::BallStands => 'The ball stands still for a moment.',
            self::NoTouchBetween => 'No touch between.',
            self::Rolled => 'Rolled, not kicked.',
            self::Caught => 'Caught without a step.',
            self::InAir => 'Every touch in the air.',
            self::DropGoesOn => 'A drop goes on.',
            self::ChestHigh => 'Chest-high every time.',
            self::NoBounce => 'Back without a bounce.',
            self::WallHit => 'Each hit of the wall counts one.',
            self::StaysLow => 'Below the knee.',
            self::OnGoal => 'On goal.',
            self::EveryGap => 'Two feet in every gap.',
            self::Walking => 'Walking all the way.',
            self::CountedTogether => 'Counted aloud together.',
            self::NeverTwice => 'Never the same twice running.',
            self::AtStart => 'Counted at the start.',
        };
    }
}
