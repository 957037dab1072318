<?php

declare(strict_types=1);

return [
    // Files, so that a coach whose database is away is told so and not signed out.
    'driver' => env('SESSION_DRIVER', 'file'),
    'lifetime' => (int) env('SESSION_LIFETIME', 60 * 12),
    'expire_on_close' => false,
    'encrypt' => true,
    'files' => storage_path('framework/sessions'),
    'lottery' => [2, 100],
    'cookie' => 'fleet_sparrow_session',
    'path' => '/',
    'domain' => null,
    // Unset: secure whenever the request came over HTTPS.
    'secure' => env('SESSION_SECURE'),
    'http_only' => true,
    'same_site' => 'lax',
    'partitioned' => false,
];
