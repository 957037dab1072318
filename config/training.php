<?php

declare(strict_types=1);

return [
    /*
    | How many days a skill family may go unused before Today says so. A default of this tool, debated among coaches.
    */
    'stale_after_days' => 21,

    /*
    | How many past sessions a drill must have been done in to count as known: explaining it then takes less time.
    */
    'known_within_sessions' => 3,

    /*
    | The most marks one request may bring. Phones send what they queued in batches of this size.
    */
    'marks_per_batch' => 400,
];
