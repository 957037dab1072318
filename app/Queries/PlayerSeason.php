<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\RecordLine;
use App\Planning\SeasonSpan;
use FleetSparrow\Core\Progress\FootRatio;
use FleetSparrow\Core\Progress\LadderPlace;
use FleetSparrow\Core\Progress\LineStory;
use FleetSparrow\Core\Progress\News;
use FleetSparrow\Core\Progress\Slope;
use FleetSparrow\Core\Season\TouchLedger;

/** One player's season, read. */
final readonly class PlayerSeason
{
    /**
     * @param  list<News>  $story
     * @param  array<string, LineStory>  $lines  by key
     * @param  array<string, Slope|null>  $slopes  by key
     * @param  array<string, RecordLine>  $recordLines  by key
     * @param  array<string, FootRatio>  $feet  what is measured on both feet → the other one against the strong one
     * @param  list<array{ladder: string, slug: string, drill: string, name: string, rung: int|null, rungs: int, place: LadderPlace,
     *     harderBy: list<string>}>  $ladders  begun
     * @param  array{came: int, of: int}  $attendance
     */
    public function __construct(
        public SeasonSpan $span,
        public array $story,
        public array $lines,
        public array $slopes,
        public array $recordLines,
        public array $feet,
        public array $ladders,
        public TouchLedger $touches,
        public array $attendance,
    ) {
    }
}
