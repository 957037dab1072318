<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\RecordLine;
use App\Planning\SeasonSpan;

/** Everybody of a squad on every record line of a season. */
final readonly class Board
{
    /**
     * @param  array<string, RecordLine>  $lines  by key
     * @param  array<string, array<int, array<string, mixed>>>  $cells  line key → player → what is said of them, plain
     * @param  array<int, array{came: int, of: int}>  $attendance  by player
     */
    public function __construct(public SeasonSpan $span, public array $lines, public array $cells, public array $attendance)
    {
    }
}
