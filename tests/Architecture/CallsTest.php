<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpParser\Node;
use PhpParser\Node\Arg;
use PhpParser\Node\Expr\CallLike;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\TestCase;

/** A call with many places says what stands in each: more than seven arguments have their names. */
final class CallsTest extends TestCase
{
    private const MOST = 7;

    private const FOLDERS = ['app', 'core/src', 'database'];

    public function test_a_call_with_many_places_names_them(): void
    {
        $root = dirname(__DIR__, 2);
        $long = [];
        foreach (self::FOLDERS as $folder) {
            $files = new \RecursiveDirectoryIterator("{$root}/{$folder}", \FilesystemIterator::SKIP_DOTS);
            /** @var \SplFileInfo $file */
            foreach (new \RecursiveIteratorIterator($files) as $file) {
                foreach (self::tooMany((string) file_get_contents($file->getPathname())) as $line) {
                    $long[] = substr($file->getPathname(), strlen($root) + 1).":{$line}";
                }
            }
        }

        self::assertSame([], $long);
    }

    public function test_the_check_finds_what_it_looks_for(): void
    {
        self::assertSame([2], self::tooMany("<?php\nnew Dose(1, 2, 3, 4, 5, 6, 7, 8);"));
        self::assertSame([2], self::tooMany("<?php\nDose::of(1, 2, 3, 4, 5, 6, 7, 8, sets: 9);"));
        self::assertSame([2], self::tooMany("<?php\n\$this->dose(1, 2, 3, 4, 5, 6, 7, 8);"));
        self::assertSame([], self::tooMany("<?php\nnew Dose(1, 2, 3, 4, 5, 6, 7, sets: 8);"));
    }

    /** @return list<int> line numbers */
    private static function tooMany(string $code): array
    {
        $calls = (new NodeFinder())->findInstanceOf((new ParserFactory())->createForHostVersion()->parse($code) ?? [], CallLike::class);
        $isPlace = static fn (Node $argument): bool => $argument instanceof Arg && $argument->name === null && ! $argument->unpack;
        $long = array_filter(
            $calls,
            static fn (CallLike $call): bool => count(array_filter($call->getRawArgs(), $isPlace)) > self::MOST,
        );

        return array_map(static fn (CallLike $call): int => $call->getStartLine(), array_values($long));
    }
}
