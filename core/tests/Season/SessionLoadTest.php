<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Season;

use FleetSparrow\Core\Season\SessionLoad;
use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;
use PHPUnit\Framework\TestCase;

final class SessionLoadTest extends TestCase
{
    public function test_what_a_session_leaves_on_a_player_by_hand(): void
    {
        // Ten times: two touches with the left, one shot with the right, one header.
        $tally = Tally::of(Script::fromText('L.in L.sole R.lace!shot -.head^')->resolved(Foot::Right), 1)->times(10.0);
        $right = SessionLoad::of($tally, StrongFoot::Right);

        self::assertSame(
            [40.0, 30.0, 20.0, 10.0, 10.0],
            [$right->touches, $right->footedTouches, $right->weakerTouches, $right->strikes, $right->headers],
        );
        self::assertSame(10.0, SessionLoad::of($tally, StrongFoot::Left)->weakerTouches);
        $both = SessionLoad::of($tally, StrongFoot::Both);
        self::assertSame([40.0, 0.0, 0.0, 10.0], [$both->touches, $both->footedTouches, $both->weakerTouches, $both->strikes]);
    }

    public function test_each_figure_is_kept_to_a_tenth(): void
    {
        $tally = Tally::of(Script::fromText('L.in')->resolved(Foot::Right), 1)->times(1.25);

        self::assertSame(1.3, SessionLoad::of($tally, StrongFoot::Right)->touches);
        $zero = Tally::zero();
        self::assertSame(0.0, SessionLoad::of($zero, StrongFoot::Right)->touches);
        self::assertSame([0.0, 0.0, 0.0], [$zero->feints, $zero->turns, $zero->degreesTurned]);
        self::assertEquals($zero, Tally::sum([]));
    }
}
