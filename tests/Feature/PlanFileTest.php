<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\Import\BookFiles;
use App\Exchange\Import\PlanFile;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** Plans and build requests as files: worked out without a database, refused whole with every fault by its path. */
final class PlanFileTest extends TestCase
{
    public function test_the_example_is_worked_out_and_what_is_printed_holds_to_the_schema(): void
    {
        DB::shouldReceive('connection')->never();
        self::assertSame(0, Artisan::call('sparrow:evaluate', ['file' => base_path('docs/formats/plan.example.json')]));
        $printed = Artisan::output();
        $evaluation = json_decode($printed, true, 512, JSON_THROW_ON_ERROR);

        $this->assertHolds('evaluation', $printed);
        self::assertSame(['warm', 'turn', 'w', 'corner-a', 'corner-b', 'recap'], array_column($evaluation['blocks'], 'id'));
        // Set-up 215 s where 180 were planned: (2 × 1.1944 + 3) ÷ 5.
        self::assertStringEndsWith('Times 1.08, from your last 2 blocks.', $evaluation['blocks'][0]['how'][0]);
        self::assertSame(20, (int) $evaluation['blocks'][1]['partSeconds']['explain']);
        self::assertStringContainsString('with the numbers of 1 of 5 players on 6 days', implode(' ', $evaluation['blocks'][1]['how']));
        // Who only serves today touches nothing.
        $shares = array_column($evaluation['players'], null, 'playerId');
        self::assertSame([0, 0, 0], [$shares[3]['left'], $shares[3]['right'], $shares[3]['ballSeconds']]);
        self::assertGreaterThan(0, $shares[3]['servingSeconds']);
        self::assertGreaterThan(0, $shares[7]['left']);
        self::assertStringContainsString('2 stations at the same time', implode(' ', $evaluation['blocks'][3]['how']));
    }

    public function test_it_needs_no_database(): void
    {
        $run = new Process(
            [PHP_BINARY, 'artisan', 'sparrow:evaluate', 'docs/formats/plan.example.json'],
            base_path(),
            ['DB_PORT' => '1', 'DB_HOST' => '127.0.0.1', 'APP_ENV' => 'testing'],
        );
        $run->mustRun();
        self::assertSame('fleet-sparrow/evaluation', json_decode($run->getOutput(), true, 512, JSON_THROW_ON_ERROR)['format']);
    }

    public function test_a_request_is_built_and_what_is_printed_holds_to_the_schema(): void
    {
        self::assertSame(0, Artisan::call('sparrow:build', ['file' => base_path('docs/formats/build-request.example.json')]));
        $printed = Artisan::output();
        $answer = json_decode($printed, true, 512, JSON_THROW_ON_ERROR);

        $this->assertHolds('proposals', $printed);
        self::assertCount(3, $answer['proposals']);
        foreach ($answer['proposals'] as $proposal) {
            self::assertLessThanOrEqual(3600, $proposal['evaluation']['eightInTenSeconds']);
            self::assertNotContains('wall-seven-good', array_column($proposal['blocks'], 'drill'));
        }
        self::assertContains(
            'turning was last done 23 days ago.',
            array_map(
                fn (string $words): string => lcfirst($words),
                array_column(array_merge(...array_column($answer['proposals'][0]['blocks'], 'reasons')), 'words'),
            ),
        );
    }

    #[DataProvider('files')]
    public function test_the_examples_hold_to_their_schemas_and_broken_ones_do_not(string $format): void
    {
        $example = json_decode(
            (string) file_get_contents(base_path("docs/formats/{$format}.example.json")),
            false,
            512,
            JSON_THROW_ON_ERROR,
        );
        $this->assertHolds($format, (string) json_encode($example));
        $schema = $this->schema($format);
        foreach ([
            'version' => 9,
            'players' => [],
            'slotMinutes' => 'an hour',
            'squad' => (object) ['markers' => -1],
            'drills' => [(object) ['slug' => 'x']],
            'helper' => 1,
        ] as $field => $wrong) {
            self::assertFalse((new Validator)->validate((object) ([$field => $wrong] + (array) $example), $schema)->isValid(), $field);
        }
    }

    /** @return array<string, array{string}> */
    public static function files(): array
    {
        return ['plan' => ['plan'], 'build-request' => ['build-request']];
    }

