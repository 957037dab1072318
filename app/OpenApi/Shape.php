<?php

declare(strict_types=1);

namespace App\OpenApi;

use Attribute;
use OpenApi\Attributes as OA;

/** An object of the API, described where it is made. A field whose name ends in `?` may be left out. */
#[Attribute(Attribute::TARGET_CLASS | Attribute::IS_REPEATABLE)]
final class Shape extends OA\Schema
{
    /**
     * @param  array<string, string>  $fields  name → word, as `Words` reads them
     * @param  string|null  $extends  a shape whose fields it has too
     */
    public function __construct(string $name, array $fields, ?string $extends = null)
    {
        $properties = [];
        $required = [];
        foreach ($fields as $field => $word) {
            $isOptional = str_ends_with($field, '?');
            $field = rtrim($field, '?');
            $properties[] = Words::property($field, $word);
            if (! $isOptional) {
                $required[] = $field;
            }
        }
        if ($extends === null) {
            parent::__construct(schema: $name, type: 'object', required: $required, properties: $properties);
        } else {
            parent::__construct(
                schema: $name,
                allOf: [Words::schema($extends), new OA\Schema(type: 'object', required: $required, properties: $properties)],
            );
        }
    }
}
