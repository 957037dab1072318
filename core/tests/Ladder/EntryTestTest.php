<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Ladder;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Ladder\EntryTest;
use FleetSparrow\Core\Ladder\Ladder;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Tests\Drill\BookTest;
use PHPUnit\Framework\TestCase;

final class EntryTestTest extends TestCase
{
    /** @return array<string, Drill> */
    private static function book(): array
    {
        $drills = array_map(DrillFactory::fromFields(...), BookTest::fields());

        return array_combine(array_map(static fn (Drill $one): string => $one->slug, $drills), $drills);
    }

    /** @return list<Ladder> */
    private static function ladders(): array
    {
        $ladders = [];
        foreach (glob(__DIR__.'/../../../book/ladders/*.json') ?: [] as $file) {
            /** @var array{ladders: list<array<string, mixed>>} $content */
            $content = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
            array_push($ladders, ...array_map(Ladder::fromFields(...), $content['ladders']));
        }

        return $ladders;
    }

    public function test_every_ladder_of_the_book_has_one_whose_numbers_stand_on_the_rungs_own_lines(): void
    {
        $book = self::book();
        self::assertNotEmpty(self::ladders());
        foreach (self::ladders() as $ladder) {
            $tried = EntryTest::of($ladder, $book);
            self::assertContains(count($tried), [2, 3], $ladder->slug);
            foreach ($tried as ['drill' => $slug, 'dose' => $dose]) {
                $drill = $book[$slug];
                foreach ([Side::Right, Side::Left, Side::Both] as $side) {
                    self::assertNotNull($drill->dose);
                    self::assertSame($drill->task($drill->dose, $side, 4)?->key, $drill->task($dose, $side, 4)?->key, $slug);
                }
                self::assertSame(1, $dose->sets(), $slug);
            }
        }
    }

    public function test_the_rungs_are_spread_over_the_ladder_the_easiest_first(): void
    {
        $book = array_keys(array_filter(self::book(), static fn (Drill $one): bool => $one->dose !== null && $one->rule !== null));
        $ladder = static fn (int $rungs): Ladder => Ladder::fromFields([
            'slug' => 'a-ladder', 'name' => 'A ladder', 'family' => 'dribbling',
            'rungs' => array_map(static fn (string $slug): array => ['drill' => $slug, 'criterion' => 5], array_slice($book, 0, $rungs)),
        ]);
        $places = static fn (int $rungs): array => array_map(
            static fn (array $one): int => (int) array_search($one['drill'], $book, true),
            EntryTest::of($ladder($rungs), self::book()),
        );
        // By hand: ⌊0.5 · n ÷ 3⌋, ⌊1.5 · n ÷ 3⌋, ⌊2.5 · n ÷ 3⌋.
        self::assertSame([[0, 1], [0, 1, 2], [0, 2, 3], [1, 3, 5], [1, 4, 7]], array_map($places, [2, 3, 4, 6, 9]));
    }
}
