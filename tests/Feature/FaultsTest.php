<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\LostConnection;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use PDOException;
use PHPUnit\Framework\Attributes\DataProvider;
use RuntimeException;
use Throwable;

/** A fault is called by its own name. */
final class FaultsTest extends FeatureTestCase
{
    public function test_a_table_that_is_not_as_the_code_thinks_is_a_fault_that_is_noted_by_name(): void
    {
        $logged = [];
        Log::listen(function ($message) use (&$logged): void {
            $logged[] = [$message->message, $message->context];
        });
        Log::flushSharedContext();
        $this->actingAs($this->coach);
        DB::connection()->setTablePrefix('no_such_');
        try {
            $answer = $this->getJson("/api/v1/squads/{$this->squad->id}/today")->assertStatus(500)->assertJsonPath('code', 'fault');
        } finally {
            DB::connection()->setTablePrefix('');
        }
        $name = (string) $answer->json('requestId');

        self::assertMatchesRegularExpression('/\A[a-z0-9]{10}\z/', $name);
        $answer->assertHeader('X-Request-Id', $name)->assertJsonPath(
            'detail',
            "Something broke on our side. It has been noted as {$name}; trying again will not mend it.",
        );
        self::assertSame('The database refused a statement.', $logged[0][0]);
        self::assertSame(1146, $logged[0][1]['code']);
    }

    public function test_a_database_that_is_away_is_said_to_be_away(): void
    {
        $this->actingAs($this->coach);
        config(['database.connections.mariadb.port' => 1]);
        DB::purge('mariadb');
        try {
            $this->getJson("/api/v1/squads/{$this->squad->id}/today")->assertStatus(503)->assertJsonPath('code', 'records-away');
        } finally {
            config(['database.connections.mariadb.port' => getenv('DB_PORT')]);
            DB::purge('mariadb');
        }
    }

    /** @return array<string, array{Throwable, bool}> */
    public static function faults(): array
    {
        $of = function (int $code, string $message = 'x'): PDOException {
            $fault = new PDOException($message);
            $fault->errorInfo = ['HY000', $code, $message];

            return $fault;
        };

        return [
            'gone away' => [$of(2006), true], 'lost while asking' => [$of(2013), true],
            'refused' => [new PDOException('SQLSTATE[HY000] [2002] Connection refused', 2002), true],
            'shutting down' => [$of(1053), true], 'too many connections' => [$of(1040), true], 'killed' => [$of(1927), true],
            'no such column' => [$of(1054), false], 'no such table' => [$of(1146), false], 'twice' => [$of(1062), false],
            'a key that points nowhere' => [$of(1452), false], 'too long' => [$of(1406), false],
            'no fault of the database' => [new RuntimeException('Connection refused'), false],
        ];
    }

    #[DataProvider('faults')]
    public function test_only_a_lost_connection_is_one(Throwable $fault, bool $isLost): void
    {
        self::assertSame($isLost, LostConnection::caused($fault));
    }
}
