<?php

declare(strict_types=1);

return [
    'bcrypt' => ['rounds' => (int) env('BCRYPT_ROUNDS', 12), 'verify' => true, 'limit' => null],
];
