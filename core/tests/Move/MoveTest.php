<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Move;

use Eris\TestTrait;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Move\Move;
use FleetSparrow\Core\Move\MoveDictionary;
use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Step;
use FleetSparrow\Core\Touch\StepStrip;
use FleetSparrow\Core\Touch\Tally;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MoveTest extends TestCase
{
    use TestTrait;

    public function test_the_dictionary_holds_sixty_moves_that_print_sixty_scripts_over_all_nine_families(): void
    {
        $moves = self::book();

        self::assertGreaterThanOrEqual(60, count(array_unique(array_map(fn (Move $move): string => $move->script->text(), $moves))));
        self::assertSame([], MoveDictionary::faults($moves));
        $families = array_unique(array_map(fn (Move $move): string => $move->family->value, $moves));
        self::assertEqualsCanonicalizing(array_map(fn (Family $family): string => $family->value, Family::cases()), $families);
    }

    public function test_every_move_of_the_book_mirrors_back_parses_back_and_tallies_alike_on_both_feet(): void
    {
        foreach (self::book() as $move) {
            self::assertEquals($move->script, $move->script->mirrored()->mirrored(), $move->slug);
            self::assertEquals($move->script, Script::fromText($move->script->text()), $move->slug);
            self::assertSame(Tally::of($move->script)->contacts(), Tally::of($move->script->mirrored())->contacts(), $move->slug);
            self::assertSame($move->family === Family::Footwork, $move->touchesPerRep() === 0, $move->slug);
        }
    }

    public function test_heading_carries_its_caution_in_the_cue(): void
    {
        foreach (self::book() as $move) {
            if (str_contains($move->script->text(), '.head')) {
                self::assertStringContainsString('only where the age allows', $move->cue, $move->slug);
            }
        }
    }

    public function test_what_comes_before_a_move_comes_in_order(): void
    {
        $before = MoveDictionary::of(self::book())->before('full-spin');

        self::assertEqualsCanonicalizing(['sole-taps', 'sole-pull-walk', 'drag-back', 'sole-rolls'], $before);
        self::assertLessThan(array_search('drag-back', $before, true), array_search('sole-pull-walk', $before, true));
    }

    /** @return array<string, array{array<string, array<string, mixed>>, string}> changes by slug, the sentence */
    public static function wrongBooks(): array
    {
        return [
            'one script twice' => [
                ['inside-taps' => ['script' => 'a.sole/still   b.sole/still']],
                'Move inside-taps: its script is also that of sole-taps.',
            ],
            'one name twice' => [['inside-taps' => ['name' => 'SOLE TAPS']], 'Move inside-taps: its name is also that of sole-taps.'],
            'a neighbour that is not there' => [
                ['inside-taps' => ['harder' => ['nowhere']]],
                'Move inside-taps: "harder" names nowhere, which is not in the book.',
            ],
            'a ring' => [
                ['sole-taps' => ['needs' => ['sole-rolls']]],
                'These need each other in a ring: sole-taps, sole-rolls, sole-taps.',
            ],
        ];
    }

    /** @param  array<string, array<string, mixed>>  $changes */
    #[DataProvider('wrongBooks')]
    public function test_a_wrong_book_is_told_what_is_wrong(array $changes, string $sentence): void
    {
        $moves = array_map(fn (array $fields): Move => Move::fromFields(($changes[$fields['slug']] ?? []) + $fields), self::fields());

        self::assertContains($sentence, MoveDictionary::faults($moves));
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function wrongMoves(): array
    {
        return [
            'no slug' => [['slug' => 'Sole Taps'], 'slug in lower case'],
            'no cue' => [['cue' => ' '], '"cue"'],
            'no fault' => [['faults' => []], 'at least one fault'],
            'an unknown surface' => [['script' => 'a.elbow'], 'Column 3'],
            'an unbalanced group' => [['script' => '(a.in b.in'], 'Column'],
            'words that are no words' => [['words' => [7]], '"words"'],
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('wrongMoves')]
    public function test_a_wrong_move_is_refused_with_its_field(array $change, string $part): void
    {
        $this->expectException(InvalidDrill::class);
        $this->expectExceptionMessage($part);
        Move::fromFields($change + self::fields()[0]);
    }

    public function test_a_move_foot_by_foot(): void
    {
        $steps = StepStrip::of(Script::fromText('a.sole/back >a180 b.lace/fwd'), Foot::Left);

        self::assertSame(
            ['left sole, back', 'half a turn to the left', 'right laces, forward'],
            array_map(fn (Step $step): string => $step->words, $steps),
        );
        self::assertSame([Foot::Right, null, Foot::Left], array_map(fn (Step $step): ?Foot => $step->standing, $steps));
        self::assertSame([0, 180, 180], array_map(fn (Step $step): int => $step->headingDegrees, $steps));
    }

    public function test_groups_say_how_often_and_air_and_purpose_are_said(): void
    {
        $words = fn (string $script): array => array_map(
            fn (Step $step): string => trim("{$step->words} ({$step->times})",
            ), StepStrip::of(Script::fromText($script), Foot::Right));

        self::assertSame(['right outside, forward (as often as it goes)'], $words('(a.out/fwd)x+'));
        self::assertSame(
            ['throw ()', 'right thigh, in the air, first touch ()', 'right plant ()', 'right inside, in the air, pass ()', 'catch ()'],
            $words('*throw a.thigh^!first a*plant a.in^!pass *catch'),
        );
        self::assertSame(['left steps over the ball ()', 'chest, in the air, first touch ()'], $words('b~step-over -.chest^!first'));
    }

    public function test_every_move_of_the_book_can_be_walked_from_either_foot_and_one_is_the_other_mirrored(): void
    {
        foreach (self::book() as $move) {
            $right = StepStrip::of($move->script, Foot::Right);
            $left = StepStrip::of($move->script, Foot::Left);
            self::assertCount(count($right), $left);
            $swap = fn (string $words): string => strtr($words, ['right' => 'left', 'left' => 'right']);
            self::assertSame(
                array_map(fn (Step $step): string => $step->words, $left),
                array_map(fn (Step $step): string => $swap($step->words), $right),
                $move->slug,
            );
        }
    }

    /** @return list<Move> */
    private static function book(): array
    {
        return array_map(Move::fromFields(...), self::fields());
    }

    /** @return list<array<string, mixed>> */
    private static function fields(): array
    {
        $moves = [];
        foreach (glob(dirname(__DIR__, 3).'/book/moves/*.json') ?: [] as $file) {
            array_push($moves, ...json_decode((string) file_get_contents($file), true, 16, JSON_THROW_ON_ERROR)['moves']);
        }
        // Ball mastery first, as a coach would read it.
        usort($moves, fn (array $a, array $b): int => ($b['family'] === 'ball-mastery') <=> ($a['family'] === 'ball-mastery'));

        return $moves;
    }
}
