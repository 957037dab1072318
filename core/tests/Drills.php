<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;

/** Small drills for tests, apart from the book, so that mending the book breaks no expected number. */
final class Drills
{
    /** 0.9 s a pair of touches, four markers, chance 0.8, 5 s to fetch. */
    public static function soleTaps(): Drill
    {
        return DrillFactory::fromFields(self::fields());
    }

    /** 1.6 s a rep of two touches with one foot, on the same layout. */
    public static function pullBack(): Drill
    {
        return DrillFactory::fromFields(
            ['slug' => 'pull-back', 'script' => 'a.sole/back a.in/out', 'secondsPerRep' => 1.6] + self::fields(),
        );
    }

    /** @return array<string, mixed> */
    public static function fields(): array
    {
        return [
            'slug' => 'sole-taps',
            'name' => 'Sole taps',
            'family' => 'ball-mastery',
            'summary' => 'Soles take turns on top of the ball.',
            'layout' => ['kind' => 'box', 'width' => ['value' => 2, 'unit' => 'yd'], 'depth' => ['value' => 2, 'unit' => 'yd']],
            'script' => 'a.sole/still b.sole/still',
            'secondsPerRep' => 0.9,
            'goodChance' => 0.8,
            'fetchSeconds' => 5,
            'dose' => ['kind' => 'timed', 'workSeconds' => 30, 'sets' => 2, 'restSeconds' => 20, 'sides' => 'alternating'],
            'scoring' => ['kind' => 'count-in-time', 'starts' => 'whistle', 'stops' => 'whistle'],
            'organisation' => ['workers' => 1, 'playerServers' => 0, 'service' => 'none'],
            'fromAge' => 'U8',
            'points' => ['Light on the ball.'],
            'faults' => [['fault' => 'Stamps', 'fix' => 'Brush the ball.']],
            'cautions' => ['Look the ground over first.'],
        ];
    }
}
