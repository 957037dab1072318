<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\TestCase;

/** A line is read at a glance: no line of PHP is longer than this. */
final class LinesTest extends TestCase
{
    private const LONGEST = 140;

    /** What is not written by hand. */
    private const OTHERS = ['node_modules', 'storage', 'var', 'vendor'];

    public function test_no_line_is_longer_than_can_be_read_at_a_glance(): void
    {
        $root = dirname(__DIR__, 2);
        $long = [];
        $folders = array_filter(
            (array) glob("{$root}/*", GLOB_ONLYDIR),
            static fn (string|false $folder): bool => ! in_array(basename((string) $folder), self::OTHERS, true),
        );
        self::assertContains("{$root}/core", $folders);
        foreach ($folders as $folder) {
            $files = new \RecursiveDirectoryIterator((string) $folder, \FilesystemIterator::SKIP_DOTS);
            foreach (new \RecursiveIteratorIterator($files) as $file) {
                /** @var \SplFileInfo $file */
                if ($file->getExtension() !== 'php' || str_contains($file->getPathname(), 'bootstrap/cache')) {
                    continue;
                }
                foreach (self::tooLong((string) file_get_contents($file->getPathname())) as $line) {
                    $long[] = substr($file->getPathname(), strlen($root) + 1).":{$line}";
                }
            }
        }

        self::assertSame([], $long);
    }

    public function test_the_check_finds_what_it_looks_for(): void
    {
        self::assertSame([2], self::tooLong("<?php\n".str_repeat('x', 141)."\n".str_repeat('é', 140)));
    }

    /** @return list<int> line numbers */
    private static function tooLong(string $code): array
    {
        $long = [];
        foreach (explode("\n", $code) as $i => $line) {
            if (mb_strlen($line) > self::LONGEST) {
                $long[] = $i + 1;
            }
        }

        return $long;
    }
}
