<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Run;

use FleetSparrow\Core\Exception\InvalidRecord;
use FleetSparrow\Core\Run\FeedLine;
use FleetSparrow\Core\Run\FeedSimulator;
use FleetSparrow\Core\Touch\Script;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FeedSimulatorTest extends TestCase
{
    public function test_plays_a_script_touch_by_touch_the_same_for_the_same_seed(): void
    {
        $plain = new FeedSimulator(Script::fromText('a.sole b.in'), perSecond: 2.0, jitter: 0.0);
        $lines = $plain->lines(30.0);
        self::assertCount(60, $lines);
        self::assertSame([0.0, 0.5, 1.0], array_column(array_slice($lines, 0, 3), 'second'));
        self::assertSame(['R', 'L', 'R', 'L'], array_column(array_slice($lines, 0, 4), 'side'));
        self::assertSame(['sole', 'in'], array_column(array_slice($lines, 0, 2), 'surface'));
        self::assertSame($lines, $plain->lines(30.0));
        // What is repeated is played through: two soles, then an inside with the other foot.
        $group = (new FeedSimulator(Script::fromText('(a.sole)x2 b.in'), 1.0, jitter: 0.0))->lines(3.0);
        self::assertSame(['R', 'R', 'L'], array_column($group, 'side'));
    }

    public function test_misses_doubles_unknown_and_late_ones_come_in_their_share(): void
    {
        $lines = (new FeedSimulator(
            Script::fromText('a.sole b.sole'), 5.0, seed: 3, missed: 0.2, unknown: 0.25, doubled: 0.1, late: 0.1,
        ))->lines(400.0);
        $once = array_column($lines, null, 'id');
        // 2,000 touches: four standard deviations of each share.
        self::assertEqualsWithDelta(1600, count($once), 4 * sqrt(2000 * 0.2 * 0.8));
        self::assertEqualsWithDelta(160, count($lines) - count($once), 4 * sqrt(1600 * 0.1 * 0.9));
        $unknown = count(array_filter($once, static fn (array $one): bool => $one['side'] === null));
        self::assertEqualsWithDelta(400, $unknown, 4 * sqrt(1600 * 0.25 * 0.75));
        $sent = array_column($lines, 'second');
        $sorted = $sent;
        sort($sorted);
        self::assertNotSame($sorted, $sent);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function wrong(): iterable
    {
        $line = ['id' => '0c5f4d1e-7a39-4a83-9a0b-5f5f9a3f2b10', 'playerId' => 3, 'at' => '2026-03-12T18:00:00Z']
            + ['side' => 'R', 'surface' => 'sole'];
        yield 'no id' => [array_diff_key($line, ['id' => 1]), 'UUID'];
        yield 'an id with a line end' => [['id' => $line['id']."\n"] + $line, 'UUID'];
        yield 'a player by name' => [['playerId' => 'Kofi'] + $line, 'number of a player'];
        yield 'no instant' => [['at' => 5] + $line, 'instant'];
        yield 'both feet' => [['side' => 'both'] + $line, 'R, L'];
        yield 'an unknown part' => [['surface' => 'knee'] + $line, 'in, out, sole'];
        yield 'another field' => [$line + ['speed' => 4], 'Unknown: speed'];
    }

    /** @param  array<string, mixed>  $fields */
    #[DataProvider('wrong')]
    public function test_a_line_says_what_is_wrong_with_it(array $fields, string $words): void
    {
        $this->expectException(InvalidRecord::class);
        $this->expectExceptionMessage($words);
        FeedLine::fromFields($fields);
    }

    public function test_a_foot_that_is_not_known_stays_unknown(): void
    {
        $line = FeedLine::fromFields(['id' => '0c5f4d1e-7a39-4a83-9a0b-5f5f9a3f2b10', 'playerId' => 3, 'at' => '2026-03-12T18:00:00Z']);
        self::assertSame([null, null], [$line->side, $line->surface]);
        self::assertSame($line->fields(), FeedLine::fromFields($line->fields())->fields());
    }
}
