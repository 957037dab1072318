<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\DrillVersion;
use App\Models\Mark;
use App\Models\Player;
use App\Models\Squad;
use App\Support\PlanDraft;
use App\Support\SquadHistory;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\ClockRules;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanEvaluation;
use FleetSparrow\Core\Plan\PlanEvaluator;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Shared\Side;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;

/** Evaluates a running order for a squad: a fixed number of queries, whatever the number of players. */
final class PlanEvaluationQuery
{
    public function __construct(private readonly SquadHistory $history)
    {
    }

    /**
     * @throws \Illuminate\Validation\ValidationException
     * @throws \FleetSparrow\Core\Exception\CoreException
     */
    public function evaluate(Squad $squad, PlanDraft $draft): PlanEvaluation
    {
        $versions = DrillVersion::query()->whereKey($draft->drillVersionIds())->get()->keyBy('id');
        $blocks = $draft->coreBlocks($versions);
        $players = Player::query()->where('squad_id', $squad->id)->whereKey($draft->comingPlayerIds)->orderBy('name')->get();
        $tries = $this->quotaTries($squad, $blocks);

        return PlanEvaluator::evaluate($blocks, PlanContext::of(
            array_values($players->map(fn (Player $player): PlanPlayer => new PlanPlayer((string) $player->id, $player->strong_foot, $tries[$player->id] ?? []))->all()),
            $this->history->remember($squad->id, 'known', fn (): array => $this->knownDrills($squad)),
            new ClockRules,
            new KitOwned($squad->markers_owned, $squad->balls_owned, $squad->goals_owned),
            $squad->area(),
            $squad->headingLimit(),
        ), $draft->slotMinutes * 60.0);
    }

    /** @return list<string> slugs done in the squad's last sessions that were run */
    private function knownDrills(Squad $squad): array
    {
        $lately = $squad->trainingSessions()->whereNotNull('run_finished_at_utc')
            ->orderByDesc('starts_at_utc')->limit(Config::integer('training.known_within_sessions'))->select('id');

        /** @var list<string> $slugs */
        $slugs = DB::table('session_blocks')
            ->joinSub($lately, 'lately', 'lately.id', '=', 'session_blocks.training_session_id')
            ->join('drill_versions', 'drill_versions.id', '=', 'session_blocks.drill_version_id')
            ->distinct()->pluck('drill_versions.slug')->all();

        return $slugs;
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
