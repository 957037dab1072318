<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Book;

use FleetSparrow\Core\Book\DrillFacts;
use FleetSparrow\Core\Book\DrillFilter;
use FleetSparrow\Core\Book\DrillIndex;
use FleetSparrow\Core\Drill\DrillScaling;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Move\Move;
use FleetSparrow\Core\Move\MoveDictionary;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Tests\Drill\BookTest;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DrillIndexTest extends TestCase
{
    /** @return array<string, array{DrillFilter, list<string>, list<string>}> what is there, drills found, drills left out */
    public static function wishes(): array
    {
        return [
            'a family' => [new DrillFilter(family: Family::Turning), ['drag-back-turn'], ['sole-taps']],
            'a move' => [new DrillFilter(move: 'drag-back'), ['drag-back-turn', 'combo-pull-back-step-over'], ['sole-taps']],
            'a surface' => [new DrillFilter(surface: 'chest'), ['chest-and-return', 'combo-chest-behind'], ['sole-taps']],
            'one foot at a time' => [new DrillFilter(feet: 'one'), ['juggle-other-foot', 'outside-only-line'], ['juggle-alternating']],
            'no wall, no goal' => [new DrillFilter(equipment: []), ['sole-taps'], ['wall-two-touch', 'six-balls-outside-in']],
            'a wall to hand' => [new DrillFilter(equipment: ['wall']), ['wall-two-touch', 'sole-taps'], ['six-balls-outside-in']],
            'at a wall only' => [new DrillFilter(wall: true), ['wall-two-touch'], ['sole-taps']],
            'five markers' => [new DrillFilter(markers: 5), ['zigzag-in-out'], ['weave-line']],
            // A corner of 5 by 5 m, room for the player included.
            'a rainy corner' => [
                new DrillFilter(widthMillimetres: 5000, depthMillimetres: 5000, wall: false),
                ['sole-taps', 'triangle-marker'],
                ['box-free-dribble', 'zigzag-in-out'],
            ],
            'a long strip, either way round' => [
                new DrillFilter(widthMillimetres: 5000, depthMillimetres: 20000),
                ['zigzag-in-out'],
                ['rectangle-round'],
            ],
            'alone' => [new DrillFilter(people: 'alone'), ['sole-taps', 'wall-two-touch'], ['far-foot-open', 'facing-lines-follow']],
            'a pair' => [new DrillFilter(people: 'pair'), ['sole-taps', 'far-foot-open'], ['facing-lines-follow']],
            // Six windows of 15 s and five rests of 30 s: four minutes.
            'four minutes' => [new DrillFilter(minutes: 4.0), ['chops-fifteen'], ['twelve-windows']],
            'for the youngest' => [new DrillFilter(ageGroup: AgeGroup::of('U7')), ['sole-taps'], ['head-soft-ball', 'sixteen-passes']],
        ];
    }

    /**
     * @param  list<string>  $found
     * @param  list<string>  $leftOut
     */
    #[DataProvider('wishes')]
    public function test_only_what_fits_is_found(DrillFilter $filter, array $found, array $leftOut): void
    {
        $slugs = self::find($filter);

        self::assertSame([], array_diff($found, $slugs));
        self::assertSame([], array_intersect($leftOut, $slugs));
    }

    public function test_nothing_asked_is_everything(): void
    {
        self::assertCount(count(BookTest::book()), self::find(new DrillFilter));
    }

    public function test_every_wish_more_finds_no_more(): void
    {
        foreach (self::wishes() as [$one]) {
            foreach (self::wishes() as [$two]) {
                $both = new DrillFilter(
                    ...array_filter(get_object_vars($one), fn (mixed $value): bool => $value !== null) + get_object_vars($two),
                );
                self::assertSame([], array_diff(self::find($both), self::find($one)));
            }
        }
    }

    public function test_a_drill_for_the_younger_is_shorter_and_nearer_and_says_by_how_much(): void
    {
        $fields = [
            'levels' => [
                ['ageGroup' => 'U9', 'dose' => 0.5, 'distance' => 0.75, 'target' => 0.7],
                ['ageGroup' => 'U14', 'dose' => 1.5, 'distance' => 1.25, 'target' => 1.3],
            ],
        ] + Drills::fields();
        $drill = DrillFactory::fromFields($fields);
        $for = fn (string $age): ?float => DrillScaling::factor($drill, AgeGroup::of($age))?->dose;

        self::assertSame(
            [0.5, 0.5, 0.5, null, null, 1.5, 1.5, 1.5],
            array_map($for, ['U7', 'U9', 'U10', 'U11', 'U12', 'U13', 'U14', 'U18']),
        );
        $younger = DrillScaling::fields(
            $fields,
            DrillScaling::factor($drill, AgeGroup::of('U8')) ?? throw new \LogicException('No factor.'),
        );
        // Half of 30 s; three quarters of 2 yd.
        self::assertSame([15, 1.5], [$younger['dose']['workSeconds'], $younger['layout']['width']['value']]);
        self::assertSame([], DrillFactory::fromFields($younger)->demands->levels);
    }

    public function test_every_drill_of_the_book_can_be_done_by_every_age_it_is_scaled_for(): void
    {
        foreach (BookTest::fields() as $fields) {
            $drill = DrillFactory::fromFields($fields);
            foreach (['U7', 'U16'] as $age) {
                $factor = DrillScaling::factor($drill, AgeGroup::of($age));
                if ($factor !== null) {
                    self::assertSame($drill->slug, DrillFactory::fromFields(DrillScaling::fields($fields, $factor))->slug);
                }
            }
        }
    }

    /** @return list<string> */
    private static function find(DrillFilter $filter): array
    {
        return array_map(fn (DrillFacts $facts): string => $facts->slug, self::index()->fitting($filter));
    }

    private static function index(): DrillIndex
    {
        static $index = null;
        $moves = [];
        foreach (glob(__DIR__.'/../../../book/moves/*.json') ?: [] as $file) {
            /** @var array{moves: list<array<string, mixed>>} $book */
            $book = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
            $moves = [...$moves, ...array_map(Move::fromFields(...), $book['moves'])];
        }

        return $index ??= DrillIndex::of(BookTest::book(), MoveDictionary::of($moves));
    }
}
