<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Models\OwnDrill;
use App\Models\RecordLine;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\Tenancy\ClubContext;
use FleetSparrow\Core\Plan\Block;
use Illuminate\Support\Facades\DB;

/** Makes sure that the record lines a block can bring marks for are known, so that a mark from a phone finds its line. */
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
            $planned = $block->coreBlock();
            if ($planned !== null) {
                $this->open($planned, $squad->ballSize());
            }
        }
    }

    public function open(Block $block, int $ballSize): void
    {
        $drill = $block->drill;
        if ($drill === null) {
            return;
        }
        $isOwn = OwnDrill::isOwn($drill->slug);
        $names = [];
        foreach ($block->lines($ballSize) as $line) {
            $name = $line->itemName === null ? $drill->name : "{$drill->name}: {$line->itemName}";
            RecordLine::query()->firstOrCreate(['line_key' => $line->task->key], [
                'drill_slug' => $drill->slug,
                // A club's own word for it must not reach another club by way of a line they share.
                'drill_name' => $isOwn ? ucfirst(str_replace('-', ' ', $drill->family->value)).', a drill of one\'s own' : $name,
                'family' => $drill->family->value,
                'kind' => $line->kind,
                'side' => $line->side,
                'task' => $line->task->fields,
            ]);
            $names[] = [
                'club_id' => $this->context->clubId(),
                'line_key' => $line->task->key,
                'drill_slug' => $drill->slug,
                'drill_name' => $name,
            ];
        }
        if ($isOwn && $names !== []) {
            DB::table('club_line_names')->upsert($names, ['club_id', 'line_key'], ['drill_slug', 'drill_name']);
        }
    }
}
