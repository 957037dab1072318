<?php

declare(strict_types=1);

namespace App\Actions\Record;

use App\Models\TrainingSession;
use App\Models\User;
use App\Planning\SquadHistory;
use FleetSparrow\Core\Run\TouchWeight;

/** Takes single balls that were judged in a run: each once, in any order. */
final class TakeLooks
{
    private const TICKS = ['isAccurate' => 'is_accurate', 'isRightPace' => 'is_right_pace', 'isClean' => 'is_clean'];

    public function __construct(private readonly SquadHistory $history)
    {
    }

    /**
     * @param  list<mixed>  $items  whatever a device sent
     * @return list<array{index: int, uuid: string|null, status: string, code?: string, message?: string}>
     */
    public function take(TrainingSession $session, array $items, User $by): array
    {
        $slugs = $session->blocks()->with('drillVersion')->get()->map(fn ($block): ?string => $block->drillVersion?->slug)->filter()->all();
        $columns = fn (array $item): array => self::columns($item, $slugs) + ['looked_by' => $by->id];

        $results = NotedFields::keep('looks', $session, $items, $columns);
        // What is judged of a pass counts for moving on.
        $this->history->changed($session->squad_id, lineKeys: []);

        return $results;
    }

    /**
     * @param  array<mixed>  $item
     * @param  array<string>  $slugs  of the session's drills
     * @return array<string, mixed>
     *
     * @throws MarkRefused
     */
    private static function columns(array $item, array $slugs): array
    {
        if (! in_array($item['drillSlug'] ?? null, $slugs, true)) {
            throw new MarkRefused('drill', 'This drill is not in this session any more.');
        }
        $weight = is_string($item['weight'] ?? null) ? TouchWeight::tryFrom($item['weight']) : null;
        if (($item['weight'] ?? null) !== null && $weight === null) {
            throw new MarkRefused('weight', 'A first touch is short, right or away.');
        }
        $foot = $item['isFarFoot'] ?? null;
        if ($foot !== null && ($weight === null || ! is_bool($foot))) {
            throw new MarkRefused('foot', 'Which foot took it is said of a first touch: the far one or the near one.');
        }
        $ticks = [];
        foreach (self::TICKS as $field => $column) {
            $tick = $item[$field] ?? false;
            if (! is_bool($tick) || ($tick && $weight !== null)) {
                throw new MarkRefused('ticks', 'The three ticks are of a pass, each yes or no.');
            }
            $ticks[$column] = $tick;
        }

        return [
            'drill_slug' => $item['drillSlug'],
            'weight' => $weight?->value,
            'is_far_foot' => $foot,
            'looked_at_utc' => NotedFields::instant($item, 'lookedAt'),
        ] + $ticks;
    }
}
