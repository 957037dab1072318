<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Drill;

use FleetSparrow\Core\Drill\BookSearch;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\DrillFactory;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Service;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Layout\LayoutFactory;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Tests\Drills;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BookTest extends TestCase
{
    public function test_the_book_holds_ninety_drills_over_every_family_layout_and_school_of_dose(): void
    {
        $drills = self::book();
        $of = fn (callable $what): array => array_values(array_unique(array_map($what, $drills)));

        self::assertGreaterThanOrEqual(90, count($drills));
        self::assertEqualsCanonicalizing(array_column(Family::cases(), 'value'), $of(fn (Drill $drill): string => $drill->family->value));
        self::assertEqualsCanonicalizing(LayoutFactory::KINDS, $of(fn (Drill $drill): string => $drill->layout->kind()));
        self::assertEqualsCanonicalizing(['timed', 'reps', 'lengths', 'quota', 'collective', 'streak', 'race', 'tries', 'free'], $of(fn (Drill $drill): string => $drill->dose->kind()));
    }

    public function test_drills_are_found_by_surface_layout_equipment_and_what_coaches_say(): void
    {
        $search = BookSearch::ofDrills(self::book());

        self::assertSame('sole-taps', $search->find('sole taps')[0]);
        self::assertContains('wall-one-touch-near', $search->find('wall inside'));
        self::assertNotContains('sole-taps', $search->find('wall'));
        self::assertContains('chest-and-return', $search->find('chest'));
        self::assertContains('six-balls-outside-in', $search->find('goal laces'));
        self::assertCount(count(self::book()), $search->find(''));
    }

    public function test_no_two_drills_are_the_same_task(): void
    {
        $tasks = [];
        foreach (self::book() as $drill) {
            $key = $drill->recordLine($drill->dose, Side::Right)?->value;
            if ($key !== null) {
                self::assertArrayNotHasKey($key, $tasks, "{$drill->slug} is the task of ".($tasks[$key] ?? ''));
                $tasks[$key] = $drill->slug;
            }
        }
    }

    public function test_what_can_hurt_carries_its_caution(): void
    {
        foreach (self::book() as $drill) {
            $cautions = implode(' ', $drill->cautions);
            if ($drill->organisation->service === Service::Wall) {
                self::assertStringContainsStringIgnoringCase('wall', $cautions, $drill->slug);
            }
            if (str_contains($drill->script->text(), '!shot')) {
                self::assertMatchesRegularExpression('/ball and goal|wall|behind/i', $cautions, $drill->slug);
            }
        }
    }

    public function test_no_two_drills_share_a_name_and_each_says_what_a_coach_needs(): void
    {
        $drills = self::book();
        self::assertSame(count($drills), count(array_unique(array_map(fn (Drill $drill): string => mb_strtolower($drill->name), $drills))));
        foreach ($drills as $drill) {
            self::assertNotEmpty($drill->points, $drill->slug);
            self::assertNotEmpty($drill->faults, $drill->slug);
            self::assertNotEmpty($drill->cautions, $drill->slug);
        }
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function faults(): array
    {
        return [
            'no slug' => [['slug' => ''], 'slug'],
            'slug with a line break' => [['slug' => "sole-taps\n"], 'slug'],
            'no name' => [['name' => ' '], '"name"'],
            'unknown family' => [['family' => 'tactics'], 'family'],
            'script with a fault' => [['script' => 'a.elbow'], 'Column 3'],
            'layout missing' => [['layout' => null], '"layout"'],
            'a chance over one' => [['goodChance' => 1.1], '"goodChance"'],
            'speed without a path' => [['metresPerSecond' => 2], 'path'],
            'unknown measure' => [['scoring' => ['kind' => 'beauty'] + Drills::fields()['scoring']], 'kind of mark'],
            'nobody works' => [['organisation' => ['workers' => 0, 'playerServers' => 0, 'service' => 'none']], '"workers"'],
            'a fault without a fix' => [['faults' => [['fault' => 'Stamps']]], '"fix"'],
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('faults')]
    public function test_a_faulty_drill_is_refused_with_the_field(array $change, string $named): void
    {
        $this->expectException(InvalidDrill::class);
        $this->expectExceptionMessage($named);
        DrillFactory::fromFields($change + Drills::fields());
    }

    /** @return list<Drill> */
    private static function book(): array
    {
        $drills = [];
        foreach (glob(__DIR__.'/../../../book/drills/*.json') ?: [] as $file) {
            /** @var array{drills: list<array<string, mixed>>} $book */
            $book = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
            $drills = [...$drills, ...array_map(DrillFactory::fromFields(...), $book['drills'])];
        }

        return $drills;
    }
}
