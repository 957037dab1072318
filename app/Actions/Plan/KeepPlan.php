<?php

declare(strict_types=1);

namespace App\Actions\Plan;

use App\Actions\Record\OpenRecordLines;
use App\Actions\StaleVersion;
use App\Auth\AuditTrail;
use App\Models\DrillVersion;
use App\Models\Player;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\Models\User;
use App\Planning\PlanDraft;
use App\Planning\SquadHistory;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Plan\Availability;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Shared\Warning;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;

/** Keeps a running order as the session's next version, with who is coming, and opens its record lines. */
final class KeepPlan
{
    public function __construct(
        private readonly OpenRecordLines $openRecordLines,
        private readonly SquadHistory $history,
        private readonly AuditTrail $trail,
    ) {
    }

    /**
     * @param  array<string, mixed>  $header title, place, starts_at_utc, slot_minutes
     * @param  list<array{blockId: string|null, warning: Warning}>  $barred  what a caution forbids in it
     * @param  int|null  $version  of the plan that was changed; null for a new one
     *
     * @throws ValidationException If something barred comes without a reason.
     * @throws StaleVersion If the plan was changed meanwhile.
     */
    public function keep(
        TrainingSession $session,
        array $header,
        PlanDraft $draft,
        ?User $by,
        array $barred = [],
        ?int $version = null,
    ): TrainingSession {
        self::reasons($draft, $barred);
        $squad = Squad::query()->findOrFail($session->squad_id);
        $versions = DrillVersion::openTo($squad)->whereKey($draft->drillVersionIds())->get()->keyBy('id');
        $blocks = $draft->coreBlocks($versions->map(fn (DrillVersion $version): Drill => $version->drill())->all());

        return DB::transaction(function () use ($session, $header, $draft, $by, $barred, $version, $blocks, $versions): TrainingSession {
            $this->history->hold([$session->squad_id]);
            if ($session->exists) {
                // Compared and written in one step: of two who save at once, one wins.
                $session = TrainingSession::query()->whereKey($session->id)->lockForUpdate()->firstOrFail();
                StaleVersion::refuse('plan', $version ?? $session->version, $session->version);
            }
            $session->fill(
                $header + [
                    'helpers' => $draft->helpers,
                    'is_laid_before' => $draft->isLaidBefore,
                    'is_hot' => $draft->heat['isHot'],
                    'temperature_celsius' => $draft->heat['temperatureCelsius'],
                    'humidity_percent' => $draft->heat['humidityPercent'],
                ],
            );
            $session->version = $session->exists ? $session->version + 1 : 1;
            $session->save();
            $session->blocks()->delete();
            foreach ($blocks as $i => $block) {
                $fields = $draft->blocks[$i];
                $drill = $block->drill === null ? null : $versions->get((int) ($fields['drillVersionId'] ?? 0));
                $session->blocks()->create([
                    'block_key' => $block->id,
                    'position' => $i,
                    'kind' => $block->kind,
                    'title' => is_string($fields['title'] ?? null) && $fields['title'] !== ''
                        ? $fields['title']
                        : ($drill->name ?? ucfirst($block->kind->value)),
                    'minutes' => $block->kind === BlockKind::Drill ? null : $block->minutes,
                    'drill_version_id' => $drill?->id,
                    'dose' => $block->dose?->fields(),
                    'tempo' => $block->kind === BlockKind::Drill ? $block->tempo : null,
                    'stations' => $block->stations,
                    'links' => $block->links,
                    'together' => $block->together,
                    'do_stations_wait' => $block->stationsWait,
                    'counted' => $block->counted?->name(),
                ]);
                $this->openRecordLines->open($block, $session->squad->ballSize());
            }
            $this->keepAttendance($session, $draft->comingPlayerIds, $by);
            $this->keepAvailability($session, $draft);
            $this->keepOverrides($session, $draft, $barred, $by);
            $this->history->changed($session->squad_id, lineKeys: []);

            return $session->refresh();
        }, attempts: 3);
    }

