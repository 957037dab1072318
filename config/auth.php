<?php

declare(strict_types=1);

use App\Models\User;

return [
    'defaults' => ['guard' => 'web', 'passwords' => 'users'],
    'guards' => [
        'web' => ['driver' => 'session', 'provider' => 'users'],
        // A player's link: it opens that player's page at home, and no session.
        'home' => ['driver' => 'home-link'],
    ],
    'providers' => ['users' => ['driver' => 'sign-ins', 'model' => User::class]],
    'passwords' => [],
];
