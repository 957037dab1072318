<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\OpenApi\Shape;
use App\Planning\SeasonSpan;
use App\Queries\PlayerSeason;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Progress\FootRatio;
use FleetSparrow\Core\Progress\FootStory;
use FleetSparrow\Core\Progress\LineStory;
use FleetSparrow\Core\Progress\News;
use FleetSparrow\Core\Season\FootTouches;
use FleetSparrow\Core\Season\TouchLedger;
use FleetSparrow\Core\Shared\Evidence;
use FleetSparrow\Core\Shared\LengthUnit;

/** One player's season: what to say first, and all that stands behind it. */
#[Shape('Evidence', ['formula' => 'string', 'inputs' => 'string[]', 'count' => 'int', 'source' => 'string'])]
#[Shape('News', [
    'kind' => "'changed'|'stuck'|'next'", 'about' => 'string', 'says' => 'string', 'lineKey' => 'string?', 'evidence' => 'Evidence',
])]
#[Shape('LineVerdict', [
    'trend' => "'too-few'|'no-clear-change'|'better'|'clearly-better'|'worse'|'clearly-worse'", 'words' => 'string',
    'evidence' => 'Evidence',
])]
#[Shape('LineSlope', [
    'aWeek' => 'number', 'low' => 'number?', 'high' => 'number?', 'days' => 'int', 'start' => 'number', 'end' => 'number',
])]
#[Shape('LineDropOff', ['percent' => 'int', 'isHabit' => 'bool', 'evidence' => 'Evidence'])]
#[Shape('PlayerLine', [
    'line' => 'Line', 'verdict' => 'LineVerdict', 'slope' => 'LineSlope?', 'typicalError' => 'number?', 'isStale' => 'bool',
    'dropOff' => 'LineDropOff?',
], extends: 'Standing')]
#[Shape('FootDay', ['on' => 'date', 'ratio' => 'number'])]
#[Shape('FootLine', ['about' => 'string', 'days' => 'FootDay[]', 'isAhead' => 'bool', 'evidence' => 'Evidence'])]
#[Shape('PlayerLadder', [
    'slug' => 'string', 'ladder' => 'string', 'drill' => 'string', 'name' => 'string', 'rung' => 'int?', 'rungs' => 'int',
    'advice' => "'begin'|'stay'|'up'|'back'|'held'|'done'", 'why' => 'string', 'harderBy' => 'string[]',
])]
#[Shape('FootTouches', [
    'left' => 'int', 'right' => 'int', 'unknown' => 'int', 'other' => 'int', 'total' => 'int', 'rightPercent' => 'int?',
])]
#[Shape('SurfaceTouches', ['foot' => "'L'|'R'|'?'|'-'", 'surface' => 'string', 'touches' => 'int'])]
#[Shape('PurposeTouches', ['purpose' => 'string', 'touches' => 'int'])]
#[Shape('WeekTouches', ['week' => 'int', 'from' => 'date', 'touches' => 'FootTouches'])]
#[Shape('TouchLedger', [
    'all' => 'FootTouches', 'counted' => 'FootTouches', 'estimated' => 'FootTouches', 'ballMinutes' => 'int',
    'surfaces' => 'SurfaceTouches[]',
    'purposes' => 'PurposeTouches[]', 'weeks' => 'WeekTouches[]', 'evidence' => 'Evidence',
])]
#[Shape('SeasonDays', ['id' => 'int?', 'name' => 'string', 'from' => 'date', 'until' => 'date'])]
#[Shape('EndedSeason', ['id' => 'int', 'name' => 'string', 'startsOn' => 'date', 'endsOn' => 'date'])]
#[Shape('Attended', ['came' => 'int', 'of' => 'int'])]
#[Shape('PlayerPage', [
    'squadId' => 'int', 'squadName' => 'string', 'season' => 'SeasonDays', 'endedSeasons' => 'EndedSeason[]', 'attendance' => 'Attended',
    'story' => 'News[]', 'lines' => 'PlayerLine[]', 'feet' => 'FootLine[]', 'ladders' => 'PlayerLadder[]', 'touches' => 'TouchLedger',
    'reminders' => 'Reminder[]', 'isWatched' => 'bool', 'looks' => 'LookCount[]',
], extends: 'Player')]
final class PlayerSeasonResource
{
    /** @return array<string, mixed> */
    public static function of(PlayerSeason $season, LengthUnit $unit, bool $withChance, ClubDay $day): array
    {
        $lines = array_map(
            fn (LineStory $story): array => self::line($season, $story, $unit, $withChance),
            array_values($season->lines),
        );
        $place = fn (array $one): array => [$one['line']['drillName'], $one['line']['window'], $one['line']['side']];
        usort($lines, fn (array $a, array $b): int => $place($a) <=> $place($b));

        return [
            'season' => self::season($season->span),
            'attendance' => $season->attendance,
            'story' => array_map(self::news(...), $season->story),
            'lines' => $lines,
            'feet' => array_map(self::foot(...), array_keys($season->feet), array_values($season->feet)),
            'ladders' => array_map(fn (array $one): array => [
                'slug' => $one['slug'],
                'ladder' => $one['ladder'],
                'drill' => $one['drill'],
                'name' => $one['name'],
                'rung' => $one['rung'],
                'rungs' => $one['rungs'],
                'advice' => $one['place']->advice,
                'why' => $one['place']->why,
                'harderBy' => $one['harderBy'],
            ], $season->ladders),
            'touches' => self::touches($season->touches, $season->span, $day),
        ];
    }

