<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Tests\Shared;

use FleetSparrow\Core\Shared\Uuid;
use PHPUnit\Framework\TestCase;

final class UuidTest extends TestCase
{
    public function test_takes_what_devices_make_and_a_database_keeps(): void
    {
        // Of RFC 9562, appendix A: versions 1, 3, 4 and 5 are taken, 6, 7 and 8 are not.
        foreach ([
            'c232ab00-9414-11ec-b3c8-9f6bdeced846', '5df41881-3aed-3515-88a7-2f4a814cf09e', '919108f7-52d1-4320-9bac-f847db4148a8',
            '2ed6657d-e927-568b-95e1-2665a8aea6a2',
        ] as $good) {
            self::assertTrue(Uuid::isOne($good));
            self::assertFalse(Uuid::isOne(strtoupper($good)));
            self::assertFalse(Uuid::isOne("{$good}\n"));
        }
        foreach ([
            '1ec9414c-232a-6b00-b3c8-9f6bdeced846', '017f22e2-79b0-7cc3-98c4-dc0c0c07398f', '2489e9ad-2ee2-8e00-8ec9-32d5f69181c0',
        ] as $later) {
            self::assertFalse(Uuid::isOne($later));
        }
        self::assertFalse(Uuid::isOne('00000000-0000-0000-0000-000000000000'));
    }

    public function test_words_name_the_same_for_ever_and_others_do_not(): void
    {
        self::assertTrue(Uuid::isOne(Uuid::of('a touch')));
        self::assertNotSame(Uuid::of('a touch'), Uuid::of('another'));
    }
}
