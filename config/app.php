<?php

declare(strict_types=1);

return [
    'name' => 'Fleet Sparrow',
    'env' => env('APP_ENV', 'production'),
    'debug' => (bool) env('APP_DEBUG', false),
    'url' => env('APP_URL', 'http://127.0.0.1:8060'),
    'timezone' => 'UTC',
    'locale' => 'en',
    'fallback_locale' => 'en',
    'cipher' => 'AES-256-CBC',
    'key' => env('APP_KEY'),
    // What is answered is described there: a page built on the same description need not check each answer. Left out, it checks all.
    'contract' => env('SAYS_CONTRACT', true) === true
        ? substr((string) hash_file('sha256', dirname(__DIR__).'/docs/openapi.json'), 0, 12)
        : '',
];
