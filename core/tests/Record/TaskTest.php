<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Record;

use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Exception\InvalidRecord;
use FleetSparrow\Core\Record\Task;
use FleetSparrow\Core\Shared\Side;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * The names of record lines, pinned: a season hangs on them.
 *
 * @phpstan-type Pinned array{
 *     drill: array<string, mixed>,
 *     former: array{key: string, task: array<string, mixed>},
 *     keys: array<string, string>,
 * }
 */
final class TaskTest extends TestCase
{
    /** @return iterable<string, array{Pinned}> */
    public static function drills(): iterable
    {
        $golden = json_decode((string) file_get_contents(__DIR__.'/../golden/tasks.json'), true, flags: JSON_THROW_ON_ERROR);
        foreach ($golden['cases'] as $case) {
            yield $case['drill']['slug'] => [$case];
        }
    }

    /** @param  Pinned  $case */
    #[DataProvider('drills')]
    public function test_literal_keys(array $case): void
    {
        $drill = DrillFactory::fromFields($case['drill']);
        self::assertNotNull($drill->dose);
        self::assertSame($case['keys'], [
            'R size 4' => $drill->task($drill->dose, Side::Right, 4)?->key,
            'R size 5' => $drill->task($drill->dose, Side::Right, 5)?->key,
            'alternating size 4' => $drill->task($drill->dose, Side::Alternating, 4)?->key,
        ]);
        // What the version before kept of the task comes to the same name, and so does any other order of its fields.
        $former = $case['former']['task'];
        // A goal only ends a run: it has left the task since.
        unset($former['window']['goal']);
        self::assertSame($case['keys']['R size 4'], Task::ofFields($former, 4)->key);
        self::assertSame($case['keys']['R size 5'], Task::ofFields(array_reverse($former, true), 5)->key);
        self::assertNotContains($case['former']['key'], $case['keys']);
    }

    public function test_numbers_are_whole_and_fields_sorted(): void
    {
        $window = ['workSeconds' => 7.5, 'kind' => 'timed', 'perSecondOver' => 0.5];
        $task = Task::ofFields(['window' => $window, 'ball' => 'soft', 'a' => [2.0, 1]], 4);
        self::assertSame(
            [
                'a' => [2, 1],
                'ball' => 'soft',
                'window' => ['kind' => 'timed', 'perSecondOverThousandths' => 500, 'workMilliseconds' => 7500],
            ],
            $task->fields,
        );
        // {"a":[2,1],"ball":"soft","window":{"kind":"timed","perSecondOverThousandths":500,"workMilliseconds":7500}}
        self::assertSame(substr(hash('sha256', (string) json_encode($task->fields)), 0, 32), $task->key);
        self::assertSame(
            Task::ofFields(['fault' => ['seconds' => 2]], 4)->key,
            Task::ofFields(['fault' => ['seconds' => 2.0]], 4)->key,
        );
        self::assertSame(['fault' => ['milliseconds' => 2000]], Task::ofFields(['fault' => ['seconds' => 2]], 4)->fields);
    }

    public function test_the_usual_ball_is_the_squad_s_and_another_stays_as_it_is(): void
    {
        self::assertSame(['ball' => 'size-5'], Task::ofFields(['ball' => 'usual'], 5)->fields);
        self::assertSame(Task::ofFields(['ball' => 'small'], 3)->key, Task::ofFields(['ball' => 'small'], 5)->key);
        $this->expectException(InvalidRecord::class);
        $this->expectExceptionMessage('A ball is of size 3, 4 or 5, not 2.');
        Task::ofFields([], 2);
    }
}
