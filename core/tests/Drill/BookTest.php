<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Drill;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Drill\Service;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Ladder\Ladder;
use FleetSparrow\Core\Ladder\Rung;
use FleetSparrow\Core\Layout\LayoutKinds;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Tests\Drills;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Purpose;
use FleetSparrow\Core\Touch\Tally;
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
        self::assertEqualsCanonicalizing(
            array_keys(LayoutKinds::standard()->parameters()),
            $of(fn (Drill $drill): string => $drill->layout->kind()),
        );
        // One comes with no dose and asks for one when it is planned.
        self::assertEqualsCanonicalizing(
            ['timed', 'reps', 'lengths', 'quota', 'collective', 'streak', 'race', 'tries', 'free', 'circuit', ''],
            $of(fn (Drill $drill): string => $drill->dose?->kind() ?? ''),
        );
        self::assertEqualsCanonicalizing(
            ['single', 'combination', 'build-up', 'circuit'],
            $of(fn (Drill $drill): string => $drill->composition->kind->value),
        );
    }

    public function test_no_two_drills_are_the_same_task(): void
    {
        $tasks = [];
        foreach (self::book() as $drill) {
            $key = $drill->dose === null ? null : $drill->task($drill->dose, Side::Right, 4)?->key;
            if ($key !== null) {
                self::assertArrayNotHasKey($key, $tasks, "{$drill->slug} is the task of ".($tasks[$key] ?? ''));
                $tasks[$key] = $drill->slug;
            }
        }
    }

    public function test_what_can_hurt_carries_its_caution(): void
    {
        foreach (self::book() as $drill) {
            $cautions = implode(' ', $drill->teaching->cautions);
            if ($drill->organisation->service === Service::Wall) {
                self::assertStringContainsStringIgnoringCase('wall', $cautions, $drill->slug);
            }
            if (str_contains($drill->script->text(), '!shot')) {
                self::assertMatchesRegularExpression('/ball and goal|wall|behind/i', $cautions, $drill->slug);
            }
        }
    }

    public function test_free_dribbling_is_one_contact_a_second_at_most_and_few_of_a_game_are_shots(): void
    {
        $free = 0;
        foreach (self::book() as $drill) {
            $done = [[$drill->script, $drill->secondsPerRep]];
            foreach ($drill->composition->items as $item) {
                $done[] = [$item->script, $item->pace->secondsPerRep];
            }
            foreach ($done as [$script, $seconds]) {
                $tally = Tally::of($script);
                $isFree = $tally->contacts() > 0.0 && $tally->contactsOf(FootMark::Unknown) >= $tally->contacts();
                if (! $isFree || $drill->family === Family::Juggling) {
                    continue;
                }
                $free++;
                self::assertLessThanOrEqual(1.0, $tally->contacts() / $seconds, "{$drill->slug}: {$script->text()}");
                self::assertLessThanOrEqual(1.0 / 6.0, $tally->contactsFor(Purpose::Shot) / $tally->contacts(), $drill->slug);
            }
        }
        self::assertGreaterThan(20, $free);
    }

    public function test_no_two_drills_share_a_name_and_each_says_what_a_coach_needs(): void
    {
        $drills = self::book();
        $names = array_map(fn (Drill $drill): string => mb_strtolower($drill->name), $drills);
        self::assertSame($names, array_unique($names));
        foreach ($drills as $drill) {
            self::assertContains(count($drill->teaching->points), [2, 3], $drill->slug);
            self::assertNotEmpty($drill->teaching->standIns, $drill->slug);
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
            'unknown measure' => [['scoring' => ['kind' => 'beauty'] + Drills::fields()['scoring']], '"kind" must be one of'],
            'nobody works' => [['organisation' => ['workers' => 0, 'playerServers' => 0, 'service' => 'none']], '"workers"'],
            'a field nobody knows' => [['cuation' => 'Mind the wall.'], 'There is no field "cuation" here.'],
            'spacing of ten kilometres' => [
                ['layout' => ['kind' => 'pair', 'distance' => ['value' => 10000, 'unit' => 'm']]],
                'layout.distance: A distance must be',
            ],
            'spacing of nought' => [['layout' => ['kind' => 'pair', 'distance' => ['value' => 0, 'unit' => 'm']]], 'layout.distance'],
            'five hundred markers' => [
                ['layout' => ['kind' => 'zigzag', 'markers' => 500, 'spacing' => ['value' => 1, 'unit' => 'm'], 'angleDegrees' => 60]],
                'layout.markers: Markers must be between 2 and 60.',
            ],
            'two scripts' => [['combination' => []], 'exactly one of'],
            'a server without a card' => [
                ['organisation' => ['workers' => 1, 'playerServers' => 1, 'service' => 'passed']],
                'organisation.card',
            ],
            'a least over the most' => [['touches' => ['least' => 3, 'most' => 2]], 'touches'],
            'a protocol without its penalties' => [
                ['scoring' => ['kind' => 'protocol-score', 'starts' => 'whistle', 'stops' => 'whistle']],
                'scoring.protocol',
            ],
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

    public function test_every_fault_of_an_entry_is_found_at_once_by_path(): void
    {
        $fields = [
            'slug' => 'Sole Taps',
            'name' => '',
            'script' => 'a.sole/stil',
            'goodChance' => 2,
            'layout' => ['kind' => 'box', 'width' => ['value' => 0, 'unit' => 'yd'], 'length' => 3],
            'dose' => ['kind' => 'timed', 'workSeconds' => -1, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'each'],
        ] + Drills::fields();
        try {
            DrillFactory::fromFields($fields);
            self::fail('It was taken.');
        } catch (InvalidDrill $refused) {
            // Without a script no dose can be judged; it is looked at when the script is mended.
            self::assertSame(
                ['slug', 'name', 'layout.width', 'layout.depth', 'layout.length', 'script', 'goodChance'],
                array_column($refused->faults, 'path'),
            );
            self::assertStringContainsString('Column 8', $refused->faults[5]->message);
        }
    }

    public function test_no_drill_is_named_after_a_person_and_none_asks_for_heading_without_saying_what_limits_it(): void
    {
        foreach (self::book() as $drill) {
            if (str_contains($drill->script->text(), '-.head')) {
                self::assertSame('soft', $drill->demands->ball->value, $drill->slug);
                self::assertMatchesRegularExpression('/limited by age/', implode(' ', $drill->teaching->cautions));
            }
        }
    }

    public function test_the_ladders_lead_over_counted_drills_of_the_book(): void
    {
        $ladders = self::ladders();
        self::assertGreaterThanOrEqual(8, count($ladders));
        self::assertSame([], Ladder::faults(array_values($ladders), self::book()));
        self::assertContains(
            'kick-bounce-run',
            array_map(fn (Rung $rung): string => $rung->drill, $ladders['first-touches-in-the-air']->rungs),
        );
        $wrong = Ladder::fromFields(
            [
                'slug' => 'x',
                'name' => 'X',
                'family' => 'turning',
                'rungs' => [['drill' => 'nowhere', 'criterion' => 3], ['drill' => 'box-free-dribble', 'criterion' => 3]],
            ],
        );
        self::assertSame(
            ['Ladder x: nowhere is not in the book.', 'Ladder x: box-free-dribble is not counted, so nobody could pass it.'],
            Ladder::faults([$wrong], self::book()),
        );
    }

    /** @return array<string, Ladder> */
    private static function ladders(): array
    {
        $ladders = [];
        foreach (glob(__DIR__.'/../../../book/ladders/*.json') ?: [] as $file) {
            /** @var array{ladders: list<array<string, mixed>>} $book */
            $book = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
            foreach ($book['ladders'] as $fields) {
                $ladders[(string) $fields['slug']] = Ladder::fromFields($fields);
            }
        }

        return $ladders;
    }

    /** @return list<Drill> */
    public static function book(): array
    {
        return array_map(DrillFactory::fromFields(...), self::fields());
    }

    /** @return list<array<string, mixed>> the entries of the files, as they stand there */
    public static function fields(): array
    {
        $entries = [];
        foreach (glob(__DIR__.'/../../../book/drills/*.json') ?: [] as $file) {
            /** @var array{drills: list<array<string, mixed>>} $book */
            $book = json_decode((string) file_get_contents($file), true, flags: JSON_THROW_ON_ERROR);
            $entries = [...$entries, ...$book['drills']];
        }

        return $entries;
    }
}
