<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Shared;

use FleetSparrow\Core\Caution\LoadJump;
use FleetSparrow\Core\Clock\Calibration;
use FleetSparrow\Core\Progress\LineStory;
use FleetSparrow\Core\Progress\SquadLine;
use FleetSparrow\Core\Progress\Trend;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Season\TouchLedger;
use FleetSparrow\Core\Shared\CalendarDate;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every figure answers "how do you know?", also where there is next to nothing to know it by. */
final class EvidenceTest extends TestCase
{
    public function test_load_and_own_times_say_what_went_in(): void
    {
        self::assertSame(
            ['Touches: 1.70 times; a caution from 1.5 on.', 'Strikes: nothing is said until there are four weeks that were not empty.'],
            LoadJump::evidence(1.7, null)->inputs,
        );
        $explaining = Calibration::of([[8, 10], [10, 14], [8, 9], [9, 13]]);
        $own = Calibration::evidence(['Explaining' => $explaining, 'Laying out' => Calibration::none()]);
        self::assertSame(['Explaining: 1.19 from 4, 0 left out.', 'Laying out: 1.00 from 0, 0 left out.'], $own->inputs);
        self::assertSame(4, $own->count);
        self::assertSame('0 counted and 0 estimated touches.', TouchLedger::of([])->evidence()->inputs[0]);
    }

    /** @return array<string, array{list<float>, list<string>}> values, and their days */
    public static function thinLines(): array
    {
        return [
            'one mark' => [[12.0], ['2026-03-03']],
            'equal marks' => [array_fill(0, 9, 12.0), self::weekly(9)],
            'zeros' => [array_fill(0, 9, 0.0), self::weekly(9)],
            'a year between two' => [[9.0, 14.0, 15.0], ['2025-03-03', '2026-03-03', '2026-03-10']],
            'over a leap day' => [[9.0, 14.0, 15.0], ['2024-02-28', '2024-02-29', '2024-03-01']],
        ];
    }

    /**
     * @param  list<float>  $values
     * @param  list<string>  $days
     */
    #[DataProvider('thinLines')]
    public function test_next_to_nothing_is_read_as_next_to_nothing(array $values, array $days): void
    {
        $line = LineReading::ofDays(MarkKind::CountInTime, array_map(
            static fn (string $day, float $value): SessionValue => SessionValue::ofOneTry(CalendarDate::fromIso($day), $value),
            $days,
            $values,
        ));
        $story = LineStory::of('k', 'Drill', $line, SquadLine::of([$line]), [[0.0, 0.0]]);

        self::assertContains($story->verdict->trend, [Trend::TooFew, Trend::NoClearChange]);
        self::assertNull($story->dropOff);
        $aWeek = $story->slope()?->aWeek;
        self::assertTrue($aWeek === null || is_finite($aWeek));
        foreach ($story->news(CalendarDate::fromIso('2026-05-01')) as $one) {
            self::assertStringNotContainsStringIgnoringCase('nan', $one->says.implode(' ', $one->evidence->inputs));
            self::assertNotSame('', $one->evidence->source);
        }
        self::assertNotSame([], $story->verdictEvidence()->inputs);
    }

    /** @return list<string> */
    private static function weekly(int $count): array
    {
        return array_map(static fn (int $i): string => CalendarDate::fromIso('2026-02-24')->plusDays(7 * $i)->iso(), range(0, $count - 1));
    }
}
