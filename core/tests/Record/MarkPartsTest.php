<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Record;

use FleetSparrow\Core\Exception\InvalidRecord;
use FleetSparrow\Core\Record\MarkParts;
use FleetSparrow\Core\Record\PartsKind;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MarkPartsTest extends TestCase
{
    /** @return iterable<string, array{PartsKind, list<int>, float, bool, bool}> kind, numbers, value, void, whether it is taken */
    public static function parts(): iterable
    {
        yield 'halves come to the count' => [PartsKind::Halves, [18, 15], 33.0, false, true];
        yield 'halves that do not' => [PartsKind::Halves, [18, 15], 34.0, false, false];
        yield 'right and left come to the count' => [PartsKind::Feet, [0, 7], 7.0, false, true];
        yield 'one half too few' => [PartsKind::Halves, [33], 33.0, false, false];
        yield 'the total is no less than the run' => [PartsKind::Total, [12], 12.0, false, true];
        yield 'a total under the run' => [PartsKind::Total, [11], 12.0, false, false];
        yield 'as many good as tried' => [PartsKind::GoodAndTried, [10, 10], 10.0, false, true];
        yield 'more good than tried' => [PartsKind::GoodAndTried, [11, 10], 10.0, false, false];
        yield 'a void try keeps how far it came' => [PartsKind::Halves, [7, 14], 1.0, true, true];
        yield 'nothing below nought' => [PartsKind::Feet, [-1, 8], 7.0, false, false];
        yield 'nor beyond four digits' => [PartsKind::Total, [10_000], 5.0, false, false];
    }

    /** @param  list<int>  $numbers */
    #[DataProvider('parts')]
    public function test_takes_what_comes_to_the_number(PartsKind $kind, array $numbers, float $value, bool $isVoid, bool $isTaken): void
    {
        if (! $isTaken) {
            $this->expectException(InvalidRecord::class);
        }
        self::assertSame($numbers, MarkParts::of($kind, $numbers, $value, $isVoid)->numbers);
    }
}
