<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\OpenApi\Shape;
use App\Queries\SquadSeason;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Builder\FortnightNeed;
use FleetSparrow\Core\Caution\LoadJump;
use FleetSparrow\Core\Clock\Calibration;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Season\FamilyCoverage;
use FleetSparrow\Core\Season\Overrun;
use FleetSparrow\Core\Season\PlayedFamily;
use FleetSparrow\Core\Season\PlayedForward;
use FleetSparrow\Core\Season\SeasonWeek;

/** A squad's season: weeks by families by feet, and what the next fortnight needs. */
#[Shape('SeasonWeek', ['week' => 'int', 'from' => 'date'])]
#[Shape('FamilyWeek', ['week' => 'int', 'minutes' => 'number', 'marks' => 'int', 'touches' => 'FootTouches'])]
#[Shape('SeasonFamily', [
    'family' => 'string', 'touches' => 'FootTouches', 'lastOn' => 'date', 'daysAgo' => 'int', 'isStale' => 'bool',
    'weeks' => 'FamilyWeek[]',
])]
#[Shape('FortnightNeed', [
    'about' => 'string', 'says' => 'string', 'evidence' => 'Evidence', 'theme' => 'string?', 'drill' => 'string?', 'isOtherFoot' => 'bool',
])]
#[Shape('SeasonLoad', ['touches' => 'number?', 'strikes' => 'number?', 'cautionOver' => 'number', 'evidence' => 'Evidence'])]
#[Shape('OwnTime', ['part' => "'set-up'|'explain'|'change'", 'factor' => 'number', 'blocks' => 'int'])]
#[Shape('Overrun', ['drill' => 'string', 'name' => 'string', 'over' => 'int', 'of' => 'int', 'minutes' => 'number'])]
#[Shape('SeasonPage', [
    'season' => 'SeasonDays', 'endedSeasons' => 'EndedSeason[]', 'weeks' => 'SeasonWeek[]', 'families' => 'SeasonFamily[]',
    'fullest' => 'int', 'needs' => 'FortnightNeed[]', 'load' => 'SeasonLoad', 'times' => 'OwnTime[]', 'overruns' => 'Overrun[]',
    'timesEvidence' => 'Evidence', 'familiesEvidence' => 'Evidence', 'overrunsEvidence' => 'Evidence',
    'nextSessionId' => 'int?', 'sessions' => 'int',
])]
#[Shape('PlayedRange', ['low' => 'number', 'middle' => 'number', 'high' => 'number'])]
#[Shape('FamilyChance', ['family' => 'string', 'chance' => 'number'])]
#[Shape('PlayedForward', [
    'what' => "'as-it-goes'|'other-foot-evening'|'two-weeks-away'|'one-evening-fewer'", 'words' => 'string', 'evenings' => 'int',
    'touches' => 'PlayedRange', 'weakerShare' => 'PlayedRange?', 'load' => 'PlayedRange?', 'stale' => 'FamilyChance[]',
])]
#[Shape('WhatIfAnswer', ['weeks' => 'int', 'plays' => 'PlayedForward[]'])]
final class SeasonResource
{
    /** @return array<string, mixed> */
    public static function of(SquadSeason $season, ClubDay $day): array
    {
        $span = $season->span;
        $start = SeasonWeek::startOf($span->from, $day->weekStartsOn);
        $weeks = SeasonWeek::number($span->from, $span->until, $day->weekStartsOn) ?? 0;
        $families = array_values(array_filter(array_map(
            fn (Family $family): ?FamilyCoverage => $season->families[$family->value] ?? null,
            Family::cases(),
        ), fn (?FamilyCoverage $one): bool => $one !== null));

        return [
            'season' => PlayerSeasonResource::season($span),
            'weeks' => $weeks === 0 ? [] : array_map(
                fn (int $week): array => ['week' => $week, 'from' => $start->plusDays(7 * ($week - 1))->iso()],
                range(1, $weeks),
            ),
            'families' => array_map(fn (FamilyCoverage $one): array => self::family($one, $season->marks[$one->family] ?? []), $families),
            'fullest' => self::fullest($families),
            'needs' => array_map(fn (FortnightNeed $one): array => [
                'about' => $one->about,
                'says' => $one->says,
                'evidence' => PlayerSeasonResource::evidence($one->evidence),
                'theme' => $one->theme?->value,
                'drill' => $one->drill,
                'isOtherFoot' => $one->isOtherFoot,
            ], $season->needs),
            'load' => [
                'touches' => $season->load['touches'] === null ? null : round($season->load['touches'], 2),
                'strikes' => $season->load['strikes'] === null ? null : round($season->load['strikes'], 2),
                'cautionOver' => LoadJump::CAUTION_OVER,
                'evidence' => PlayerSeasonResource::evidence(LoadJump::evidence($season->load['touches'], $season->load['strikes'])),
            ],
            'times' => array_map(fn (string $part, Calibration $time): array => [
                'part' => $part,
                'factor' => round($time->factor, 2),
                'blocks' => $time->blocks,
            ], array_keys($season->times), array_values($season->times)),
            'overruns' => array_map(get_object_vars(...), $season->overruns),
            'overrunsEvidence' => PlayerSeasonResource::evidence(Overrun::evidence($season->overruns)),
            'familiesEvidence' => PlayerSeasonResource::evidence(FamilyCoverage::evidence($season->played)),
            'timesEvidence' => PlayerSeasonResource::evidence(Calibration::evidence([
                'Laying out' => $season->times['set-up'],
                'Explaining' => $season->times['explain'],
                'Changing over' => $season->times['change'],
            ])),
            'sessions' => count(array_unique(array_map(
                fn (PlayedFamily $one): int => $one->session,
                array_filter($season->played, fn (PlayedFamily $one): bool => ! $one->isHome),
            ))),
        ];
    }

    /** @return array<string, mixed> */
    public static function forward(PlayedForward $play): array
    {
        $round = static fn (?array $range, int $digits): ?array => $range === null
            ? null
            : array_map(static fn (float $value): float => round($value, $digits), $range);

        return [
            'what' => $play->what->value,
            'words' => $play->what->words(),
            'evenings' => $play->evenings,
            'touches' => $round($play->touches, 0),
            'weakerShare' => $round($play->weakerShare, 3),
            'load' => $round($play->load, 2),
            'stale' => array_map(
                fn (string $family, float $chance): array => ['family' => $family, 'chance' => round($chance, 2)],
                array_keys($play->stale),
                array_values($play->stale),
            ),
        ];
    }

    /**
     * @param  array<int, int>  $marks  by week
     * @return array<string, mixed>
     */
    private static function family(FamilyCoverage $one, array $marks): array
    {
        $weeks = [];
        foreach ($one->weeks as $week => ['minutes' => $minutes, 'touches' => $touches]) {
            $weeks[] = [
                'week' => $week,
                'minutes' => round($minutes, 1),
                'marks' => $marks[$week] ?? 0,
                'touches' => PlayerSeasonResource::feet($touches),
            ];
        }

        return [
            'family' => $one->family,
            'touches' => PlayerSeasonResource::feet($one->touches),
            'lastOn' => $one->lastOn->iso(),
            'daysAgo' => $one->daysAgo,
            'isStale' => $one->isStale(),
            'weeks' => $weeks,
        ];
    }

    /** @param  list<FamilyCoverage>  $families */
    private static function fullest(array $families): int
    {
        $most = 1.0;
        foreach ($families as $family) {
            foreach ($family->weeks as ['touches' => $touches]) {
                $most = max($most, $touches->left, $touches->right, $touches->unknown / 2.0);
            }
        }

        return (int) ceil($most);
    }
}