    /** Who may do what today; everything, where nothing else is said. */
    private function keepAvailability(TrainingSession $session, PlanDraft $draft): void
    {
        $session->attendances()->where('may', '!=', Availability::Everything->value)->update(['may' => Availability::Everything->value]);
        foreach ($draft->may as $playerId => $may) {
            $session->attendances()->where('player_id', $playerId)->update(['may' => $may]);
        }
    }

    /**
     * What is let stand although it is barred: with the reason, and who said so first. A caution that is gone takes its reason with it.
     *
     * @param  list<array{blockId: string|null, warning: Warning}>  $barred
     *
     * @throws ValidationException If something barred comes without a reason.
     */
    private function keepOverrides(TrainingSession $session, PlanDraft $draft, array $barred, ?User $by): void
    {
        $kept = [];
        foreach (self::reasons($draft, $barred) as ['blockId' => $blockId, 'warning' => $warning, 'reason' => $reason]) {
            $kept[] = $session->overrides()->firstOrCreate(
                ['block_key' => $blockId, 'code' => $warning->code, 'reason' => $reason],
                ['sentence' => mb_substr($warning->sentence, 0, 400), 'overridden_by' => $by?->id],
            )->getKey();
        }
        $session->overrides()->whereKeyNot($kept)->delete();
    }

    /**
     * @param  list<array{blockId: string|null, warning: Warning}>  $barred
     * @return list<array{blockId: string|null, warning: Warning, reason: string}>
     *
     * @throws ValidationException
     */
    private static function reasons(PlanDraft $draft, array $barred): array
    {
        $positions = array_flip(
            array_map(fn (array $block): string => is_string($block['id'] ?? null) ? $block['id'] : '', $draft->blocks),
        );
        $reasons = [];
        $faults = [];
        foreach ($barred as ['blockId' => $blockId, 'warning' => $warning]) {
            $given = array_values(
                array_filter($draft->overrides, fn (array $one): bool => $one['blockId'] === $blockId && $one['code'] === $warning->code),
            );
            if ($given === []) {
                $path = $blockId === null ? 'overrides' : 'blocks.'.($positions[$blockId] ?? 0).'.override';
                $faults[$path][] = $warning->sentence.' Take it out, or say why it stands.';

                continue;
            }
            $reasons[] = ['blockId' => $blockId, 'warning' => $warning, 'reason' => $given[0]['reason']];
        }

        return $faults === [] ? $reasons : throw ValidationException::withMessages($faults);
    }

    /** @param  list<int>  $comingPlayerIds */
    public function changeAttendance(TrainingSession $session, array $comingPlayerIds, ?User $by): void
    {
        DB::transaction(function () use ($session, $comingPlayerIds, $by): void {
            $this->history->hold([$session->squad_id]);
            $this->keepAttendance($session, $comingPlayerIds, $by);
            $this->history->changed($session->squad_id, lineKeys: []);
        }, attempts: 3);
    }

    /**
     * What is kept for the first time is nobody's change; what differs from before is noted.
     *
     * @param  list<int>  $comingPlayerIds
     */
    private function keepAttendance(TrainingSession $session, array $comingPlayerIds, ?User $by): void
    {
        $before = $session->attendances()->pluck('coming', 'player_id')->map(boolval(...))->all();
        $rows = [];
        $changes = [];
        foreach (Player::query()->where('squad_id', $session->squad_id)->pluck('id')->map(intval(...)) as $playerId) {
            $coming = in_array($playerId, $comingPlayerIds, true);
            $rows[] = [
                'club_id' => $session->club_id,
                'training_session_id' => $session->id,
                'player_id' => $playerId,
                'coming' => $coming,
                'created_at' => now(),
                'updated_at' => now(),
            ];
            if (isset($before[$playerId]) && $before[$playerId] !== $coming) {
                $changes[] = [
                    'action' => 'attendance.changed',
                    'squadId' => $session->squad_id,
                    'playerId' => $playerId,
                    'changes' => ['coming' => [$before[$playerId], $coming]],
                ];
            }
        }
        $session->attendances()->toBase()->upsert($rows, ['training_session_id', 'player_id'], ['coming', 'updated_at']);
        $this->trail->noteAll($by, $changes);
    }
}
