<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Record\OpenRecordLines;
use App\Models\DrillVersion;
use App\Models\Player;
use App\Models\TrainingSession;
use App\Support\PlanDraft;
use App\Support\SquadHistory;
use FleetSparrow\Core\Plan\BlockKind;
use Illuminate\Support\Facades\DB;

/** Keeps a running order as the session's next version, with who is coming, and opens its record lines. */
final class KeepPlan
{
    public function __construct(private readonly OpenRecordLines $openRecordLines, private readonly SquadHistory $history)
    {
    }

    /** @param  array<string, mixed>  $header title, place, starts_at_utc, slot_minutes */
    public function keep(TrainingSession $session, array $header, PlanDraft $draft): TrainingSession
    {
        $versions = DrillVersion::query()->whereKey($draft->drillVersionIds())->get()->keyBy('id');
        $blocks = $draft->coreBlocks($versions);

        return DB::transaction(function () use ($session, $header, $draft, $blocks, $versions): TrainingSession {
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
                ]);
                if ($block->drill !== null && $block->dose !== null) {
                    $this->openRecordLines->open($block->drill, $block->dose);
                }
            }
            $this->keepAttendance($session, $draft->comingPlayerIds);
            $this->history->changed($session->squad_id);

            return $session->refresh();
        });
    }

    /** @param  list<int>  $comingPlayerIds */
    public function keepAttendance(TrainingSession $session, array $comingPlayerIds): void
    {
        foreach (Player::query()->where('squad_id', $session->squad_id)->pluck('id') as $playerId) {
            $session->attendances()->updateOrCreate(['player_id' => $playerId], ['coming' => in_array((int) $playerId, $comingPlayerIds, true)]);
        }
    }
}
