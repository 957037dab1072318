<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Models\OwnDrill;
use App\Models\RecordLine;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\Tenancy\ClubContext;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Shared\Side;
use Illuminate\Support\Facades\DB;

/** Makes sure that the record lines a drill's dose can bring marks for are known, so that a mark from a phone finds its line. */
final class OpenRecordLines
{
    public function __construct(private readonly ClubContext $context)
    {
    }

    /** Those of sessions that lie ahead, when the squad's ball has changed. */
    public function ahead(Squad $squad): void
    {
        $sessions = $squad->trainingSessions()->whereNull('run_finished_at_utc')->with('blocks.drillVersion')->get();
        foreach ($sessions->flatMap(fn (TrainingSession $session): array => $session->blocks->all()) as $block) {
            $drill = $block->drillVersion?->drill();
            if ($drill !== null && ($block->dose !== null || $drill->dose !== null)) {
                $this->open($drill, $drill->doseFrom($block->dose), $squad->ballSize());
            }
        }
    }

    public function open(Drill $drill, Dose $dose, int $ballSize): void
    {
        if ($drill->rule === null) {
            return;
        }
        $isOwn = OwnDrill::isOwn($drill->slug);
        $names = [];
        foreach (Side::cases() as $side) {
            $task = $drill->task($dose, $side, $ballSize);
            if ($task === null) {
                continue;
            }
            RecordLine::query()->firstOrCreate(['line_key' => $task->key], [
                'drill_slug' => $drill->slug,
                // A club's own word for it must not reach another club by way of a line they share.
                'drill_name' => $isOwn ? ucfirst(str_replace('-', ' ', $drill->family->value)).', a drill of one\'s own' : $drill->name,
                'family' => $drill->family->value,
                'kind' => $drill->rule->kind,
                'side' => $side,
                'task' => $task->fields,
            ]);
            $names[] = [
                'club_id' => $this->context->clubId(),
                'line_key' => $task->key,
                'drill_slug' => $drill->slug,
                'drill_name' => $drill->name,
            ];
        }
        if ($isOwn) {
            DB::table('club_line_names')->upsert($names, ['club_id', 'line_key'], ['drill_slug', 'drill_name']);
        }
    }
}
