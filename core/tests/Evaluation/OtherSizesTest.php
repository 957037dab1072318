<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Evaluation;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\OtherSizes;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Segment;
use PHPUnit\Framework\TestCase;

final class OtherSizesTest extends TestCase
{
    use TestTrait;

    public function test_every_place_has_one_seat_in_every_stretch_and_the_clock_is_that_of_a_plan_for_as_many(): void
    {
        $book = [];
        foreach (['dribbling', 'passing', 'turning', 'juggling'] as $family) {
            $file = (string) file_get_contents(dirname(__DIR__, 3)."/book/drills/{$family}.json");
            array_push($book, ...json_decode($file, true, 64, JSON_THROW_ON_ERROR)['drills']);
        }
        $book = array_values(array_filter($book, static fn (array $one): bool => isset($one['dose'])));
        $this->limitTo(40)->forAll(Generators::choose(0, count($book) - 1), Generators::choose(1, 20), Generators::choose(1, 20))
            ->then(function (int $drill, int $planned, int $there) use ($book): void {
                $read = DrillFactory::fromFields($book[$drill]);
                $blocks = [Block::ofDrill('b', $read, $read->doseFrom(null), Tempo::Steady, null)];
                $players = static fn (int $count, int $from): array => array_map(
                    static fn (int $one): PlanPlayer => new PlanPlayer($one, StrongFoot::Both),
                    range($from, $from + $count - 1),
                );
                $context = static fn (array $of): PlanContext => PlanContext::of(players: $of, knownDrills: [], rules: new ClockRules);
                $tables = OtherSizes::of($blocks, $context($players($planned, 700)), [$there]);
                $asPlanned = PlanEvaluator::evaluate($blocks, $context($players($there, 900)))->blocks[0];
                $seconds = static fn (BlockEvaluation $one): array => array_map(
                    static fn (Segment $of): float => $of->seconds,
                    $one->segments,
                );

                self::assertSame([$there], array_keys($tables));
                [$table] = $tables[$there];
                self::assertEqualsWithDelta($seconds($asPlanned), $seconds($table), 1e-9);
                foreach ($table->segments as $segment) {
                    $places = array_keys($segment->seats);
                    sort($places);
                    self::assertSame(range(1, $there), $places);
                }
            });
    }
}
