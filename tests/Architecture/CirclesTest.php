<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** No module of the core and no folder of the app leans on one that leans on it, straight or round about. */
final class CirclesTest extends TestCase
{
    /** @return array<string, array{string, string}> */
    public static function houses(): array
    {
        return ['core' => ['core/src', 'FleetSparrow\\Core'], 'app' => ['app', 'App']];
    }

    #[DataProvider('houses')]
    public function test_nothing_leans_on_what_leans_on_it(string $folder, string $prefix): void
    {
        self::assertSame([], self::circles(self::arrows(dirname(__DIR__, 2)."/{$folder}", $prefix)));
    }

    public function test_the_check_finds_what_it_looks_for(): void
    {
        self::assertSame(['A', 'B', 'C'], self::circles(['A' => ['B'], 'B' => ['C'], 'C' => ['A'], 'D' => ['A']]));
        self::assertSame([], self::circles(['A' => ['B', 'C'], 'B' => ['C'], 'C' => [], 'D' => ['A']]));
    }

    /** @return array<string, list<string>> module → modules it names */
    private static function arrows(string $root, string $prefix): array
    {
        $arrows = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file) {
            /** @var \SplFileInfo $file */
            $from = strstr(substr($file->getPathname(), strlen($root) + 1), '/', true);
            if ($from === false || $file->getExtension() !== 'php') {
                continue;
            }
            $code = (string) file_get_contents($file->getPathname());
            // Comments name what they explain, and lean on nothing.
            $code = implode(
                '',
                array_map(
                    fn (\PhpToken $token): string => $token->is([T_COMMENT, T_DOC_COMMENT]) ? '' : $token->text,
                    \PhpToken::tokenize($code),
                ),
            );
            preg_match_all('/\b'.preg_quote($prefix, '/').'\\\\(\w+)\\\\/', $code, $named);
            $arrows[$from] = array_values(array_unique([...($arrows[$from] ?? []), ...array_diff($named[1], [$from])]));
        }

        return $arrows;
    }

    /**
     * @param  array<string, list<string>>  $arrows
     * @return list<string> what is left when nothing more can be taken away that leans on nothing, or that nothing leans on
     */
    private static function circles(array $arrows): array
    {
        do {
            $before = count($arrows);
            $leanedOn = array_merge([], ...array_values($arrows));
            $arrows = array_filter(
                $arrows,
                fn (array $on, string $name): bool => array_intersect($on, array_keys($arrows)) !== [] && in_array($name, $leanedOn, true),
                ARRAY_FILTER_USE_BOTH,
            );
        } while (count($arrows) < $before);
        $left = array_keys($arrows);
        sort($left);

        return $left;
    }
}
