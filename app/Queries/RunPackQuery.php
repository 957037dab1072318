<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Mark;
use App\Models\Player;
use App\Models\RecordLine;
use App\Models\SessionBlock;
use App\Models\TrainingSession;
use App\Planning\PlanDraft;
use App\Planning\SquadAims;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Record\Aim;

final class RunPackQuery
{
    /** More or fewer than planned that a phone can seat without a network: this tool's own value. */
    private const MAY_LEAVE = 4;

    private const MAY_COME = 3;

    public function __construct(
        private readonly PlanEvaluationQuery $evaluations,
        private readonly RecordQuery $records,
        private readonly SquadAims $aims,
        private readonly RemindersQuery $reminders,
    ) {
    }

    /** @throws \FleetSparrow\Core\Exception\CoreException If the session cannot be evaluated, as when nobody is coming. */
    public function of(TrainingSession $session, ClubDay $clubDay, int $coachId): RunPack
    {
        $day = $clubDay->on($session->starts_at_utc);
        $session->load(['blocks.drillVersion', 'attendances', 'overrides', 'squad.players']);
        $playerIds = $session->comingPlayerIds();
        $isComing = fn (Player $one): bool => in_array($one->id, $playerIds, true);
        $players = $session->squad->players->filter($isComing);
        $others = $session->squad->players->reject($isComing);
        $draft = PlanDraft::ofSession($session, $playerIds);
        $evaluation = $this->evaluations->evaluate($session->squad, $draft, $day, $coachId);
        $lineKeys = $this->lineKeys($session);
        $wanted = array_values(array_unique($lineKeys));
        $everybody = array_map(intval(...), array_values($session->squad->players->modelKeys()));
        $readings = $this->records->readings($everybody, $wanted);

        $mayNot = self::mayNot($session, $draft);
        $lines = RecordLine::query()->whereKey($wanted)->get()->keyBy('line_key')->all();

        return new RunPack(
            session: $session,
            evaluation: $evaluation,
            players: $players->values(),
            lineKeys: $lineKeys,
            lines: $lines,
            readings: $readings,
            tables: $this->evaluations->ofOtherSizes(
                $session->squad,
                $draft,
                $day,
                $coachId,
                self::sizes($players->count(), mayNot: max([0, ...array_map(count(...), array_values($mayNot))])),
            ),
            steps: StepsQuery::of(
                array_values($session->blocks->map(fn (SessionBlock $one): string => $one->drillVersion->slug ?? '')->all()),
            ),
            others: $others->values(),
            taken: array_values(Mark::query()->where('training_session_id', $session->id)->tap(Mark::standing(...))
                ->orderBy('recorded_at_utc')->get()->all()),
            mayNot: $mayNot,
            reminders: $this->reminders->of($everybody, $clubDay, $coachId),
            aims: self::within($session, $this->aims->of($session->squad, $lines)),
        );
    }

    /**
     * Those who were said to be not for everything, also where they are seated anew at the pitch.
     *
     * @return array<string, list<int>> block id → players who may not work in it today
     */
    private static function mayNot(TrainingSession $session, PlanDraft $draft): array
    {
        $mayNot = [];
        foreach ($session->blocks as $block) {
            $mayNot[$block->block_key] = array_values(array_filter(
                array_map(intval(...), $session->squad->players->modelKeys()),
                static fn (int $id): bool => ! $draft->availability($id)->mayJoin($block->kind, $block->drillVersion?->drill()),
            ));
        }

        return $mayNot;
    }

    /**
     * @param  int<0, max>  $mayNot  at most so many may not work in a block
     * @return list<int<1, max>>
     */
    private static function sizes(int $coming, int $mayNot): array
    {
        // Of the squad, or a guest.
        $most = max(1, min(PlanContext::MOST_PLAYERS, $coming + self::MAY_COME));

        return range(min($most, max(1, $coming - self::MAY_LEAVE - $mayNot)), $most);
    }

    /** @return array<string, string> block id, item and side → line key, see RunPack::lineKey */
    private function lineKeys(TrainingSession $session): array
    {
        $keys = [];
        foreach ($session->blocks as $block) {
            foreach ($block->coreBlock()?->lines($session->squad->ballSize()) ?? [] as $line) {
                $keys[RunPack::lineKey($block->block_key, $line->item, $line->side->value)] = $line->task->key;
            }
        }

        return $keys;
    }

    /**
     * What a block's dose ends is no number to beat in it.
     *
     * @param  array<string, Aim>  $aims  by line key
     * @return array<string, Aim>
     */
    private static function within(TrainingSession $session, array $aims): array
    {
        foreach ($session->blocks as $block) {
            $planned = $block->coreBlock();
            foreach ($planned?->lines($session->squad->ballSize()) ?? [] as $line) {
                $aim = $aims[$line->task->key] ?? null;
                if ($aim !== null && $planned?->dose !== null) {
                    $aims[$line->task->key] = $aim->withinDose($line->kind, $planned->dose);
                }
            }
        }

        return $aims;
    }
}
