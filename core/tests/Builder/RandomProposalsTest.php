<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Builder;

use FleetSparrow\Core\Builder\BuildRequest;
use FleetSparrow\Core\Builder\Lock;
use FleetSparrow\Core\Builder\Needs;
use FleetSparrow\Core\Builder\SessionBuilder;
use FleetSparrow\Core\Builder\Weights;
use FleetSparrow\Core\Builder\Wish;
use FleetSparrow\Core\Caution\HeadingProfile;
use FleetSparrow\Core\Caution\Weather;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Earlier;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Tests\Drill\BookTest;
use FleetSparrow\Core\Touch\Surface;
use FleetSparrow\Core\Touch\Tally;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Nothing is proposed that its own evaluation bars: random squads, ages, heading profiles and pasts, drills with headers asked for. */
class RandomProposalsTest extends TestCase
{
    protected const REQUESTS = 12;

    public function test_no_proposal_is_barred_by_its_own_evaluation(): void
    {
        $chance = new Randomizer(new Mt19937(20261127));
        $book = array_map(DrillFactory::fromFields(...), BookTest::fields());
        [$proposals, $withHeaders, $memo] = [0, 0, new Memo];
        for ($i = 0; $i < static::REQUESTS; $i++) {
            foreach (SessionBuilder::propose(self::request($chance, $book, $memo))->proposals as $proposal) {
                $barred = array_filter(
                    array_merge($proposal->evaluation->warnings, ...array_column($proposal->evaluation->blocks, 'warnings')),
                    static fn (Warning $one): bool => $one->isBarred,
                );
                self::assertSame([], array_column($barred, 'sentence'), implode(' ', $proposal->slugs()));
                $withHeaders += max(array_map(self::headers(...), $proposal->evaluation->touches)) > 0.0 ? 1 : 0;
                $proposals++;
            }
        }
        self::assertGreaterThan(2.5 * static::REQUESTS, $proposals);
        self::assertGreaterThan(0, $withHeaders, 'some are allowed a few');
    }

    /** @param  list<Drill>  $book */
    private static function request(Randomizer $chance, array $book, Memo $memo): BuildRequest
    {
        $ids = range(1, $chance->getInt(2, 14));
        $isHeaded = static fn (Drill $drill): bool => self::headers(Tally::of($drill->script)) > 0.0;
        $withHeaders = array_values(array_filter($book, $isHeaded));
        $earlier = static fn (int $id): array => $chance->getInt(0, 3) > 0
            ? []
            : [new Earlier($chance->getInt(1, 30), (float) $chance->getInt(1, 6))];
        $profiles = [HeadingProfile::TheFa2020, HeadingProfile::UsSoccer2016];
        $context = PlanContext::of(
            players: array_map(static fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), $ids),
            knownDrills: [],
            rules: new ClockRules,
            heading: $profiles[$chance->getInt(0, 1)]->limitFor(AgeGroup::of('U'.$chance->getInt(10, 17))),
            past: new SeasonPast(
                headers: array_combine($ids, array_map($earlier, $ids)),
                headingMinutes: array_combine($ids, array_map($earlier, $ids)),
            ),
            weather: Weather::mild(),
            memo: $memo,
        );

        return new BuildRequest(
            book: $book,
            context: $context,
            slotMinutes: $chance->getInt(20, 90),
            theme: Family::cases()[$chance->getInt(0, 8)],
            wish: Wish::Anything,
            needs: new Needs,
            locks: $chance->getInt(0, 1) === 0 ? [] : [Lock::drill($withHeaders[$chance->getInt(0, count($withHeaders) - 1)]->slug)],
            bans: [],
            joined: null,
            seen: [],
            seed: $chance->getInt(0, 999),
            weights: new Weights,
            underAge: null,
        );
    }

    private static function headers(Tally $tally): float
    {
        return $tally->contactsWith(Surface::Head);
    }
}
