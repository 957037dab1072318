<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\RecordLine;
use App\OpenApi\Shape;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Record\Target;
use FleetSparrow\Core\Record\TargetSchool;
use FleetSparrow\Core\Shared\LengthUnit;

/** A record line, and how one player stands on it. */
#[Shape('Line', [
    'key' => 'string', 'drillSlug' => 'string', 'drillName' => 'string', 'family' => 'string', 'side' => "'R'|'L'|'both'|'alternating'", 'unit' => 'string', 'better' => "'higher'|'lower'",
    'step' => 'number', 'least' => 'number', 'most' => 'number', 'window' => 'string', 'rule' => 'string{}',
])]
#[Shape('LineDay', ['on' => 'date', 'best' => 'number', 'median' => 'number', 'tries' => 'int', 'openTries' => 'int'])]
#[Shape('LineRecord', ['on' => 'date', 'value' => 'number'])]
#[Shape('Target', ['value' => 'number', 'because' => 'string'])]
#[Shape('Standing', ['days' => 'LineDay[]', 'record' => 'LineRecord?', 'target' => 'Target?', 'openTries' => 'int'])]
#[Shape('PlayerLine', ['line' => 'Line'], extends: 'Standing')]
#[Shape('PlayerPage', ['squadId' => 'int', 'squadName' => 'string', 'lines' => 'PlayerLine[]'], extends: 'Player')]
#[Shape('SquadBoard', ['id' => 'int', 'name' => 'string', 'ageGroup' => 'string', 'today' => 'date', 'players' => 'Player[]', 'lines' => 'Line[]', 'standings' => 'Standing{}{}'])]
final class LineResource
{
    /** @return array<string, mixed> */
    public static function line(RecordLine $line, LengthUnit $unit): array
    {
        return [
            'key' => $line->line_key,
            'drillSlug' => $line->drill_slug,
            'drillName' => $line->drill_name,
            'family' => $line->family,
            'side' => $line->side->value,
            'unit' => $line->kind->unit(),
            'better' => $line->kind->better()->value,
            'step' => $line->kind->step(),
            'least' => $line->kind->least(),
            'most' => $line->kind->most(),
            'window' => self::window($line, $unit),
            'rule' => $line->task['rule'] ?? [],
        ];
    }

    /** @return array<string, mixed> */
    public static function standing(LineReading $reading, TargetSchool $school): array
    {
        $record = $reading->recordDay();
        $target = Target::of($reading, $school);

        return [
            'days' => array_map(fn (SessionValue $day): array => ['on' => $day->on->iso(), 'best' => $day->best, 'median' => $day->median, 'tries' => $day->tries, 'openTries' => $day->openTries], $reading->days),
            'record' => $record === null ? null : ['on' => $record->on->iso(), 'value' => $record->best],
            'target' => $target === null ? null : ['value' => $target->value, 'because' => $target->because],
            'openTries' => array_sum($reading->openTries),
        ];
    }

    /** What tells this line from others of the same drill: window, level, spacing. */
    private static function window(RecordLine $line, LengthUnit $unit): string
    {
        $window = is_array($line->task['window'] ?? null) ? $line->task['window'] : [];
        $layout = is_array($line->task['layout'] ?? null) ? $line->task['layout'] : [];
        $level = is_int($layout['level'] ?? null) ? ", level {$layout['level']}" : '';
        $spacing = is_int($layout['spacing'] ?? null) ? sprintf(', %g %s apart', round($layout['spacing'] / $unit->tenthsOfMillimetre(), 2), $unit->value) : '';

        return match ($window['kind'] ?? '') {
            'timed' => sprintf('in %g s', is_numeric($window['workSeconds'] ?? null) ? $window['workSeconds'] : 0),
            'quota' => sprintf('for %d good ones', is_numeric($window['good'] ?? null) ? $window['good'] : 0),
            'race' => ($window['reps'] ?? 1) === 1 ? 'once through' : sprintf('%d times through', is_numeric($window['reps'] ?? null) ? $window['reps'] : 0),
            'lengths' => sprintf('in %d lengths%s', is_numeric($window['lengths'] ?? null) ? $window['lengths'] : 0, ($window['andBack'] ?? 0) === 1 ? ' there and back' : ''),
            'collective' => sprintf('to %d', is_numeric($window['total'] ?? null) ? $window['total'] : 0),
            'streak' => sprintf('at most %d', is_numeric($window['goal'] ?? null) ? $window['goal'] : 0),
            'tries' => ($window['untilHit'] ?? 0) === 1 ? sprintf('in at most %d', is_numeric($window['balls'] ?? null) ? $window['balls'] : 0) : sprintf('of %d', is_numeric($window['balls'] ?? null) ? $window['balls'] : 0),
            'reps' => sprintf('in %d reps', is_numeric($window['reps'] ?? null) ? $window['reps'] : 0),
            default => '',
        }.$level.$spacing;
    }
}
