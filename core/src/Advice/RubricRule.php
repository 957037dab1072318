<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

/**
 * What a second coach looks for in a session, each a yes or no with a weight. Common practice, no source, but for the thresholds,
 * which are this tool's own.
 */
enum RubricRule: string
{
    case NothingBarred = 'nothing-barred';
    case InTime = 'in-time';
    case NobodyWaits = 'nobody-waits';
    case BallFromTheStart = 'ball-from-the-start';
    case SlotUsed = 'slot-used';
    case ThemeTrained = 'theme-trained';
    case LiveOpponent = 'live-opponent';
    case NoEarlyNumbers = 'no-early-numbers';
    case ThemePlayed = 'theme-played';
    case BothFeet = 'both-feet';
    case EndsWithPlay = 'ends-with-play';
    case NumberToBeat = 'number-to-beat';
    case ShortEnough = 'short-enough';
    case KitThere = 'kit-there';
    case Recap = 'recap';
    case Water = 'water';

    public function weight(): int
    {
        return match ($this) {
            self::NothingBarred => 6,
            self::InTime, self::NobodyWaits => 4,
            self::BallFromTheStart, self::SlotUsed, self::ThemeTrained, self::LiveOpponent => 3,
            self::NoEarlyNumbers, self::ThemePlayed, self::BothFeet, self::EndsWithPlay, self::NumberToBeat, self::ShortEnough => 2,
            self::KitThere, self::Recap, self::Water => 1,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::NothingBarred => 'nothing that the squad\'s profile forbids',
            self::InTime => 'ends within the slot in eight cases of ten',
            self::NobodyWaits => 'nobody waits longer than they work',
            self::BallFromTheStart => 'everybody has the ball in the first drill',
            self::SlotUsed => 'at least 85% of the slot is used, at eight in ten',
            self::ThemeTrained => 'a third of the drills\' time is the theme\'s',
            self::LiveOpponent => 'a live opponent before the end, for two or more',
            self::NoEarlyNumbers => 'no number in the first drill',
            self::ThemePlayed => 'the theme is in what is played live',
            self::BothFeet => 'the lesser foot has four touches in ten',
            self::EndsWithPlay => 'ends with play, for two or more',
            self::NumberToBeat => 'a number to beat',
            self::ShortEnough => 'no drill longer than the age bears, games left out',
            self::KitThere => 'markers, balls and goals are enough',
            self::Recap => 'a talk by question at the end, from twenty minutes on',
            self::Water => 'water in time',
        };
    }
}
