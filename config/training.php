<?php

declare(strict_types=1);

return [
    /*
    | How many past sessions a drill must have been done in to count as known: explaining it then takes less time.
    */
    'known_within_sessions' => 3,

    /*
    | The most marks one request may bring. Phones send what they queued in batches of this size.
    */
    'marks_per_batch' => 400,
];
