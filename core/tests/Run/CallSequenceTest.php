<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Run;

use FleetSparrow\Core\Drill\CallFoot;
use FleetSparrow\Core\Drill\Calling;
use FleetSparrow\Core\Drill\CallKind;
use FleetSparrow\Core\Drill\CallRule;
use FleetSparrow\Core\Layout\Kind\ReactionSquare;
use FleetSparrow\Core\Run\Call;
use FleetSparrow\Core\Run\CallSequence;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\TouchLimit;
use PHPUnit\Framework\TestCase;

final class CallSequenceTest extends TestCase
{
    public function test_the_same_seed_calls_the_same_and_another_does_not(): void
    {
        self::assertEquals(self::calls(), self::calls());
        self::assertNotEquals(self::calls(), self::calls(seed: 8));
        // A longer block begins alike.
        self::assertEquals(self::calls(), array_slice(self::calls(seconds: 500.0), 0, count(self::calls())));
    }

    public function test_a_place_follows_itself_only_where_it_may_and_all_are_called_alike(): void
    {
        $never = self::places(self::calls(seconds: 2400.0));
        self::assertCount(200, $never);
        foreach (array_slice($never, 1) as $i => $place) {
            self::assertNotSame($never[$i], $place);
        }
        $often = self::places(self::calls(again: true, seconds: 2400.0));
        // Chi-square of 200 calls on four places, 3 degrees of freedom: 16.27 is passed once in a thousand seeds (tables).
        foreach ([$never, $often] as $called) {
            $counts = array_count_values($called);
            self::assertCount(4, $counts);
            self::assertLessThan(16.27, array_sum(array_map(fn (int $n): float => ($n - 50) ** 2 / 50, $counts)));
        }
        self::assertGreaterThan(20, count(array_filter(range(1, 199), fn (int $i): bool => $often[$i] === $often[$i - 1])));
    }

    public function test_intervals_lie_within_their_spread_and_the_ball_comes_after_the_call(): void
    {
        $calls = self::calls(seconds: 2400.0);
        self::assertSame(3.0, $calls[0]->atSeconds);
        $gaps = array_map(fn (int $i): float => $calls[$i]->atSeconds - $calls[$i - 1]->atSeconds, range(1, count($calls) - 1));
        self::assertGreaterThanOrEqual(4.2 - 0.11, min($gaps));
        self::assertLessThanOrEqual(7.8 + 0.11, max($gaps));
        self::assertEqualsWithDelta(6.0, array_sum($gaps) / count($gaps), 0.3);
        foreach ($calls as $call) {
            self::assertEqualsWithDelta(1.0, $call->ballSeconds - $call->atSeconds, 1e-9);
        }
    }

    public function test_several_are_called_in_order_and_a_board_never_shows_the_same_twice(): void
    {
        $calls = self::calls(inOrder: 3, twoWay: true);
        foreach ($calls as $i => $call) {
            self::assertCount(3, $call->places);
            self::assertNotSame($call->places[0], $call->places[1]);
            self::assertContains($call->number, range(1, 9));
            self::assertNotSame($call->number, ($calls[$i - 1] ?? null)?->number);
        }
    }

    public function test_what_a_place_asks_for_goes_by_where_it_lies(): void
    {
        $rules = [
            new CallRule('front', TouchLimit::of(null, 2, null), CallFoot::Any, false, false),
            new CallRule('behind', TouchLimit::of(null, 3, null), CallFoot::Far, true, true),
        ];
        foreach (self::calls(rules: $rules, seconds: 300.0) as $call) {
            // The caller stands at the side of the red and the white corner.
            $isFront = in_array($call->places[0], ['red', 'white'], true);
            self::assertSame(
                $isFront ? 'Front: at most 2 touches.' : 'Behind: at most 3 touches, far foot, open body, a move.',
                $call->asks,
            );
        }
    }

    public function test_a_command_comes_with_each_call_and_never_twice_running_where_there_is_another(): void
    {
        $commands = ['first time', 'take a touch', 'other foot'];
        $calls = self::calls(seconds: 600.0, commands: $commands);
        foreach ($calls as $i => $call) {
            self::assertContains($call->command, $commands);
            self::assertNotSame($call->command, ($calls[$i - 1] ?? null)?->command);
        }
        // Each about as often as the others: 99 calls or so, of three.
        foreach (array_count_values(array_map(static fn (Call $one): string => (string) $one->command, $calls)) as $times) {
            self::assertEqualsWithDelta(count($calls) / 3, $times, 10.0);
        }
        self::assertSame(['now'], array_unique(array_map(static fn (Call $one): ?string => $one->command, self::calls(commands: ['now']))));
        self::assertSame([null], array_unique(array_map(static fn (Call $one): ?string => $one->command, self::calls())));
        // What is called where stays the same for the same seed, with a command or without.
        self::assertSame(
            array_map(static fn (Call $one): array => $one->places, self::calls(seconds: 600.0)),
            array_map(static fn (Call $one): array => $one->places, $calls),
        );
    }

    public function test_a_command_is_short_enough_to_be_called_out(): void
    {
        self::assertCount(20, self::calls(commands: [str_repeat('a', 40)]));
        $this->expectExceptionMessage('A command is called out: at most 40 letters.');
        self::calls(commands: [str_repeat('a', 41)]);
    }

    /**
     * @param  list<CallRule>  $rules
     * @param  list<string>  $commands
     * @return list<Call>
     */
    private static function calls(
        int $seed = 7,
        bool $again = false,
        int $inOrder = 1,
        bool $twoWay = false,
        array $rules = [],
        float $seconds = 120.0,
        array $commands = [],
    ): array {
        return CallSequence::of(
            Calling::of(
                kind: CallKind::Colour,
                everySeconds: 6.0,
                spread: 0.3,
                leadSeconds: 1.0,
                inOrder: $inOrder,
                again: $again,
                twoWay: $twoWay,
                rules: $rules,
                commands: $commands,
            ),
            ReactionSquare::of(Length::ofMetres(7.0)),
            $seed,
            $seconds,
        );
    }

    /**
     * @param  list<Call>  $calls
     * @return list<string>
     */
    private static function places(array $calls): array
    {
        return array_map(static fn (Call $one): string => $one->places[0], $calls);
    }
}
