<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Record\OpenRecordLines;
use App\Models\DrillVersion;
use App\Models\Player;
use App\Models\TrainingSession;
use App\Models\User;
use App\Support\AuditTrail;
use App\Support\PlanDraft;
use App\Support\SquadHistory;
use FleetSparrow\Core\Plan\BlockKind;
use Illuminate\Support\Facades\DB;

/** Keeps a running order as the session's next version, with who is coming, and opens its record lines. */
final class KeepPlan
{
    public function __construct(private readonly OpenRecordLines $openRecordLines, private readonly SquadHistory $history, private readonly AuditTrail $trail)
    {
    }

    /** @param  array<string, mixed>  $header title, place, starts_at_utc, slot_minutes */
    public function keep(TrainingSession $session, array $header, PlanDraft $draft, ?User $by): TrainingSession
    {
        $versions = DrillVersion::query()->whereKey($draft->drillVersionIds())->get()->keyBy('id');
        $blocks = $draft->coreBlocks($versions);

        return DB::transaction(function () use ($session, $header, $draft, $by, $blocks, $versions): TrainingSession {
            $session->fill($header);
            $session->version = $session->exists ? $session->version + 1 : 1;
            $session->save();
            $session->blocks()->delete();
            foreach ($blocks as $i => $block) {
                $fields = $draft->blocks[$i];
                $version = $block->drill === null ? null : $versions->get((int) ($fields['drillVersionId'] ?? 0));
                $session->blocks()->create([
                    'block_key' => $block->id,
                    'position' => $i,
                    'kind' => $block->kind,
                    'title' => ($fields['title'] ?? null) ?: ($version->name ?? ucfirst($block->kind->value)),
                    'minutes' => $block->kind === BlockKind::Drill ? null : $block->minutes,
                    'drill_version_id' => $version?->id,
                    'dose' => $block->dose?->fields(),
                    'tempo' => $block->kind === BlockKind::Drill ? $block->tempo : null,
                    'stations' => $block->stations,
                    'links' => $block->links,
                ]);
                if ($block->drill !== null && $block->dose !== null) {
                    $this->openRecordLines->open($block->drill, $block->dose);
                }
            }
            $this->keepAttendance($session, $draft->comingPlayerIds, $by);
            $this->history->changed($session->squad_id);

            return $session->refresh();
        });
    }

    /**
     * What is kept for the first time is nobody's change; what differs from before is noted.
     *
     * @param  list<int>  $comingPlayerIds
     */
    public function keepAttendance(TrainingSession $session, array $comingPlayerIds, ?User $by): void
    {
        $before = $session->attendances()->pluck('coming', 'player_id')->map(boolval(...))->all();
        $rows = [];
        $changes = [];
        foreach (Player::query()->where('squad_id', $session->squad_id)->pluck('id')->map(intval(...)) as $playerId) {
            $coming = in_array($playerId, $comingPlayerIds, true);
            $rows[] = ['club_id' => $session->club_id, 'training_session_id' => $session->id, 'player_id' => $playerId, 'coming' => $coming, 'created_at' => now(), 'updated_at' => now()];
            if (isset($before[$playerId]) && $before[$playerId] !== $coming) {
                $changes[] = ['action' => 'attendance.changed', 'squadId' => $session->squad_id, 'playerId' => $playerId, 'changes' => ['coming' => [$before[$playerId], $coming]]];
            }
        }
        $session->attendances()->toBase()->upsert($rows, ['training_session_id', 'player_id'], ['coming', 'updated_at']);
        $this->trail->noteAll($by, $changes);
    }
}
