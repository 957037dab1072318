<?php

declare(strict_types=1);

namespace App\OpenApi;

use OpenApi\Attributes as OA;

/** What every call has in common: ids in its path, one good answer, and problem details for everything else. */
trait Describes
{
    /**
     * @param  string  $path  as registered, below /api/v1
     * @param  string  $summary  one sentence
     * @param  string  $answers  the shape of the good answer, or a media type where it is a file; empty for none
     * @param  string  $takes  the shape of the body; empty for none
     * @param  array<string, string>  $query  name → word; a name that ends in `?` may be left out
     * @param  array<string, string>  $headers  name → what it says
     */
    public function __construct(
        string $path,
        string $summary,
        string $answers = '',
        string $takes = '',
        int $status = 200,
        array $query = [],
        array $headers = [],
    ) {
        preg_match_all('/\{(\w+)\}/', $path, $names);
        $parameters = array_map(
            fn (string $name): OA\Parameter => new OA\PathParameter(
                name: $name,
                required: true,
                schema: Words::schema(in_array($name, ['token', 'lineKey', 'slug'], true) ? 'string' : 'int'),
            ),
            $names[1],
        );
        foreach ($query as $name => $word) {
            $parameters[] = new OA\QueryParameter(
                name: rtrim($name, '?'),
                required: ! str_ends_with($name, '?'),
                schema: Words::schema($word),
            );
        }
        foreach ($headers as $name => $says) {
            $parameters[] = new OA\HeaderParameter(name: $name, description: $says, required: true, schema: Words::schema('string'));
        }
        parent::__construct(
            path: $path,
            summary: $summary,
            parameters: $parameters,
            requestBody: $takes === ''
                ? null
                : new OA\RequestBody(required: true, content: new OA\JsonContent(ref: "#/components/schemas/{$takes}")),
            responses: [
                $answers === '' || str_contains($answers, '/')
                    ? new OA\Response(
                        response: $status,
                        description: $summary,
                        content: $answers === '' ? null : new OA\MediaType(mediaType: $answers, schema: Words::schema('string')),
                    )
                    : new OA\Response(
                        response: $status,
                        description: $summary,
                        content: new OA\JsonContent(ref: "#/components/schemas/{$answers}"),
                    ),
                new OA\Response(
                    response: 'default',
                    description: 'What went wrong, in one sentence.',
                    content: new OA\MediaType(mediaType: 'application/problem+json', schema: Words::schema('Problem')),
                ),
            ],
        );
    }
}
