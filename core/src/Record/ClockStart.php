<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/** What starts the clock or the count of a try. */
enum ClockStart: string
{
    case Whistle = 'whistle';
    case FirstTouch = 'first-touch';
    case FirstStep = 'first-step';
    case FirstPass = 'first-pass';
    case FirstTry = 'first-try';
    case Line = 'line';

    public function words(): string
    {
        return match ($this) {
            self::Whistle => 'the whistle',
            self::FirstTouch => 'the first touch',
            self::FirstStep => 'the first step',
            self::FirstPass => 'the first pass',
            self::FirstTry => 'the first try',
            self::Line => 'crossing the line',
        };
    }
}
