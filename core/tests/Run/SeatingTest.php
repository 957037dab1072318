<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Run;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Run\Seating;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class SeatingTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{array<string, mixed>}> */
    public static function cases(): iterable
    {
        $golden = json_decode((string) file_get_contents(__DIR__.'/../golden/seating.json'), true, flags: JSON_THROW_ON_ERROR);
        foreach ($golden['cases'] as $case) {
            yield $case['name'] => [$case];
        }
    }

    /** @param  array<string, mixed>  $case */
    #[DataProvider('cases')]
    public function test_agrees_with_the_golden_cases(array $case): void
    {
        self::assertSame($case['expected'], Seating::of($case['before'], $case['places'], $case['present']));
    }

    public function test_everybody_present_has_one_place_and_groups_that_need_not_change_stay_whole(): void
    {
        $this->forAll(Generators::choose(1, 20), Generators::choose(1, 4), Generators::choose(0, 4), Generators::choose(0, 3))
            ->then(function (int $count, int $size, int $leave, int $come): void {
                $before = array_chunk(range(101, 100 + $count), $size);
                $gone = array_slice([103, 101, 108, 112], 0, min($leave, $count - 1));
                $present = [...array_values(array_diff(range(101, 100 + $count), $gone)), ...($come === 0 ? [] : range(201, 200 + $come))];
                $places = array_chunk(range(1, count($present)), $size);
                $seated = Seating::of($before, $places, $present);

                self::assertSame(range(1, count($present)), array_keys($seated));
                self::assertEqualsCanonicalizing($present, $seated);
                $whole = array_filter($before, fn (array $group): bool => count($group) === $size && array_intersect($group, $gone) === []);
                $asLarge = count(array_filter($places, fn (array $place): bool => count($place) === $size));
                foreach (array_slice($whole, 0, $asLarge) as $group) {
                    $at = array_map(fn (int $player): int => intdiv((int) array_search($player, $seated, true) - 1, $size), $group);
                    self::assertCount(1, array_unique($at), 'a whole group is broken though a place of its size is free');
                }
            });
    }
}
