<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpToken;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The core is plain PHP: no other namespace, no clock, no chance, no input or output of its own. */
final class PurityTest extends TestCase
{
    private const IMPURE = [
        'now',
        'date',
        'time',
        'microtime',
        'hrtime',
        'rand',
        'mt_rand',
        'random_int',
        'random_bytes',
        'uniqid',
        'env',
        'getenv',
        'file_get_contents',
        'file_put_contents',
        'fopen',
        'echo',
        'print',
        'printf',
        'header',
        'setlocale',
        'app',
        'config',
        'resolve',
        'strtotime',
    ];

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        $root = dirname(__DIR__, 2).'/core/src';
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file) {
            /** @var \SplFileInfo $file */
            yield substr($file->getPathname(), strlen($root) + 1) => [(string) file_get_contents($file->getPathname())];
        }
    }

    #[DataProvider('files')]
    public function test_core_is_pure(string $code): void
    {
        self::assertSame([], self::faults($code));
    }

    public function test_the_check_finds_what_it_looks_for(): void
    {
        self::assertContains('no strict types', self::faults('<?php class A {}'));
        self::assertContains('Illuminate\Support\Str', self::faults('<?php declare(strict_types=1); use Illuminate\Support\Str;'));
        self::assertContains('date()', self::faults('<?php declare(strict_types=1); $a = date("Y");'));
        self::assertContains('new DateTimeImmutable', self::faults('<?php declare(strict_types=1); $a = new DateTimeImmutable();'));
        self::assertContains(
            'a static property or variable',
            self::faults('<?php declare(strict_types=1); class A { private static array $known = []; }'),
        );
        self::assertContains(
            'a static property or variable',
            self::faults('<?php declare(strict_types=1); class A { public static ?int $n = null; }'),
        );
        self::assertContains(
            'a static property or variable',
            self::faults('<?php declare(strict_types=1); function f() { static $n = 0; }'),
        );
        self::assertContains('spl_object_id', self::faults('<?php declare(strict_types=1); $a = spl_object_id($b);'));
        self::assertSame(
            [],
            self::faults(
                '<?php declare(strict_types=1); class A { public static function of(): static '
                .'{ return array_map(static fn (int $n): int => $n, []); } }',
            ),
        );
        self::assertSame([], self::faults('<?php declare(strict_types=1); $a = $this->date(1);'));
    }

    /** @return list<string> */
    private static function faults(string $code): array
    {
        $faults = str_contains($code, 'declare(strict_types=1);') ? [] : ['no strict types'];
        $tokens = array_values(
            array_filter(PhpToken::tokenize($code), fn (PhpToken $token): bool => ! $token->is([T_WHITESPACE, T_COMMENT, T_DOC_COMMENT])),
        );
        foreach ($tokens as $i => $token) {
            $before = $tokens[$i - 1] ?? null;
            if (
                $token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED])
                && ! str_starts_with(ltrim($token->text, '\\'), 'FleetSparrow\Core\\')
                && ! in_array($token->text, ['FleetSparrow\Core', '\BackedEnum'], true)
            ) {
                $faults[] = $token->text;
            }
            $isCall = ($tokens[$i + 1] ?? null)?->text === '('
                && $token->is(T_STRING)
                && ! $before?->is([T_OBJECT_OPERATOR, T_NULLSAFE_OBJECT_OPERATOR, T_DOUBLE_COLON, T_FUNCTION, T_NEW]);
            if ($isCall && in_array(strtolower($token->text), self::IMPURE, true)) {
                $faults[] = "{$token->text}()";
            }
            if ($before?->is(T_NEW) && in_array($token->text, ['DateTimeImmutable', 'DateTime', 'Randomizer'], true)) {
                $faults[] = "new {$token->text}";
            }
            // What one question leaves behind for the next, unseen: a memo is made by whoever begins, and handed on.
            if ($token->is(T_STATIC) && (($tokens[$i + 1] ?? null)?->is(
                [T_VARIABLE, T_ARRAY, T_STRING, T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED],
            ) || ($tokens[$i + 1] ?? null)?->text === '?')
                && ! ($before?->is([T_NEW, T_RETURN, T_INSTANCEOF]) || in_array(
                    $before?->text,
                    ['(', ',', ':', '|', '=', '=>', '?', '??'],
                    true,
                ))) {
                $faults[] = 'a static property or variable';
            }
            if ($token->text === 'spl_object_id') {
                $faults[] = 'spl_object_id';
            }
            if ($token->is([T_ECHO, T_PRINT, T_GLOBAL])) {
                $faults[] = $token->text;
            }
        }

        return $faults;
    }
}
