<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Drill;

use FleetSparrow\Core\Drill\DrillWords;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\TestCase;

final class DrillWordsTest extends TestCase
{
    public function test_a_drill_that_asks_for_nothing_says_nothing(): void
    {
        $drill = DrillFactory::fromFields(Drills::fields());

        self::assertSame([], DrillWords::asks($drill));
        self::assertSame(['1 works, each by themselves.'], DrillWords::people($drill->organisation));
    }

    public function test_each_demand_is_a_sentence(): void
    {
        $drill = DrillFactory::fromFields([
            'touches' => ['most' => 1, 'whileLearning' => 2], 'sideSetBy' => 'arrival', 'ball' => 'soft', 'opposition' => 'shadow',
            'targetRoles' => ['dribble', 'pass'], 'targetsNamedBy' => 'worker', 'keepsTheme' => true,
            'calling' => [
                'kind' => 'colour',
                'everySeconds' => 6,
                'leadSeconds' => 1,
                'inOrder' => 2,
                'again' => false,
                'twoWay' => true,
                'commands' => ['first time', 'take a touch'],
                'rules' => [['place' => 'behind', 'touches' => ['most' => 3], 'foot' => 'far', 'openBody' => true, 'move' => true]],
            ],
            'organisation' => [
                'workers' => 2,
                'playerServers' => 1,
                'service' => 'thrown',
                'manner' => 'bad-on-purpose',
                'serverMoves' => true,
                'needsCounter' => true,
                'keepers' => 1,
                'card' => ['give' => 'Throw it.'],
            ],
        ] + Drills::fields());

        self::assertSame([
            'At most 1 touch, 2 while learning.',
            'The foot is set by where the ball arrives.',
            'With a soft, light ball.',
            'In the way: a shadow that does not tackle.',
            'Targets: 1 is dribble, 2 is pass; named by the player before the ball comes.',
            'Called: a colour about every 6 s, give or take 1.2 s, 1 s before the ball, up to 2 in order, never the same twice running.',
            'The player reads what stands behind and calls it back.',
            'With each call one of: first time, take a touch.',
            'Behind: at most 3 touches, far foot, open body, a move.',
            'The game keeps the touch rule of the day.',
        ], DrillWords::asks($drill));
        self::assertSame([
            '2 work, worker and server swap.',
            '1 serves.',
            'The ball is thrown, bad on purpose, by a server on the move.',
            'Somebody watches and counts.',
            'Goalkeepers: 1 at a time, by shirt number.',
        ], DrillWords::people($drill->organisation));
    }
}
