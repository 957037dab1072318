<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Who may know whom in app/. What is not allowed here is refused, so a new folder needs a line. */
final class DirectionTest extends TestCase
{
    /** Folder of app/ → folders of app/ it may import, beside itself and the core. */
    private const MAY_IMPORT = [
        'Tenancy' => [],
        'Models' => ['Tenancy'],
        'Mail' => [],
        'Auth' => ['Models', 'Tenancy', 'Mail'],
        'Settings' => ['Models'],
        'Planning' => ['Models'],
        // Files of the open formats: read into core values, written from models.
        'Exchange' => ['Models'],
        'Rules' => ['Auth', 'Exchange'],
        'OpenApi' => ['Exchange'],
        'Policies' => ['Models', 'Tenancy'],
        'Queries' => ['Models', 'Tenancy', 'Planning', 'Exchange'],
        // What an action keeps may be what a query works out, in the same transaction; queries know no action.
        'Actions' => ['Models', 'Tenancy', 'Auth', 'Planning', 'Mail', 'Queries', 'Exchange'],
        'Http' => ['Actions', 'Queries', 'Models', 'Tenancy', 'Auth', 'Settings', 'Planning', 'Rules', 'OpenApi', 'Mail', 'Exchange'],
        'Console' => ['Actions', 'Queries', 'Models', 'Tenancy', 'Auth', 'Planning', 'OpenApi', 'Exchange'],
        'Providers' => ['Models', 'Tenancy', 'Auth'],
    ];

    /** @return iterable<string, array{string, string}> */
    public static function files(): iterable
    {
        $root = dirname(__DIR__, 2).'/app';
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file) {
            /** @var \SplFileInfo $file */
            $path = substr($file->getPathname(), strlen($root) + 1);
            yield $path => [strstr($path, '/', true) ?: $path, (string) file_get_contents($file->getPathname())];
        }
    }

    #[DataProvider('files')]
    public function test_a_file_imports_only_what_its_folder_may(string $folder, string $code): void
    {
        self::assertArrayHasKey($folder, self::MAY_IMPORT, 'Say in MAY_IMPORT what this folder may know.');
        self::assertSame([], self::faults($folder, $code));
        self::assertStringContainsString('declare(strict_types=1);', $code);
    }

    public function test_the_check_finds_what_it_looks_for(): void
    {
        self::assertSame(['Http'], self::faults('Actions', '<?php use App\Http\Problem; use App\Models\User;'));
        self::assertSame(['Actions'], self::faults('Models', '<?php $a = new \App\Actions\Plan\KeepPlan;'));
        self::assertSame(['env()'], self::faults('Auth', '<?php $a = env("APP_KEY");'));
        self::assertSame(['Illuminate\Http'], self::faults('Actions', '<?php use Illuminate\Http\Request;'));
        self::assertSame([], self::faults('Http', '<?php use App\Actions\Plan\KeepPlan; use Illuminate\Http\Request;'));
    }

    /** @return list<string> */
    private static function faults(string $folder, string $code): array
    {
        $faults = [];
        foreach (\PhpToken::tokenize($code) as $token) {
            if (! $token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED, T_STRING])) {
                continue;
            }
            $name = ltrim($token->text, '\\');
            if (
                preg_match('/\AApp\\\\(\w+)/', $name, $found) === 1
                && $found[1] !== $folder
                && ! in_array($found[1], self::MAY_IMPORT[$folder], true)
            ) {
                $faults[] = $found[1];
            }
            // Actions and queries are called from commands too: they know no request.
            if (in_array($folder, ['Actions', 'Queries', 'Models'], true) && str_starts_with($name, 'Illuminate\Http')) {
                $faults[] = 'Illuminate\Http';
            }
            // Outside config/ it reads nothing once the configuration is cached.
            if ($name === 'env') {
                $faults[] = 'env()';
            }
        }

        return $faults;
    }
}
