<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Touch;

use Eris\Generators;
use Eris\TestTrait;
use FleetSparrow\Core\Exception\ScriptError;
use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Purpose;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ScriptTest extends TestCase
{
    use TestTrait;

    /** @return array<string, array{string, float, float}> script, contacts of one rep, degrees turned; counted by hand */
    public static function moves(): array
    {
        return [
            'sole taps' => ['a.sole/still b.sole/still', 2, 0],
            'in and out on one foot' => ['a.out/out a.in/across', 2, 0],
            'pull back and away' => ['a.sole/back >a180 b.lace/fwd', 2, 180],
            'three taps, pull back, quarter turn' => ['a.in b.in a.in b.sole/back >b90', 4, 90],
            'across the marker and back' => ['a.in/across!first *marker b.in!pass', 2, 0],
            'thigh volley, foot planted between' => ['*throw R.thigh^!first R*plant R.in^!pass *catch', 2, 0],
            'chest, then turn behind' => ['*throw -.chest^!first *bounce a.in/behind >180', 2, 180],
            'every tenth over the head' => ['((a.lace^ b.lace^)x4 a.lace^ b.lace^/over)x10', 100, 0],
            'kick, bounce, catch' => ['a.lace^ *bounce *catch', 1, 0],
            'sole roll along markers' => ['(a.sole/out)x+ a.sole/still', 2, 0],
            'free dribbling' => ['?.in ?.?', 2, 0],
            'a range counts at its lower end' => ['(a.in b.in)x2-5', 4, 0],
            'footwork without the ball' => ['*step *step', 0, 0],
            'a feint is no contact' => ['a~step-over b.out/out', 1, 0],
        ];
    }

    #[DataProvider('moves')]
    public function test_prints_what_it_parsed_and_counts_the_contacts(string $text, float $contacts, float $degrees): void
    {
        $script = Script::fromText($text);

        self::assertSame($text, $script->text());
        self::assertSame($contacts, Tally::of($script)->contacts());
        self::assertSame($degrees, Tally::of($script)->degreesTurned);
    }

    /** @return array<string, array{string, int, string}> text, column, what was expected */
    public static function faults(): array
    {
        return [
            'nothing' => ['', 1, 'a foot'],
            'only blanks' => ['   ', 4, 'a foot'],
            'unknown foot' => ['c.in', 1, 'a foot'],
            'unknown surface' => ['a.in b.elbow', 8, 'a surface'],
            'surface missing' => ['a.', 3, 'a surface'],
            'unknown way' => ['a.in/up', 6, 'a way'],
            'unknown purpose' => ['a.in!goal', 6, 'a purpose'],
            'chest with a foot' => ['a.chest', 1, '"-" before chest or head'],
            'inside without a foot' => ['-.in', 1, 'a foot before this surface'],
            'group not closed' => ['(a.in b.in', 11, '")"'],
            'group not opened' => ['a.in)x2', 5, 'a "("'],
            'group without a count' => ['(a.in)', 7, '"x"'],
            'count of nought' => ['(a.in)x0', 8, 'a count from 1'],
            'range backward' => ['(a.in)x5-2', 8, 'a count from 1'],
            'turn too far' => ['>a721', 3, 'at most 720'],
            'turn without degrees' => ['>a', 3, 'the turn in degrees'],
            'event without a name' => ['*', 2, 'a name'],
            'two items run together' => ['a.inb.in', 3, 'a surface'],
            'no blank after a group' => ['(a.in)x2a.in', 9, 'a blank'],
            'a number as long as a line' => ['(a.in)x99999999', 8, 'a number'],
        ];
    }

    #[DataProvider('faults')]
    public function test_an_error_names_the_column_and_what_was_expected(string $text, int $column, string $expected): void
    {
        try {
            Script::fromText($text);
            self::fail('The script was taken.');
        } catch (ScriptError $error) {
            self::assertSame($column, $error->column);
            self::assertStringContainsString($expected, $error->expected);
            self::assertStringStartsWith("Column {$column}: ", $error->getMessage());
        }
    }

    public function test_a_line_break_at_the_end_is_only_blank_space(): void
    {
        self::assertSame('a.in', Script::fromText("a.in\n")->text());
    }

    public function test_refuses_groups_nested_without_end(): void
    {
        $this->expectException(ScriptError::class);
        Script::fromText(str_repeat('(', 5000).'a.in'.str_repeat(')x2', 5000));
    }

    public function test_mirror_swaps_feet_and_turns_and_leaves_ways(): void
    {
        self::assertSame(
            'b.sole/across a~step-over R.in^/over!first >b90 ?.in -.head^ a*plant >180',
            Script::fromText('a.sole/across b~step-over L.in^/over!first >a90 ?.in -.head^ b*plant >180')->mirrored()->text(),
        );
    }

    public function test_resolving_names_real_feet(): void
    {
        $script = Script::fromText('a.in b.out L.sole ?.in');

        self::assertSame('R.in L.out L.sole ?.in', $script->resolved(Foot::Right)->text());
        self::assertSame('L.in R.out L.sole ?.in', $script->resolved(Foot::Left)->text());
    }

    public function test_tally_keeps_side_surface_air_and_purpose_apart(): void
    {
        $tally = Tally::of(Script::fromText('R.thigh^!first R.in^!pass L.in -.chest^ ?.in a~shot >a45'));

        self::assertSame(
            ['L' => ['in' => 1.0], 'R' => ['in' => 1.0, 'thigh' => 1.0], '?' => ['in' => 1.0], '-' => ['chest' => 1.0]],
            $tally->bySideAndSurface(),
        );
        self::assertSame(1.0, $tally->contactsFor(Purpose::First));
        self::assertSame(1.0, $tally->contactsFor(Purpose::Pass));
        self::assertSame([1.0, 1.0, 45.0], [$tally->feints, $tally->turns, $tally->degreesTurned]);
    }

    public function test_an_open_group_follows_the_path(): void
    {
        self::assertSame(9.0, Tally::of(Script::fromText('(a.in a.out)x+ a.sole/still'), openTimes: 4)->contacts());
    }

    public function test_printing_then_parsing_is_the_identity(): void
    {
        $this->forAll(self::scripts())->then(function (string $text): void {
            $script = Script::fromText($text);
            self::assertEquals($script, Script::fromText($script->text()));
        });
    }

    public function test_mirroring_twice_changes_nothing(): void
    {
        $this->forAll(self::scripts())->then(function (string $text): void {
            $script = Script::fromText($text);
            self::assertSame($script->text(), $script->mirrored()->mirrored()->text());
        });
    }

    public function test_mirroring_swaps_the_feet_of_the_tally(): void
    {
        $this->forAll(self::scripts())->then(function (string $text): void {
            $script = Script::fromText($text);
            $right = Tally::of($script->resolved(Foot::Right));
            $mirrored = Tally::of($script->mirrored()->resolved(Foot::Right));
            self::assertSame($right->contactsOf(FootMark::Left), $mirrored->contactsOf(FootMark::Right));
            self::assertSame($right->contacts(), $mirrored->contacts());
        });
    }

    public function test_tally_adds_up_over_one_script_after_another(): void
    {
        $this->forAll(self::scripts(), self::scripts())->then(function (string $one, string $two): void {
            [$first, $second] = [Script::fromText($one), Script::fromText($two)];
            $together = Tally::of($first->followedBy($second));
            $apart = Tally::of($first)->plus(Tally::of($second));
            self::assertSame($apart->contacts(), $together->contacts());
            self::assertSame($apart->bySideAndSurface(), $together->bySideAndSurface());
        });
    }

    public function test_three_reps_are_three_times_everything(): void
    {
        $one = Tally::of(Script::fromText('R.in a~shot >a45'));
        $three = $one->times(3.0);

        self::assertSame([3.0, 3.0, 3.0, 135.0], [$three->contacts(), $three->feints, $three->turns, $three->degreesTurned]);
    }

    public function test_a_group_of_n_counts_n_times(): void
    {
        $this->forAll(self::scripts(), Generators::choose(1, 40))->then(function (string $text, int $times): void {
            self::assertSame(
                $times * Tally::of(Script::fromText($text))->contacts(),
                Tally::of(Script::fromText("({$text})x{$times}"))->contacts(),
            );
        });
    }

    /** @return \Eris\Generator<string> */
    private static function scripts(): mixed
    {
        $items = [
            'a.in',
            'b.out/out',
            'L.sole/still',
            'R.lace^!shot',
            '?.?',
            '-.chest^!first',
            'a~step-over',
            '>b90',
            '>360',
            '*marker',
            'R*plant',
            '(a.in b.in)x3',
            '(a.lace^ (b.lace^)x2)x1-4',
            '(a.sole)x+',
        ];

        return Generators::map(
            fn (array $picked): string => implode(' ', $picked === [] ? ['a.in'] : $picked),
            Generators::vector(6, Generators::elements($items)),
        );
    }
}
