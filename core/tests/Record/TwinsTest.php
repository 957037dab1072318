<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Record;

use FleetSparrow\Core\Record\Twins;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use PHPUnit\Framework\TestCase;

final class TwinsTest extends TestCase
{
    public function test_the_same_task_with_either_foot_is_a_pair_and_nothing_else_is(): void
    {
        $lines = [
            'a' => ['gates', Side::Right],
            'b' => ['gates', Side::Left],
            'c' => ['taps', Side::Alternating],
            'd' => ['turns', Side::Left],
            'e' => ['cuts', Side::Left],
            'f' => ['cuts', Side::Right],
            'g' => ['cuts', Side::Both],
        ];
        self::assertSame(
            [['strong' => 'a', 'other' => 'b'], ['strong' => 'f', 'other' => 'e']],
            Twins::of(StrongFoot::Right, $lines),
        );
        self::assertSame(
            [['strong' => 'b', 'other' => 'a'], ['strong' => 'e', 'other' => 'f']],
            Twins::of(StrongFoot::Left, $lines),
        );
        self::assertSame([], Twins::of(StrongFoot::Both, $lines));
        self::assertSame([], Twins::of(StrongFoot::Right, []));
    }
}
