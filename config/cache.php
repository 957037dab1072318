<?php

declare(strict_types=1);

// Databases on one machine count their squads and their tries alike, so each has its own: files know no prefix.
$path = storage_path('framework/cache/data/'.env('DB_DATABASE', 'sparrow'));

return [
    'default' => env('CACHE_STORE', 'file'),
    'stores' => [
        'array' => ['driver' => 'array', 'serialize' => false],
        'file' => ['driver' => 'file', 'path' => $path, 'lock_path' => $path],
    ],
    'prefix' => 'fleet-sparrow-'.env('DB_DATABASE', 'sparrow').'-',
];
