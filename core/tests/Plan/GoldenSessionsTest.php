<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Plan;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Tests\Drill\BookTest;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Tally;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The ten kinds of session for one, two, nine and fourteen, against figures worked out apart from the core, in another language. */
final class GoldenSessionsTest extends TestCase
{
    /** @return iterable<string, array{array<string, mixed>}> */
    public static function cases(): iterable
    {
        $golden = json_decode((string) file_get_contents(dirname(__DIR__).'/golden/sessions.json'), true, 64, JSON_THROW_ON_ERROR);
        foreach ($golden['cases'] as $case) {
            yield $case['name'] => [$case];
        }
    }

    /** @param  array<string, mixed>  $case */
    #[DataProvider('cases')]
    public function test_agrees_with_what_was_worked_out_apart(array $case): void
    {
        $feet = [StrongFoot::Right, StrongFoot::Left, StrongFoot::Both];
        $players = array_map(fn (int $i): PlanPlayer => new PlanPlayer($i, $feet[$i % 3]), range(1, $case['players']));
        $evaluation = PlanEvaluator::evaluate(
            array_map(self::block(...), $case['blocks'], array_keys($case['blocks'])),
            PlanContext::of($players, [], new ClockRules, new KitOwned(goals: 2), helpers: $case['helpers']),
        );

        foreach ($case['expected'] as $i => $expected) {
            $block = $evaluation->blocks[$i];
            $name = $case['blocks'][$i]['drill'] ?? 'minutes';
            self::assertSame([$expected['stations'], $expected['turns']], [$block->stations, $block->turns], $name);
            foreach (['explain', 'work', 'changeOver', 'write', 'other'] as $part) {
                self::assertEqualsWithDelta(
                    $expected[$part],
                    $block->partSeconds[$part] ?? 0.0,
                    0.02 * max(1.0, (float) $expected[$part]),
                    "{$name}: {$part}",
                );
            }
            if ($expected['touches'] !== null) {
                $mean = fn (FootMark $foot): float => array_sum(
                    array_map(fn (Tally $tally): float => $tally->contactsOf($foot), $block->touches),
                ) / count($block->touches);
                self::assertEqualsWithDelta(
                    [$expected['touches']['left'], $expected['touches']['right']],
                    [$mean(FootMark::Left), $mean(FootMark::Right)],
                    0.001,
                    "{$name}: touches",
                );
            }
        }
        $setUp = array_sum(array_map(fn ($block): float => $block->partSeconds['setUp'] ?? 0.0, $evaluation->blocks));
        self::assertEqualsWithDelta(
            $case['secondsWithoutSetUp'],
            $evaluation->finish->mean() - $setUp,
            0.015 * $case['secondsWithoutSetUp'],
        );
    }

    public function test_there_are_ten_sessions_and_every_size_is_among_them(): void
    {
        $cases = array_map(fn (array $case): array => $case[0], iterator_to_array(self::cases()));

        self::assertCount(
            10,
            array_unique(array_map(fn (array $case): string => explode(', ', $case['name'])[0].count($case['blocks']), $cases)),
        );
        self::assertEqualsCanonicalizing([1, 2, 9, 14], array_values(array_unique(array_column($cases, 'players'))));
    }

    /** @param  array<string, mixed>  $fields */
    private static function block(array $fields, int $i): Block
    {
        foreach (['water' => BlockKind::Water, 'talk' => BlockKind::Talk] as $kind => $is) {
            if (isset($fields[$kind])) {
                return Block::ofMinutes("b{$i}", $is, (float) $fields[$kind]);
            }
        }
        $drill = DrillFactory::fromFields(
            array_values(array_filter(BookTest::fields(), fn (array $one): bool => $one['slug'] === $fields['drill']))[0],
        );

        return Block::ofDrill(
            "b{$i}",
            $drill,
            $drill->doseFrom($fields['dose'] ?? null),
            Tempo::Steady,
            null,
            together: $fields['together'] ?? null,
        );
    }
}
