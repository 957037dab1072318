<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Models\RecordLine;
use App\OpenApi\Shape;
use FleetSparrow\Core\Record\Aim;
use FleetSparrow\Core\Record\Bounds;
use FleetSparrow\Core\Record\ClockStart;
use FleetSparrow\Core\Record\ClockStop;
use FleetSparrow\Core\Record\Condition;
use FleetSparrow\Core\Record\FaultCost;
use FleetSparrow\Core\Record\FaultKind;
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Record\Target;
use FleetSparrow\Core\Record\VoidReason;
use FleetSparrow\Core\Shared\LengthUnit;

/** A record line, and how one player stands on it. */
#[Shape('Line', [
    'key' => 'string', 'drillSlug' => 'string', 'drillName' => 'string', 'family' => 'string', 'side' => "'R'|'L'|'both'|'alternating'",
    'kind' => 'string', 'unit' => 'string', 'better' => "'higher'|'lower'",
    'step' => 'number', 'least' => 'number', 'most' => 'number', 'window' => 'string', 'rule' => 'LineRule',
])]
#[Shape('LineRule', ['starts?' => 'string', 'stops?' => 'string', 'countsOnlyIf?' => 'string', 'voids?' => 'string', 'fault?' => 'string'])]
#[Shape('LineDay', ['on' => 'date', 'best' => 'number', 'median' => 'number', 'tries' => 'int', 'openTries' => 'int'])]
#[Shape('LineRecord', ['on' => 'date', 'value' => 'number'])]
#[Shape('Target', ['value' => 'number', 'because' => 'string', 'chance' => 'number?', 'harder' => 'string?'])]
#[Shape('Standing', ['days' => 'LineDay[]', 'record' => 'LineRecord?', 'target' => 'Target?', 'openTries' => 'int'])]
final class LineResource
{
    /** @return array<string, mixed> */
    public static function line(RecordLine $line, LengthUnit $unit): array
    {
        $bounds = Bounds::of($line->kind, $line->task);

        return [
            'key' => $line->line_key,
            'drillSlug' => $line->drill_slug,
            'drillName' => $line->drill_name,
            'family' => $line->family,
            'side' => $line->side->value,
            'kind' => $line->kind->value,
            'unit' => $line->kind->unit(),
            'better' => $line->kind->better()->value,
            'step' => $line->kind->step(),
            'least' => $bounds->least,
            'most' => $bounds->most,
            'window' => self::window($line, $unit),
            'rule' => (object) self::rule(is_array($line->task['rule'] ?? null) ? $line->task['rule'] : []),
        ];
    }

    /**
     * @param  array<string, LineReading>  $readings  line key → reading
     * @param  array<string, Aim>  $aims  by line key
     * @return array<string, array<string, mixed>>
     */
    public static function standings(array $readings, array $aims, bool $withChance): array
    {
        $standings = [];
        foreach ($readings as $key => $reading) {
            $standings[$key] = self::standing($reading, Target::of($reading, $aims[$key]), $withChance);
        }

        return $standings;
    }

    /**
     * @param  bool  $withChance  whether the squad wants to see how likely a target is
     * @return array<string, mixed>
     */
    public static function standing(LineReading $reading, ?Target $target, bool $withChance): array
    {
        $record = $reading->recordDay();

        return [
            'days' => array_map(
                fn (SessionValue $day): array => [
                    'on' => $day->on->iso(),
                    'best' => $day->best,
                    'median' => $day->median,
                    'tries' => $day->tries,
                    'openTries' => $day->openTries,
                ],
                $reading->days,
            ),
            'record' => $record === null ? null : ['on' => $record->on->iso(), 'value' => $record->best],
            'target' => $target === null ? null : [
                'value' => $target->value,
                'because' => $target->because,
                'chance' => $withChance && $target->chance !== null ? round($target->chance, 2) : null,
                'harder' => $target->harder,
            ],
            'openTries' => array_sum($reading->openTries),
        ];
    }

    /**
     * The codes of a rule in words, as far as they say anything.
     *
     * @param  array<array-key, mixed>  $rule
     * @return array<string, string>
     */
    private static function rule(array $rule): array
    {
        $fault = is_array($rule['fault'] ?? null) ? $rule['fault'] : [];
        $said = fn (string $words): bool => $words !== '';
        $word = fn (mixed $value): string => is_string($value) ? $value : '';
        $codes = fn (mixed $list): array => array_filter(is_array($list) ? $list : [], is_string(...));

        return array_filter([
            'starts' => ClockStart::tryFrom($word($rule['starts'] ?? ''))?->words() ?? '',
            'stops' => ClockStop::tryFrom($word($rule['stops'] ?? ''))?->words() ?? '',
            'countsOnlyIf' => implode(
                ' ',
                array_map(fn (string $code): string => Condition::tryFrom($code)?->sentence() ?? '', $codes($rule['countsIf'] ?? [])),
            ),
            'voids' => implode(
                ' ',
                array_map(fn (string $code): string => VoidReason::tryFrom($code)?->sentence() ?? '', $codes($rule['voids'] ?? [])),
            ),
            'fault' => implode(': ', array_filter([
                FaultKind::tryFrom($word($fault['what'] ?? ''))?->words() ?? '',
                FaultCost::tryFrom($word($fault['costs'] ?? ''))?->words(
                    is_numeric($fault['milliseconds'] ?? null) ? $fault['milliseconds'] / 1000.0 : 0.0,
                ) ?? '',
            ], $said)),
        ], $said);
    }

    /** What tells this line from others of the same drill: window, level, spacing. */
    private static function window(RecordLine $line, LengthUnit $unit): string
    {
        $window = is_array($line->task['window'] ?? null) ? $line->task['window'] : [];
        $layout = is_array($line->task['layout'] ?? null) ? $line->task['layout'] : [];
        $level = is_int($layout['level'] ?? null) ? ", level {$layout['level']}" : '';
        $spacing = is_int($layout['spacing'] ?? null)
            ? sprintf(', %g %s apart', round($layout['spacing'] / $unit->tenthsOfMillimetre(), 2), $unit->value)
            : '';

        $of = fn (string $field): float => is_numeric($window[$field] ?? null) ? (float) $window[$field] : 0.0;

        return match ($window['kind'] ?? '') {
            'timed' => sprintf('in %g s', $of('workMilliseconds') / 1000.0),
            'reps' => sprintf('in %d reps', $of('reps')),
            'lengths' => sprintf('in %d lengths%s', $of('lengths'), $of('andBack') === 1.0 ? ' there and back' : ''),
            'quota' => sprintf('for %d good ones', $of('good')),
            'collective' => sprintf('to %d', $of('total')),
            'streak' => 'without a drop',
            'race' => $of('reps') === 1.0 ? 'once through' : sprintf('%d times through', $of('reps')),
            'tries' => $of('untilHit') === 1.0 ? 'to the first hit' : sprintf('of %d', $of('balls')),
            default => '',
        }.$level.$spacing;
    }
}
