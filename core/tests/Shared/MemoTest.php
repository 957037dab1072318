<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Shared;

use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Played;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Evaluation\PlanEvaluator;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Tests\Drill\BookTest;
use PHPUnit\Framework\TestCase;

final class MemoTest extends TestCase
{
    public function test_what_was_kept_is_not_worked_out_again(): void
    {
        $answer = static fn (float $value): Quantiles => Quantiles::fixed($value);
        $memo = new Memo(['six by seven' => $answer(42.0)->packed(), 'nobody asks' => '?']);
        $known = $memo->kept('six by seven', fn (): Quantiles => self::fail('It is known.'), Quantiles::class);
        self::assertEquals($answer(42.0), $known);
        self::assertFalse($memo->isFuller());
        self::assertEquals($answer(72.0), $memo->kept('eight by nine', fn (): Quantiles => $answer(72.0), Quantiles::class));
        self::assertTrue($memo->isFuller());
        self::assertSame(
            ['six by seven' => $answer(42.0)->packed(), 'eight by nine' => $answer(72.0)->packed()],
            $memo->asked(),
        );
        $played = new Played([3.0, 1.0, 2.5], 7.25);
        self::assertEquals($played, Played::unpacked($played->packed()));
    }

    public function test_a_plan_comes_to_the_same_with_what_the_last_one_kept(): void
    {
        $players = array_map(fn (int $id): PlanPlayer => new PlanPlayer($id, StrongFoot::Right), range(1, 7));
        $drills = array_filter(
            array_map(DrillFactory::fromFields(...), BookTest::fields()),
            fn (Drill $drill): bool => in_array($drill->dose?->kind(), ['quota', 'race', 'streak', 'tries', 'circuit'], true),
        );
        $blocks = array_map(
            fn (Drill $drill): Block => Block::ofDrill($drill->slug, $drill, $drill->dose ?? self::fail(), Tempo::Steady, null),
            array_slice(array_values($drills), 0, 12),
        );
        $evaluate = fn (Memo $memo) => PlanEvaluator::evaluate($blocks, PlanContext::of($players, [], new ClockRules, memo: $memo));

        $first = new Memo;
        $plain = $evaluate($first);
        $second = new Memo($first->asked());
        self::assertEquals($plain, $evaluate($second));
        self::assertTrue($first->isFuller());
        self::assertFalse($second->isFuller());
    }
}