    /** @return array<string, mixed> */
    public static function season(SeasonSpan $span): array
    {
        return ['id' => $span->id, 'name' => $span->name, 'from' => $span->from->iso(), 'until' => $span->until->iso()];
    }

    /** @return array<string, mixed> */
    public static function evidence(Evidence $evidence): array
    {
        return [
            'formula' => $evidence->formula,
            'inputs' => $evidence->inputs,
            'count' => $evidence->count,
            'source' => $evidence->source,
        ];
    }

    /** @return array<string, int|null> whole touches, which add up; the right foot's share of those whose foot is known */
    public static function feet(FootTouches $touches): array
    {
        $whole = self::whole($touches);
        $share = $touches->rightShare();

        return $whole + ['total' => array_sum($whole), 'rightPercent' => $share === null ? null : (int) round(100.0 * $share)];
    }

    /** @return array{left: int, right: int, unknown: int, other: int} */
    private static function whole(FootTouches $touches): array
    {
        return [
            'left' => (int) round($touches->left),
            'right' => (int) round($touches->right),
            'unknown' => (int) round($touches->unknown),
            'other' => (int) round($touches->other),
        ];
    }

    /** @return array<string, int|null> what is shown of both, so that the sum is theirs */
    private static function both(FootTouches $one, FootTouches $other): array
    {
        [$a, $b] = [self::whole($one), self::whole($other)];

        return self::feet(new FootTouches(
            (float) ($a['left'] + $b['left']),
            (float) ($a['right'] + $b['right']),
            (float) ($a['unknown'] + $b['unknown']),
            (float) ($a['other'] + $b['other']),
        ));
    }

    /** @return array<string, mixed> */
    private static function news(News $news): array
    {
        return [
            'kind' => $news->kind->value,
            'about' => $news->about,
            'says' => $news->says,
            'lineKey' => $news->lineKey,
            'evidence' => self::evidence($news->evidence),
        ];
    }

    /** @return array{line: array<string, mixed>} & array<string, mixed> */
    private static function line(PlayerSeason $season, LineStory $story, LengthUnit $unit, bool $withChance): array
    {
        [$slope, $error, $dropOff] = [$season->slopes[$story->key], $story->error->value(), $story->dropOff];

        return [
            'line' => LineResource::line($season->recordLines[$story->key], $unit),
            'verdict' => [
                'trend' => $story->verdict->trend->value,
                'words' => $story->verdict->trend->words(),
                'evidence' => self::evidence($story->verdictEvidence()),
            ],
            'slope' => $slope === null ? null : [
                'aWeek' => round($slope->aWeek, 2),
                'low' => $slope->low === null ? null : round($slope->low, 2),
                'high' => $slope->high === null ? null : round($slope->high, 2),
                'days' => $slope->days,
                'start' => round($slope->start, 2),
                'end' => round($slope->end, 2),
            ],
            'typicalError' => $error === null ? null : round($error, 2),
            'isStale' => $story->isStale($season->span->until),
            'dropOff' => $dropOff === null ? null : [
                'percent' => (int) round(100.0 * $dropOff->share),
                'isHabit' => $dropOff->isHabit(),
                'evidence' => self::evidence($story->dropOffEvidence($dropOff)),
            ],
        ] + LineResource::standing($story->line, $story->target, $withChance);
    }

    /** @return array<string, mixed> */
    private static function foot(string $about, FootRatio $ratio): array
    {
        return [
            'about' => $about,
            'days' => array_map(
                fn (array $day): array => ['on' => $day['on']->iso(), 'ratio' => round($day['ratio'], 2)],
                $ratio->days,
            ),
            'isAhead' => $ratio->isAhead(),
            'evidence' => self::evidence(FootStory::evidence([$about => $ratio])),
        ];
    }

    /** @return array<string, mixed> */
    private static function touches(TouchLedger $ledger, SeasonSpan $span, ClubDay $day): array
    {
        $surfaces = [];
        foreach ($ledger->bySideAndSurface() as $foot => $counts) {
            foreach ($counts as $surface => $count) {
                $surfaces[] = ['foot' => $foot, 'surface' => $surface, 'touches' => (int) round($count)];
            }
        }
        $purposes = $ledger->byPurpose();

        return [
            'all' => self::both($ledger->counted, $ledger->estimated),
            'counted' => self::feet($ledger->counted),
            'estimated' => self::feet($ledger->estimated),
            'ballMinutes' => (int) round($ledger->ballMinutes()),
            'surfaces' => $surfaces,
            'purposes' => array_map(
                fn (string $purpose, float $count): array => ['purpose' => $purpose, 'touches' => (int) round($count)],
                array_keys($purposes),
                array_values($purposes),
            ),
            'weeks' => array_map(fn (array $week): array => [
                'week' => $week['week'],
                'from' => $week['from']->iso(),
                'touches' => self::feet($week['touches']),
            ], $ledger->weeks($span->from, $span->until, $day->weekStartsOn)),
            'evidence' => self::evidence($ledger->evidence()),
        ];
    }
}
