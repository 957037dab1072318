<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Attendance;
use App\Models\Mark;
use App\Models\Player;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\Support\DrillShelf;
use App\Support\PlanDraft;
use App\Support\SquadHistory;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanEvaluation;
use FleetSparrow\Core\Plan\PlanEvaluator;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Side;
use Illuminate\Support\Facades\DB;

/** Evaluates a running order for a squad: a fixed number of queries, whatever the number of players. */
final class PlanEvaluationQuery
{
    public function __construct(private readonly SquadHistory $history, private readonly SquadBasisQuery $bases, private readonly DrillShelf $drills)
    {
    }

    /**
     * @param  CalendarDate  $day  of the session: what lies before it is its past
     * @param  int|null  $coachId  whose own times the judged parts are stretched by
     *
     * @throws \Illuminate\Validation\ValidationException
     * @throws \FleetSparrow\Core\Exception\CoreException
     */
    public function evaluate(Squad $squad, PlanDraft $draft, CalendarDate $day, ?int $coachId): PlanEvaluation
    {
        $blocks = $draft->coreBlocks($this->drills->drills($draft->drillVersionIds()));

        return PlanEvaluator::evaluate($blocks, $this->context($squad, $draft, $blocks, $day, $coachId), $draft->slotMinutes * 60.0);
    }

    /**
     * A session as it is kept, with whoever came.
     *
     * @throws \FleetSparrow\Core\Exception\CoreException If nobody did, or a drill cannot be read.
     */
    public function ofSession(TrainingSession $session, CalendarDate $day): PlanEvaluation
    {
        $session->load(['blocks', 'attendances', 'overrides', 'squad.players']);
        $missing = $session->attendances->filter(fn (Attendance $one): bool => ! $one->coming)->pluck('player_id')->all();
        $coming = $session->squad->players->whereNotIn('id', $missing)->modelKeys();

        return $this->evaluate($session->squad, PlanDraft::ofSession($session, array_values(array_map(intval(...), $coming))), $day, null);
    }

    /**
     * @param  list<Block>  $blocks  whose tries the chances of a good one go by
     *
     * @throws \FleetSparrow\Core\Exception\CoreException
     */
    public function context(Squad $squad, PlanDraft $draft, array $blocks, CalendarDate $day, ?int $coachId): PlanContext
    {
        $basis = $this->bases->of($squad, $day, $coachId);
        $tries = $this->quotaTries($squad, $blocks);
        $players = [];
        foreach (array_intersect_key($basis->strongFeet, array_flip($draft->comingPlayerIds)) as $id => $foot) {
            $players[] = new PlanPlayer((string) $id, $foot, $tries[$id] ?? [], $draft->availability($id));
        }

        return PlanContext::of(
            $players,
            $basis->knownDrills,
            $basis->rules,
            new KitOwned($squad->markers_owned, $squad->balls_owned, $squad->goals_owned),
            $squad->area(),
            $squad->headingLimit(),
            $draft->helpers,
            $basis->past,
            $draft->weather($squad->heat_care_celsius, $squad->heat_stop_celsius),
        );
    }

    /**
     * Good and poor tries of the squad in the plan's "only good ones count" blocks, from the tries each quota took
     * on the very same task.
     *
     * @param  list<Block>  $blocks
     * @return array<int, array<string, array{made: int, missed: int}>> player id → slug → tries
     */
    private function quotaTries(Squad $squad, array $blocks): array
    {
        $quotas = [];
        foreach ($blocks as $block) {
            if ($block->drill?->rule?->kind !== MarkKind::TriesForQuota || $block->dose === null) {
                continue;
            }
            foreach ([Side::Right, Side::Left, Side::Both, Side::Alternating] as $side) {
                $quotas[(string) $block->drill->recordLine($block->dose, $side)?->value] = [$block->drill->slug, (int) ($block->dose->window()['good'] ?? 0)];
            }
        }
        if ($quotas === []) {
            return [];
        }
        ksort($quotas);
        $what = 'tries.'.hash('xxh128', implode(' ', array_keys($quotas)));

        return $this->history->remember($squad->id, $what, fn (): array => $this->readTries($squad, $quotas));
    }

    /**
     * @param  array<string, array{string, int}>  $quotas  line key → slug and good ones
     * @return array<int, array<string, array{made: int, missed: int}>>
     */
    private function readTries(Squad $squad, array $quotas): array
    {
        // Two readings of one try count once, and by the more cautious: the greater number of tries.
        $byTry = Mark::query()->tap(Mark::standing(...))->toBase()->whereIn('player_id', Player::query()->where('squad_id', $squad->id)->select('id'))->whereIn('line_key', array_keys($quotas))
            ->groupBy('player_id', 'line_key', 'training_session_id', 'try_number')->havingRaw('max(is_void) = 0 and max(is_disputed) = 0')
            ->selectRaw('player_id, line_key, max(value) as tries');
        $rows = DB::query()->fromSub($byTry, 'tried')->groupBy('player_id', 'line_key')->selectRaw('player_id, line_key, count(*) as quotas, sum(tries) as tries')->get();
        $tries = [];
        foreach ($rows as $row) {
            [$slug, $good] = $quotas[(string) $row->line_key];
            $made = $good * (int) $row->quotas;
            $before = $tries[(int) $row->player_id][$slug] ?? ['made' => 0, 'missed' => 0];
            $tries[(int) $row->player_id][$slug] = ['made' => $before['made'] + $made, 'missed' => $before['missed'] + max(0, (int) $row->tries - $made)];
        }

        return $tries;
    }
}
