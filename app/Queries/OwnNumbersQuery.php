<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\Player;
use App\Models\Squad;
use App\Planning\SquadHistory;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\OwnNumbers;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Shared\StrongFoot;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use stdClass;

/**
 * What a squad's own numbers say of the drills of a plan, each from the very same task: how many tries turned out good, from
 * quotas and runs, and how long a rep takes, from counts in a time and races. One query for all of it, over the days of the lines: what
 * two readings of a try come to is said there.
 */
final class OwnNumbersQuery
{
    public function __construct(private readonly SquadHistory $history)
    {
    }

    /**
     * @param  list<Block>  $blocks
     * @return array<int, array<string, OwnNumbers>> player id → slug → numbers
     */
    public function of(Squad $squad, array $blocks): array
    {
        $lines = self::lines($blocks, $squad->ballSize());
        $sums = $this->history->rememberEach(
            $squad,
            'own',
            array_keys($lines),
            fn (array $keys): array => $this->sums($squad, array_intersect_key($lines, array_flip($keys))),
        );
        $of = [];
        foreach ($lines as $key => ['slug' => $slug, 'kind' => $kind, 'scale' => $scale]) {
            foreach ($sums[$key] as $player => [$times, $total]) {
                $of[$player][$slug] = ($of[$player][$slug] ?? OwnNumbers::none())->and($kind, $scale, $times, $total);
            }
        }

        return $of;
    }

    /**
     * @param  list<Block>  $blocks
     * @return array<string, array{slug: string, kind: MarkKind, scale: float}> by line; the scale is good ones of a quota, seconds of a
     *     count, reps of a race
     */
    private static function lines(array $blocks, int $ballSize): array
    {
        $lines = [];
        foreach ($blocks as $block) {
            $kind = $block->drill?->rule?->kind;
            if ($block->drill === null || $block->dose === null || $kind === null) {
                continue;
            }
            $scale = OwnNumbers::scale($kind, $block->dose);
            $sides = $block->dose->sides();
            foreach ($scale > 0.0 ? array_unique(
                [...$sides->sidesFor(StrongFoot::Right), ...$sides->sidesFor(StrongFoot::Left)],
                SORT_REGULAR,
            ) : [] as $side) {
                $lines[(string) $block->drill->task($block->dose, $side, $ballSize)?->key] = [
                    'slug' => $block->drill->slug,
                    'kind' => $kind,
                    'scale' => $scale,
                ];
            }
        }
        unset($lines['']);
        ksort($lines);

        return $lines;
    }

    /**
     * @param  array<string, array{slug: string, kind: MarkKind, scale: float}>  $lines
     * @return array<string, array<int, array{int, float}>> line → player → how many tries or days, and what they add up to
     */
    private function sums(Squad $squad, array $lines): array
    {
        $sums = array_map(static fn (): array => [], $lines);
        foreach ($this->rows($squad, array_keys($lines)) as $row) {
            $medians = explode(',', (string) $row->medians);
            $sums[(string) $row->line_key][(int) $row->player_id] = OwnNumbers::isOfTries($lines[(string) $row->line_key]['kind'])
                ? [(int) $row->tries, (float) $row->total]
                : [count($medians), array_sum(array_map(floatval(...), $medians))];
        }

        return $sums;
    }

    /**
     * All tries that count, and the last days.
     *
     * @param  list<string>  $lineKeys
     * @return Collection<int, stdClass>
     */
    private function rows(Squad $squad, array $lineKeys): Collection
    {
        return DB::table('line_days')
            ->where('club_id', $squad->club_id)
            ->whereIn('player_id', Player::query()->where('squad_id', $squad->id)->select('id'))
            ->whereIn('line_key', $lineKeys)
            ->whereNotNull('median')
            ->groupBy('player_id', 'line_key')
            ->selectRaw('player_id, line_key, sum(tries) as tries, sum(total) as total')
            ->selectRaw('group_concat(median order by on_day desc limit '.OwnNumbers::DAYS.') as medians')
            ->get();
    }
}
