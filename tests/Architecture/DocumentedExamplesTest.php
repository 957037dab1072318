<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every documented example of the core runs: both sides of "Example: `a` is `b`" are evaluated. */
final class DocumentedExamplesTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function examples(): iterable
    {
        foreach (PurityTest::files() as $file => [$code]) {
            preg_match_all('/Example: `(.+?)` is `(.+?)`/', $code, $found, PREG_SET_ORDER);
            foreach ($found as $i => [, $expression, $expected]) {
                yield "{$file} {$i}" => [$expression, $expected];
            }
        }
    }

    #[DataProvider('examples')]
    public function test_example_is_true(string $expression, string $expected): void
    {
        $uses = '';
        foreach (PurityTest::files() as $file => $code) {
            $uses .= 'use FleetSparrow\Core\\'.str_replace(['/', '.php'], ['\\', ''], $file).";\n";
        }
        self::assertSame(eval("{$uses}return {$expected};"), eval("{$uses}return {$expression};"));
    }
}
