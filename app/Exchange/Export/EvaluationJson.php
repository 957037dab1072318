<?php

declare(strict_types=1);

namespace App\Exchange\Export;

use FleetSparrow\Core\Advice\Cut;
use FleetSparrow\Core\Advice\Remark;
use FleetSparrow\Core\Drill\AgeDose;
use FleetSparrow\Core\Evaluation\PlanEvaluation;
use FleetSparrow\Core\Organisation\Duty;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\Station;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\StationTurn;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Tally;

/** A worked-out session as JSON: seconds from the start of the session, touches for one player on average over those coming. */
final class EvaluationJson
{
    /** Version 2 adds seats and rounds. */
    public const VERSION = 2;

    /**
     * @param  list<string>|null  $playersOf  the blocks whose players are told one by one; null for all
     * @return array<string, mixed>
     */
    public static function of(
        PlanEvaluation $evaluation,
        int $slotMinutes,
        ?array $playersOf = null,
    ): array {
        $blocks = [];
        $start = 0.0;
        foreach ($evaluation->blocks as $block) {
            $withPlayers = $playersOf === null || in_array($block->blockId, $playersOf, true);
            $blocks[] = self::block($block, $start, $evaluation->overrun, $withPlayers);
            $start += $block->meanSeconds();
        }

        return [
            'meanSeconds' => round($evaluation->finish->mean(), 1),
            'standardDeviationSeconds' => round(sqrt($evaluation->finish->variance()), 1),
            'fiveInTenSeconds' => round($evaluation->finish->at(0.5)),
            'eightInTenSeconds' => round($evaluation->finish->at(0.8)),
            'chanceInSlot' => round($evaluation->finish->shareWithin($slotMinutes * 60.0), 3),
            'touches' => self::meanTouches($evaluation->touches),
            'blocks' => $blocks,
            'cuts' => array_map(
                fn (Cut $cut): array => [
                    'blockId' => $cut->blockId,
                    'kind' => $cut->kind->value,
                    'words' => $cut->words,
                    'freedSeconds' => round($cut->freedSeconds),
                    'touchesLost' => (int) round($cut->touchesLost),
                    'dose' => $cut->dose?->fields(),
                ],
                $evaluation->cuts->cuts,
            ),
            'stillOverSeconds' => round($evaluation->cuts->stillOverSeconds),
            'warnings' => array_map(self::warning(...), $evaluation->warnings),
            'remarks' => array_map(static fn (Remark $one): array => [
                'rule' => $one->rule->value,
                'sentence' => $one->sentence,
                'cure' => $one->cure,
                'blockId' => $one->blockId,
            ], $evaluation->rating?->said() ?? []),
            'kit' => [
                'markers' => (object) $evaluation->kit->markersByColour,
                'equipment' => (object) $evaluation->kit->equipment,
                'bibs' => $evaluation->kit->bibs,
            ],
            'players' => self::players($evaluation->touches, $evaluation->times),
        ];
    }

    /**
     * @param  bool  $withSeats  what everybody does in it, one by one
     * @return array<string, mixed>
     */
    public static function segment(Segment $segment, bool $withSeats = true): array
    {
        return [
            'id' => $segment->id,
            'blockId' => $segment->blockId,
            'kind' => $segment->kind->value,
            'seconds' => round($segment->seconds, 1),
            'endsByClock' => $segment->endsByClock,
            'side' => $segment->side,
            'item' => $segment->item,
            'set' => $segment->set,
            'turn' => $segment->turn,
            'working' => array_map(intval(...), $segment->working),
            'leftTouches' => round($segment->leftTouches, 1),
            'rightTouches' => round($segment->rightTouches, 1),
            'plainSeconds' => $segment->plainSeconds === null ? null : round($segment->plainSeconds, 1),
            'stations' => array_map(self::station(...), $segment->stations),
            'seats' => $withSeats ? array_map(self::seat(...), array_keys($segment->seats), $segment->seats) : [],
        ];
    }

    /** @return array<string, mixed> */
    private static function seat(int $player, Seat $seat): array
    {
        return [
            'playerId' => $player,
            'role' => $seat->role->value,
            'slot' => $seat->slot,
            'ball' => round($seat->ball, 3),
            'wait' => round($seat->waiting, 3),
            'isExtra' => $seat->isExtra,
        ];
    }

    /** @return array<string, mixed> */
    private static function station(StationTurn $at): array
    {
        return ['blockId' => $at->blockId, 'playerIds' => $at->players];
    }

