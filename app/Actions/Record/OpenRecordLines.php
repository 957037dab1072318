<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Models\RecordLine;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Shared\Side;

/** Makes sure that the record lines a drill's dose can bring marks for are known, so that a mark from a phone finds its line. */
final class OpenRecordLines
{
    public function open(Drill $drill, Dose $dose): void
    {
        if ($drill->rule === null) {
            return;
        }
        foreach (Side::cases() as $side) {
            $key = $drill->recordLine($dose, $side);
            if ($key === null) {
                continue;
            }
            RecordLine::query()->firstOrCreate(['line_key' => $key->value], [
                'drill_slug' => $drill->slug,
                'drill_name' => $drill->name,
                'family' => $drill->family->value,
                'kind' => $drill->rule->kind,
                'side' => $side,
                'task' => $key->task,
            ]);
        }
    }
}
