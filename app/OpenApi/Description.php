<?php

declare(strict_types=1);

namespace App\OpenApi;

use App\Exchange\DrillSchema;
use App\Exchange\Export\EvaluationJson;
use App\Exchange\Export\ProposalsJson;
use App\Exchange\PlanSchema;
use OpenApi\Attributes as OA;
use OpenApi\Generator;

/** What the API says of itself, scanned from the attributes beside the code, and the open formats cut out of it. */
#[
    OA\Info(
        title: 'Fleet Sparrow',
        version: '1',
        description: 'Same-origin JSON for the application. Field names carry their unit; '
            .'errors are problem details (RFC 9457) with a stable code.',
    ),
]
#[OA\Server(url: '/api/v1')]
final class Description
{
    public const OPENAPI = 'docs/openapi.json';

    /** Format → the shape that makes it. Each file of a format names it and its version first. */
    public const FORMATS = [
        'marks' => 'MarkBatch',
        'evaluation' => 'Evaluation',
        'proposals' => 'Proposals',
        'run-pack' => 'RunPack',
    ];

    /** Of a run pack, version 2 has seats and rounds. */
    public const FORMAT_VERSIONS = [
        'marks' => 1,
        'evaluation' => EvaluationJson::VERSION,
        'proposals' => ProposalsJson::VERSION,
        'run-pack' => 3,
    ];

    /** @return array<string, string> path in the tree → what stands in it */
    public static function files(): array
    {
        $document = self::document();
        $files = [self::OPENAPI => self::text($document)];
        foreach (self::FORMATS as $format => $shape) {
            $files["docs/formats/{$format}.schema.json"] = self::text(self::schema($document['components']['schemas'], $format, $shape));
        }

        $files['docs/formats/touch-feed.schema.json'] = self::text(self::line($document['components']['schemas']['FeedLine']));
        $files[DoseTypes::FILE] = DoseTypes::text();
        $files['docs/formats/drill.schema.json'] = self::text(DrillSchema::document());
        $files['docs/formats/plan.schema.json'] = self::text(PlanSchema::plan());
        $files['docs/formats/build-request.schema.json'] = self::text(PlanSchema::buildRequest());

        return $files;
    }

    /** @return array<string, mixed> */
    public static function document(): array
    {
        // Not validated by the scanner: it does not know "or null" beside a reference. A schema validator reads the result in the tests.
        $scanned = (new Generator)->setVersion('3.1.0')->generate([app_path('Http'), app_path('OpenApi')], null, false);
        /** @var array<string, mixed> $document */
        $document = json_decode((string) $scanned?->toJson(), true, 512, JSON_THROW_ON_ERROR);
        foreach ($document['paths'] as $path => $calls) {
            foreach ($calls as $method => $call) {
                // The scanner's own names are hashes.
                $document['paths'][$path][$method]['operationId'] = $method.preg_replace('/[^A-Za-z]+/', '', ucwords($path, '/{}-'));
            }
        }

        foreach (array_keys($document['components']['schemas']) as $name) {
            // The scanner puts a class's comment on the first field of its first shape.
            foreach (array_keys($document['components']['schemas'][$name]['properties'] ?? []) as $field) {
                unset($document['components']['schemas'][$name]['properties'][$field]['description']);
            }
        }

        return $document;
    }

    /**
     * A feed has no head: each of its lines stands by itself.
     *
     * @param  array<string, mixed>  $line
     * @return array<string, mixed>
     */
    private static function line(array $line): array
    {
        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'fleet-sparrow:touch-feed:1',
            'title' => 'fleet-sparrow/touch-feed, one line',
            'additionalProperties' => false,
        ] + $line;
    }

    /**
     * A format's schema stands by itself: every shape it leans on is carried along.
     *
     * @param  array<string, array<string, mixed>>  $shapes
     * @return array<string, mixed>
     */
    private static function schema(array $shapes, string $format, string $shape): array
    {
        $needed = [];
        $ask = function (array $part) use (&$ask, &$needed, $shapes): void {
            foreach ($part as $key => $value) {
                if ($key === '$ref' && is_string($value)) {
                    $name = basename($value);
                    if (! isset($needed[$name])) {
                        $needed[$name] = true;
                        $ask($shapes[$name]);
                    }
                } elseif (is_array($value)) {
                    $ask($value);
                }
            }
        };
        $ask(['$ref' => $shape]);
        ksort($needed);
        $definitions = array_intersect_key($shapes, $needed);
        $schema = [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => "fleet-sparrow:{$format}:".self::FORMAT_VERSIONS[$format],
            'title' => "fleet-sparrow/{$format}",
            'allOf' => [['$ref' => "#/\$defs/{$shape}"]],
            'type' => 'object',
            'required' => ['format', 'version'],
            'properties' => ['format' => ['const' => "fleet-sparrow/{$format}"], 'version' => ['const' => self::FORMAT_VERSIONS[$format]]],
            '$defs' => $definitions,
        ];

        /** @var array<string, mixed> $local */
        $local = json_decode(
            str_replace('#\/components\/schemas\/', '#\/$defs\/', json_encode($schema, JSON_THROW_ON_ERROR)),
            true,
            512,
            JSON_THROW_ON_ERROR,
        );

        return $local;
    }

    /** @param  array<string, mixed>  $document */
    private static function text(array $document): string
    {
        // An object without fields is an object still, not a list.
        $json = json_encode($document, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);

        return (string) preg_replace('/^(\s*"(?:bySurface|value|properties)": )\[\]/m', '$1{}', $json)."\n";
    }
}