    /** @return array<string, mixed> */
    private static function block(BlockEvaluation $block, float $start, Quantiles $overrun, bool $withPlayers): array
    {
        $footprint = $block->layout?->footprint();
        // Put together only for a block that is looked at: the session's end says the rest.
        $total = $withPlayers ? $block->total($overrun) : null;

        return [
            'id' => $block->blockId,
            'startSeconds' => round($start),
            'meanSeconds' => round($block->meanSeconds()),
            'standardDeviationSeconds' => $total === null ? null : round(sqrt($total->variance()), 1),
            'fiveInTenSeconds' => $total === null ? null : round($total->at(0.5)),
            'eightInTenSeconds' => $total === null ? null : round($total->at(0.8)),
            'partSeconds' => array_map(fn (float $seconds): float => round($seconds), $block->partSeconds),
            'turns' => $block->turns,
            'markers' => $block->markers,
            'longestWaitSeconds' => round($block->longestWaitSeconds()),
            'touches' => self::meanTouches($block->touches),
            'segments' => array_map(static fn (Segment $one): array => self::segment($one, $withPlayers), $block->segments),
            'counts' => $block->counts?->value,
            'mayCount' => array_map(
                static fn (MarkKind $kind): array => ['kind' => $kind->value, 'words' => $kind->words()],
                $block->mayCount,
            ),
            'warnings' => array_map(self::warning(...), $block->warnings),
            'players' => $withPlayers ? self::players($block->touches, $block->times) : [],
            'kit' => $block->kit === null
                ? null
                : ['markers' => (object) $block->kit->markersByColour, 'equipment' => (object) $block->kit->equipment, 'bibs' => 0],
            'stationMetres' => $footprint === null
                ? null
                : [
                    'width' => $footprint->widthMillimetres / 1000,
                    'depth' => $footprint->depthMillimetres / 1000,
                    'clearance' => $footprint->clearanceMillimetres / 1000,
                ],
        ] + self::together($block);
    }

    /**
     * Who does a block with whom and where, and what is laid out for it.
     *
     * @return array<string, mixed>
     */
    public static function together(BlockEvaluation $block): array
    {
        return [
            'stations' => $block->stations,
            'how' => $block->how,
            'reset' => $block->laying === null
                ? null
                : [
                    'kept' => $block->laying->setUp->kept,
                    'moved' => $block->laying->setUp->moved(),
                    'added' => $block->laying->setUp->added(),
                    'lifted' => $block->laying->setUp->lifted(),
                    'laid' => $block->laying->when->value,
                    'words' => $block->laying->words(),
                ],
            'ages' => array_map(static fn (AgeDose $one): array => [
                'ageGroup' => $one->ageGroup->name(),
                'playerIds' => $one->players,
                'dose' => $one->dose->fields(),
            ], $block->ages),
            'groups' => array_map(
                fn (Station $group): array => [
                    'workers' => self::ids($group->workers),
                    'servers' => self::ids($group->servers),
                    'isHelped' => $group->isHelped,
                ],
                $block->groups,
            ),
            'round' => array_map(static fn (array $turn): array => array_map(self::station(...), $turn), $block->round),
            'duties' => array_map(fn (Duty $duty): array => ['playerId' => $duty->playerId, 'kind' => $duty->kind->value], $block->duties),
        ];
    }

    /** @return array<string, mixed> */
    private static function warning(Warning $warning): array
    {
        return [
            'sentence' => $warning->sentence,
            'cure' => $warning->cure === null ? null : get_object_vars($warning->cure),
            'code' => $warning->code,
            'isBarred' => $warning->isBarred,
        ];
    }

    /**
     * @param  list<PlanPlayer>  $players
     * @return list<int>
     */
    private static function ids(array $players): array
    {
        return array_map(fn (PlanPlayer $player): int => $player->id, $players);
    }

    /**
     * @param  array<array-key, Tally>  $touches  player → touches
     * @param  array<array-key, PlayerTime>  $times  player → how the time is spent
     * @return list<array<string, int>>
     */
    private static function players(array $touches, array $times): array
    {
        $shares = [];
        $read = [];
        foreach ($touches as $player => $tally) {
            [$left, $right, $all] = $read[spl_object_id($tally)] ??= [
                $tally->contactsOf(FootMark::Left),
                $tally->contactsOf(FootMark::Right),
                $tally->contacts(),
            ];
            $time = $times[$player] ?? new PlayerTime;
            $shares[] = [
                'playerId' => $player,
                'ballSeconds' => (int) round($time->ballSeconds),
                'servingSeconds' => (int) round($time->servingSeconds),
                'waitingSeconds' => (int) round($time->waitingSeconds),
                'longestWaitSeconds' => (int) round($time->longestWaitSeconds),
                'left' => (int) round($left),
                'right' => (int) round($right),
                'other' => (int) round($all - $left - $right),
            ];
        }

        return $shares;
    }

    /**
     * @param  array<array-key, Tally>  $byPlayer
     * @return array{left: int, right: int, other: int, bySurface: array<string, array<string, int>>}
     */
    private static function meanTouches(array $byPlayer): array
    {
        $mean = Tally::sum($byPlayer)->times(1.0 / max(1, count($byPlayer)));
        $left = $mean->contactsOf(FootMark::Left);
        $right = $mean->contactsOf(FootMark::Right);

        return [
            'left' => (int) round($left),
            'right' => (int) round($right),
            'other' => (int) round($mean->contacts() - $left - $right),
            'bySurface' => array_map(
                fn (array $surfaces): array => array_map(fn (float $count): int => (int) round($count), $surfaces),
                $mean->bySideAndSurface(),
            ),
        ];
    }
}
