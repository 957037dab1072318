<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Layout;

/** Everything a layout comes to once its parameters are known; points in metres, the first corner of the station at the origin. */
final readonly class Sketch
{
    /**
     * @param  list<Marker>  $markers
     * @param  int  $widthMillimetres  bare, along x
     * @param  int  $depthMillimetres  bare, along y
     * @param  BallPath|null  $ballPath  null where the ball goes where the player takes it
     * @param  BallPath|null  $runPath  the worker's own way where it parts from the ball's
     * @param  int  $timesAlongPath  how often an open group of a script is done along the path
     * @param  list<DimensionLine>  $dimensions
     * @param  list<Label>  $labels
     * @param  list<Place>  $places
     * @param  list<Point>  $balls  where balls lie when a rep begins; at least one unless the drill has no ball
     * @param  array<string, int>  $equipment  beside markers and balls: `Equipment` value → count
     * @param  list<WallLine>  $walls
     */
    public function __construct(
        public array $markers,
        public int $widthMillimetres,
        public int $depthMillimetres,
        public ?BallPath $ballPath = null,
        public ?BallPath $runPath = null,
        public int $timesAlongPath = 1,
        public array $dimensions = [],
        public array $labels = [],
        public array $places = [],
        public array $balls = [],
        public array $equipment = [],
        public array $walls = [],
    ) {
    }
}
