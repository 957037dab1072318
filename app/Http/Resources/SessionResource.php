<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\PlanOverride;
use App\Models\TrainingSession;
use App\OpenApi\Shape;
use App\Planning\PlanDraft;
use App\Tenancy\ClubDay;

/** A session as the plan view edits it. */
#[
    Shape(
        'PlanBlock',
        [
            'id' => 'string',
            'kind' => "'drill'|'water'|'talk'|'game'",
            'title' => 'string',
            'minutes' => 'number?',
            'drillVersionId' => 'int?',
            'dose' => 'Dose?',
            'tempo' => "'learn'|'steady'|'match'?",
            'stations' => 'int?',
            'links?' => 'int?',
            'together?' => 'string?',
            'stationsWait?' => 'bool',
            'counted?' => 'string?',
        ],
    ),
]
#[
    Shape(
        'SessionSummary',
        [
            'id' => 'int',
            'squadId' => 'int',
            'title' => 'string',
            'place' => 'string',
            'startsAt' => 'string',
            'slotMinutes' => 'int',
            'version' => 'int',
            'isRun' => 'bool',
        ],
    ),
]
#[Shape('Recap', ['answers' => 'string', 'howHard' => "'too-easy'|'about-right'|'too-hard'?", 'onlyTried' => 'bool'])]
#[Shape('LastRecap', ['sessionId' => 'int', 'title' => 'string', 'on' => 'date'], extends: 'Recap')]
#[Shape('KeptOverride', ['by' => 'string?', 'on' => 'date', 'sentence' => 'string'], extends: 'Override')]
#[
    Shape(
        'Session',
        [
            'blocks' => 'PlanBlock[]',
            'comingPlayerIds' => 'int[]',
            'helpers' => 'int',
            'laidBefore' => 'bool',
            'may' => 'PlayerMay[]',
            'isHot' => 'bool',
            'temperatureCelsius' => 'number?',
            'humidityPercent' => 'number?',
            'overrides' => 'KeptOverride[]',
            'recap' => 'Recap',
            'lastRecap' => 'LastRecap?',
            'players' => 'Player[]',
            'olderDrills' => 'Drill[]',
        ],
        extends: 'SessionSummary',
    ),
]
#[Shape('Attendance', ['comingPlayerIds' => 'int[]'])]
final class SessionResource
{
    /** @return array<string, mixed> */
    public static function summary(TrainingSession $session, ClubDay $day): array
    {
        return [
            'id' => $session->id,
            'squadId' => $session->squad_id,
            'title' => $session->title,
            'place' => $session->place,
            'startsAt' => $day->local($session->starts_at_utc),
            'slotMinutes' => $session->slot_minutes,
            'version' => $session->version,
            'isRun' => $session->run_finished_at_utc !== null,
        ];
    }

    /** @return array<string, mixed> */
    public static function of(TrainingSession $session, ClubDay $day): array
    {
        $coming = $session->comingPlayerIds();

        $draft = PlanDraft::ofSession($session, $coming);
        $last = $session->lastRecapped();

        return self::summary($session, $day) + [
            'blocks' => $draft->blocks,
            'comingPlayerIds' => $coming,
            'helpers' => $draft->helpers,
            'laidBefore' => $draft->isLaidBefore,
            'may' => array_map(
                fn (int $player, string $may): array => ['playerId' => $player, 'may' => $may],
                array_keys($draft->may),
                $draft->may,
            ),
            'isHot' => $draft->heat['isHot'],
            'temperatureCelsius' => $draft->heat['temperatureCelsius'],
            'humidityPercent' => $draft->heat['humidityPercent'],
            'overrides' => array_values(
                $session->overrides->map(
                    fn (PlanOverride $one): array => [
                        'blockId' => $one->block_key,
                        'code' => $one->code,
                        'reason' => $one->reason,
                        'by' => $one->by?->name,
                        'on' => $day->on($one->created_at ?? $session->starts_at_utc)->iso(),
                        'sentence' => $one->sentence,
                    ],
                )->all(),
            ),
            'recap' => self::recap($session),
            'lastRecap' => $last === null
                ? null
                : self::recap($last) + ['sessionId' => $last->id, 'title' => $last->title, 'on' => $day->on($last->starts_at_utc)->iso()],
            'players' => $session->squad->players->map(PlayerResource::of(...))->values()->all(),
            'olderDrills' => self::olderDrills($session),
        ];
    }

    /** @return array{answers: string, howHard: string|null, onlyTried: bool} */
    public static function recap(TrainingSession $session): array
    {
        return [
            'answers' => $session->recap_answers,
            'howHard' => $session->recap_how_hard?->value,
            'onlyTried' => $session->is_only_tried,
        ];
    }

    /**
     * Drills as they were when they were planned, where the book says something else by now or nothing at all.
     *
     * @return list<array<string, mixed>>
     */
    private static function olderDrills(TrainingSession $session): array
    {
        $older = [];
        foreach ($session->blocks as $block) {
            $version = $block->drillVersion;
            if ($version !== null && ! $version->is_current) {
                $older[$version->id] = DrillResource::of($version, $session->squad->length_unit);
            }
        }

        return array_values($older);
    }
}
