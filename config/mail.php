<?php

declare(strict_types=1);

return [
    /*
    | "off": links are shown to the club lead, who hands them over. With "smtp" they are sent as well.
    */
    'default' => env('MAIL_MAILER', 'off'),
    'mailers' => [
        'off' => ['transport' => 'array'],
        'array' => ['transport' => 'array'],
        'smtp' => [
            'transport' => 'smtp',
            'scheme' => env('MAIL_SCHEME'),
            'host' => env('MAIL_HOST', '127.0.0.1'),
            'port' => env('MAIL_PORT', 587),
            'username' => env('MAIL_USERNAME'),
            'password' => env('MAIL_PASSWORD'),
            'timeout' => 10,
        ],
    ],
    'from' => ['address' => env('MAIL_FROM_ADDRESS', 'sparrow@localhost'), 'name' => 'Fleet Sparrow'],
];
