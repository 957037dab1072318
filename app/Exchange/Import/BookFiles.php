<?php

declare(strict_types=1);

namespace App\Exchange\Import;

/** The drills of the book straight from its files, so that a plan can be worked out without a database. */
final class BookFiles
{
    /** @return array<string, array<string, mixed>> slug → fields */
    public static function drills(string $folder): array
    {
        $drills = [];
        $files = glob("{$folder}/drills/*.json");
        foreach ($files === false ? [] : $files as $file) {
            $book = json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR);
            foreach (is_array($book) && is_array($book['drills'] ?? null) ? $book['drills'] : [] as $fields) {
                if (is_array($fields) && is_string($fields['slug'] ?? null)) {
                    $drills[$fields['slug']] = $fields;
                }
            }
        }

        return $drills;
    }
}
