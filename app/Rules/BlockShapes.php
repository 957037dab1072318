<?php

declare(strict_types=1);

namespace App\Rules;

use Closure;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Plan\BlockKind;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * The shape of a plan's blocks, each fault under `blocks.N.field`. What the numbers may be, the core says.
 *
 * One rule in place of nine wildcard rules, which took the validator longer than the core takes for the whole plan.
 */
final class BlockShapes implements ValidationRule
{
    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $ids = [];
        foreach (array_values(is_array($value) ? $value : []) as $i => $block) {
            if (! is_array($block)) {
                $fail("{$attribute}.{$i}", 'A block is a list of fields.');

                continue;
            }
            foreach ($this->faults($block) as $field => $message) {
                $fail("{$attribute}.{$i}.{$field}", $message);
            }
            $id = $block['id'] ?? null;
            if (is_string($id) && isset($ids[$id])) {
                $fail("{$attribute}.{$i}.id", 'Two blocks have the same id.');
            }
            $ids[is_string($id) ? $id : ''] = true;
        }
    }

    /**
     * @param  array<array-key, mixed>  $block
     * @return array<string, string> field → message
     */
    private function faults(array $block): array
    {
        $id = $block['id'] ?? null;
        $kind = $block['kind'] ?? null;
        $title = $block['title'] ?? '';
        $minutes = $block['minutes'] ?? null;
        $tempo = $block['tempo'] ?? Tempo::Steady->value;

        return array_filter([
            'id' => is_string($id) && preg_match('/\A[A-Za-z0-9-]{1,40}\z/', $id) === 1
                ? ''
                : 'A block needs an id of letters, digits and hyphens.',
            'kind' => is_string($kind) && BlockKind::tryFrom($kind) !== null ? '' : 'A block is a drill, water, talk or a game.',
            'title' => is_string($title) && mb_strlen($title) <= 120 ? '' : 'At most 120 letters.',
            'minutes' => $minutes === null || is_int($minutes) || is_float($minutes) ? '' : 'Enter the minutes as a number.',
            'drillVersionId' => is_int($block['drillVersionId'] ?? 0) ? '' : 'Choose a drill from the book.',
            'dose' => is_array($block['dose'] ?? []) ? '' : 'A dose is a list of fields.',
            'tempo' => is_string($tempo) && Tempo::tryFrom($tempo) !== null ? '' : 'The tempo is learn, steady or match.',
            'links' => is_int($block['links'] ?? 0) ? '' : 'Links must be a whole number.',
            'together' => is_string($block['together'] ?? '') ? '' : 'A round of stations is named with letters, digits and hyphens.',
            'counted' => is_string($block['counted'] ?? '') ? '' : 'Choose which number is written down, or none.',
            'stationsWait' => is_bool($block['stationsWait'] ?? false) ? '' : 'Stations wait for each other or not.',
            'stations' => is_int($block['stations'] ?? 0) ? '' : 'Stations must be a whole number.',
        ]);
    }
}
