<?php

declare(strict_types=1);

return [
    'default' => 'mariadb',
    'connections' => [
        'mariadb' => [
            'driver' => 'mariadb',
            'host' => env('DB_HOST', '127.0.0.1'),
            'port' => env('DB_PORT', '3390'),
            'database' => env('DB_DATABASE', 'sparrow'),
            'username' => env('DB_USERNAME', 'sparrow'),
            'password' => env('DB_PASSWORD', ''),
            'charset' => 'utf8mb4',
            'collation' => 'utf8mb4_unicode_520_ci',
            'prefix' => '',
            'strict' => true,
            'engine' => 'InnoDB',
            'timezone' => '+00:00',
            // What a batch of marks works out must rest on what others have committed while it waited for its turn.
            'isolation_level' => 'READ COMMITTED',
            'options' => [PDO::ATTR_TIMEOUT => 3],
        ],
    ],
    'migrations' => ['table' => 'migrations', 'update_date_on_publish' => false],
];
