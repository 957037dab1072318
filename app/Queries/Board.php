<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\RecordLine;
use App\Planning\SeasonSpan;
use FleetSparrow\Core\Progress\LineStory;

/** Everybody of a squad on every record line of a season. */
final readonly class Board
{
    /**
     * @param  array<string, RecordLine>  $lines  by key
     * @param  array<int, array<string, LineStory>>  $stories  player → line key → story
     * @param  array<int, array{came: int, of: int}>  $attendance  by player
     */
    public function __construct(public SeasonSpan $span, public array $lines, public array $stories, public array $attendance)
    {
    }
}