    /**
     * @return array<string, array{callable(array<string, mixed>): array<string, mixed>, array<string, string>}> change, path → part of
     *     the sentence
     */
    public static function faults(): array
    {
        $set = fn (string $path, mixed $value): callable => function (array $plan) use ($path, $value): array {
            data_set($plan, $path, $value);

            return $plan;
        };

        return [
            'a newer schema' => [$set('version', 4), ['version' => 'version 3 is the newest known here']],
            'an older one than is read' => [$set('version', 1), ['version' => 'is 2 or 3']],
            'another format' => [$set('format', 'fleet-sparrow/drill'), ['format' => 'is not "fleet-sparrow/plan"']],
            'a slot of 0' => [$set('slotMinutes', 0), ['slotMinutes' => 'between 10 and 240']],
            'a slot of 600' => [$set('slotMinutes', 600), ['slotMinutes' => 'between 10 and 240']],
            'no players' => [$set('players', []), ['players' => 'Nobody is coming yet']],
            'an unknown drill' => [$set('blocks.1.drill', 'no-such-drill'), ['blocks.1.drill' => 'There is no drill "no-such-drill"']],
            'a drill based on itself' => [
                $set('drills.0.basedOn', 'wide-zigzag'),
                ['drills.0.basedOn' => 'goes round in a circle: wide-zigzag on wide-zigzag'],
            ],
            'two based on each other' => [
                fn (array $plan): array => [
                    'drills' => [['slug' => 'one', 'basedOn' => 'two'], ['slug' => 'two', 'basedOn' => 'one'], $plan['drills'][0]],
                ] + $plan,
                ['drills.0.basedOn' => 'one on two on one'],
            ],
            'a slug of the book' => [
                $set('drills.0.slug', 'zigzag-in-out'),
                ['drills.0.slug' => 'The book has a drill "zigzag-in-out" already'],
            ],
            'a layout that cannot be' => [$set('drills.0.layout.markers', 0), ['drills.0.layout.markers' => '']],
            'a slip of the pen' => [$set('blocks.0.station', 3), ['blocks.0.station' => 'There is no field "station" here']],
            'two blocks of one name' => [$set('blocks.1.id', 'warm'), ['blocks.1.id' => 'Two blocks have the same id']],
            'a dose that cannot be' => [$set('blocks.1.dose.workSeconds', -3), ['blocks.1.dose.workSeconds' => 'between 5 and 1800']],
            'two players of one number' => [$set('players.1.id', 7), ['players.1.id' => 'Two players have the number 7']],
            'seconds of no rep' => [$set('players.4.seconds.0.perRep', 0), ['players.4.seconds.0.perRep' => 'between 0.1 and 600']],
            'on no day' => [$set('players.4.seconds.0.days', 0), ['players.4.seconds.0.days' => 'between 1 and 1000']],
            'a temperature there is not' => [
                $set('weather.temperatureCelsius', 80),
                ['weather.temperatureCelsius' => 'between -20 and 55'],
            ],
            'several at once' => [
                fn (array $plan): array => ['slotMinutes' => 0, 'helpers' => -1] + $set('blocks.3.drill', 'nothing-such')($plan),
                ['slotMinutes' => '', 'helpers' => 'between 0 and 20', 'blocks.3.drill' => 'no drill'],
            ],
        ];
    }

    /**
     * @param  callable(array<string, mixed>): array<string, mixed>  $change
     * @param  array<string, string>  $expected
     */
    #[DataProvider('faults')]
    public function test_what_cannot_be_read_is_refused_by_path(callable $change, array $expected): void
    {
        $plan = $change(
            json_decode((string) file_get_contents(base_path('docs/formats/plan.example.json')), true, 512, JSON_THROW_ON_ERROR),
        );
        try {
            PlanFile::read((string) json_encode($plan), BookFiles::drills(base_path('book')));
            self::fail('The file was taken.');
        } catch (ValidationException $refusal) {
            foreach ($expected as $path => $part) {
                self::assertArrayHasKey($path, $refusal->errors(), (string) json_encode($refusal->errors()));
                self::assertStringContainsString($part, $refusal->errors()[$path][0]);
            }
        }
    }

    public function test_what_is_no_file_or_no_json_fails_with_a_sentence(): void
    {
        foreach (['sparrow:evaluate', 'sparrow:build'] as $command) {
            $run = new Process([PHP_BINARY, 'artisan', $command, 'no-such-file.json'], base_path());
            self::assertSame(1, $run->run());
            self::assertStringContainsString('There is no file "no-such-file.json" to read.', $run->getErrorOutput());
            self::assertSame('', $run->getOutput());
            $run = new Process([PHP_BINARY, 'artisan', $command, '-'], base_path(), null, '{"format"');
            self::assertSame(1, $run->run());
            self::assertStringContainsString('This is not a JSON file', $run->getErrorOutput());
        }
    }

    private function assertHolds(string $format, string $json): void
    {
        $result = (new Validator)->validate(json_decode($json, false, 512, JSON_THROW_ON_ERROR), $this->schema($format));
        self::assertTrue($result->isValid(), (string) $result->error());
    }

    private function schema(string $format): object
    {
        /** @var object $schema */
        $schema = json_decode((string) file_get_contents(base_path("docs/formats/{$format}.schema.json")), false, 512, JSON_THROW_ON_ERROR);

        return $schema;
    }
}
