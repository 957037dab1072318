<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Record;

use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Record\Task;
use FleetSparrow\Core\Record\TaskDifference;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\TestCase;

final class TaskDifferenceTest extends TestCase
{
    public function test_a_spacing_that_changed_is_said_in_the_squad_s_unit(): void
    {
        $wider = ['layout' => ['kind' => 'box', 'width' => ['value' => 3, 'unit' => 'yd'], 'depth' => ['value' => 2, 'unit' => 'yd']]];

        self::assertSame(['Width was 2 yd, is 3 yd.'], TaskDifference::between(self::key([]), self::key($wider), LengthUnit::Yard));
        self::assertSame(['Width was 1.83 m, is 2.74 m.'], TaskDifference::between(self::key([]), self::key($wider), LengthUnit::Metre));
    }

    public function test_the_same_task_has_no_difference_whatever_is_mended_in_words(): void
    {
        self::assertSame(
            [],
            TaskDifference::between(self::key([]), self::key(['name' => 'Soles', 'points' => ['Eyes up.']]), LengthUnit::Metre),
        );
    }

    public function test_script_limit_and_rule_are_named_too(): void
    {
        self::assertSame(
            ['Script was "a.sole/still b.sole/still", is "a.in b.in".'],
            TaskDifference::between(self::key([]), self::key(['script' => 'a.in b.in']), LengthUnit::Metre),
        );
        self::assertSame(
            ['Touches was none, is {"least":null,"most":2}.'],
            TaskDifference::between(self::key([]), self::key(['touches' => ['most' => 2]]), LengthUnit::Metre),
        );
    }

    /** @param  array<string, mixed>  $change */
    private static function key(array $change): Task
    {
        $drill = DrillFactory::fromFields($change + Drills::fields());

        return $drill->task($drill->doseFrom(null), Side::Right, 4) ?? throw new \LogicException('It is not counted.');
    }
}
