<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\OpenApi\Description;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use stdClass;

/** Holds answers to what the OpenAPI document says of them, and to the samples the front end's tests parse. */
final class Contract
{
    public const SAMPLES = 'tests/fixtures/contract';

    private static ?stdClass $document = null;

    private const DOCUMENT = 'https://fleet-sparrow.invalid/openapi.json';

    /** One for all: it keeps what it has read of the document. */
    private static ?Validator $validator = null;

    /** @param  string  $route  method and path as registered, such as `GET api/v1/me` */
    public static function assertAnswer(TestResponse $answer, string $route): void
    {
        [$method, $uri] = explode(' ', $route);
        /** @var array<string, stdClass> $calls */
        $calls = (array) (((array) self::document()->paths)[substr($uri, strlen('api/v1'))] ?? []);
        $call = $calls[strtolower($method)] ?? null;
        Assert::assertNotNull($call, "{$route} is not described.");
        $status = (string) $answer->status();
        $described = $answer->status() >= 400 ? $call->responses->default : (((array) $call->responses)[$status] ?? null);
        Assert::assertNotNull($described, "{$route} answered {$status}, which is not described.");
        if (! isset($described->content)) {
            Assert::assertSame('', (string) $answer->getContent(), $route);

            return;
        }
        if ($answer->status() < 400 && ! isset($described->content->{'application/json'})) {
            // A file: its own test reads it.
            Assert::assertStringStartsWith(
                (string) array_key_first((array) $described->content),
                (string) $answer->headers->get('Content-Type'),
                $route,
            );

            return;
        }
        $type = $answer->status() >= 400 ? 'application/problem+json' : 'application/json';
        Assert::assertStringStartsWith($type, (string) $answer->headers->get('Content-Type'), $route);
        self::assertShape(
            json_decode((string) $answer->getContent()),
            basename((string) $described->content->{$type}->schema->{'$ref'}),
            $route,
        );
    }

    public static function assertShape(mixed $data, string $shape, string $what): void
    {
        self::assertSchema($data, self::DOCUMENT."#/components/schemas/{$shape}", $what);
    }

    public static function assertSchema(mixed $data, stdClass|string $schema, string $what): void
    {
        $result = self::validator()->validate($data, $schema);
        $error = $result->error();
        Assert::assertTrue(
            $result->isValid(),
            $what.': '.($error === null ? '' : json_encode(
                (new ErrorFormatter)->format($error),
                JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES,
            )),
        );
    }

    /** Compares the shape of an answer with its committed sample; `./sparrow contract` writes them anew. */
    public static function assertSample(TestResponse $answer, string $name): void
    {
        $file = base_path(self::SAMPLES."/{$name}.json");
        $data = json_decode((string) $answer->getContent(), true, 512, JSON_THROW_ON_ERROR);
        foreach (['drills', 'moves', 'found', 'tree', 'ladders'] as $book) {
            // The first of the book will do: the rest is long, and grows.
            if (isset($data[$book])) {
                $data[$book] = array_slice($data[$book], 0, 3);
            }
        }
        if (getenv('SPARROW_WRITE_CONTRACT') === '1') {
            file_put_contents(
                $file,
                json_encode($data, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n",
            );
        }
        Assert::assertFileExists($file, 'Run ./sparrow contract.');
        $sample = json_decode((string) file_get_contents($file), true, 512, JSON_THROW_ON_ERROR);
        Assert::assertSame(
            self::shape($sample),
            self::shape($data),
            "{$name}: the answer has another shape than its sample. Run ./sparrow contract and read the difference.",
        );
    }

    /** Field names and types; a list is the set of its members' shapes, a map by id that of its values. */
    private static function shape(mixed $data): mixed
    {
        if (! is_array($data)) {
            return is_int($data) || is_float($data) ? 'number' : get_debug_type($data);
        }
        $isMap = $data === [] || array_is_list($data) || preg_match('/\A(\d+|[0-9a-f]{32})\z/', (string) array_key_first($data)) === 1;
        if (! $isMap) {
            ksort($data);

            return array_map(self::shape(...), $data);
        }
        $members = array_unique(array_map(fn (mixed $one): string => (string) json_encode(self::shape($one)), array_values($data)));
        sort($members);

        return $members;
    }

    private static function validator(): Validator
    {
        if (self::$validator === null) {
            self::$validator = new Validator;
            self::$validator->resolver()?->registerRaw(self::document(), self::DOCUMENT);
        }

        return self::$validator;
    }

    private static function document(): stdClass
    {
        return self::$document ??= json_decode(
            (string) file_get_contents(base_path(Description::OPENAPI)),
            false,
            512,
            JSON_THROW_ON_ERROR,
        );
    }
}
