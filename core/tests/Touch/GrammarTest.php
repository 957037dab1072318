<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Touch;

use FleetSparrow\Core\Shared\Foot;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Surface;
use FleetSparrow\Core\Touch\Tally;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What docs/touch-script.md says of the grammar is read as it stands there. */
final class GrammarTest extends TestCase
{
    /** @return array<string, array{string, float, float, float}> */
    public static function examples(): array
    {
        $rows = [];
        preg_match_all('/^\| ([^|]+) \| `([^`]+)` \| (\d+) and (\d+) \| (\d+) \|$/m', self::document(), $found, PREG_SET_ORDER);
        foreach ($found as [, $move, $script, $left, $right, $degrees]) {
            $rows[$move] = [$script, (float) $left, (float) $right, (float) $degrees];
        }

        return $rows;
    }

    #[DataProvider('examples')]
    public function test_a_row_is_read_printed_and_added_up_as_it_says(string $text, float $left, float $right, float $degrees): void
    {
        $script = Script::fromText($text);
        $tally = Tally::of($script->resolved(Foot::Right), 1);

        self::assertSame($text, $script->text());
        self::assertSame($text, $script->mirrored()->mirrored()->text());
        self::assertSame(
            [$left, $right, $degrees],
            [$tally->contactsOf(FootMark::Left), $tally->contactsOf(FootMark::Right), $tally->degreesTurned],
        );
    }

    public function test_every_row_of_the_table_is_read(): void
    {
        self::assertCount(12, self::examples());
    }

    public function test_the_surfaces_named_are_those_there_are(): void
    {
        preg_match('/^surface = (.+)$/m', self::document(), $named);

        self::assertEqualsCanonicalizing(array_column(Surface::cases(), 'value'), explode(' | ', $named[1] ?? ''));
    }

    private static function document(): string
    {
        return (string) file_get_contents(__DIR__.'/../../../docs/touch-script.md');
    }
}
