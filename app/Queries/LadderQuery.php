<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\DrillVersion;
use App\Models\LadderVersion;
use App\Models\Player;
use App\Models\Squad;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Ladder\Ladder;
use FleetSparrow\Core\Ladder\Rung;
use FleetSparrow\Core\Progress\AdviceAnswer;
use FleetSparrow\Core\Progress\LadderPlace;
use FleetSparrow\Core\Progress\RungReading;
use FleetSparrow\Core\Record\Better;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Side;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Every ladder of the book with each player's place on it: seven queries, whatever the number of players. */
final class LadderQuery
{
    private const KEEP_SECONDS = 3600;

    /**
     * @param  list<int>|null  $playerIds  null for everybody in the squad
     * @return list<array{ladder: Ladder, drills: array<string, Drill>, places: array<int, LadderPlace>}>
     */
    public function ladders(Squad $squad, ?array $playerIds = null): array
    {
        ['ladders' => $ladders, 'drills' => $drills, 'keys' => $keys] = $this->book($squad);
        $players = $playerIds === null ? $squad->players : $squad->players->whereIn('id', $playerIds);
        $playerIds = array_values(array_map(intval(...), $players->modelKeys()));
        $values = $this->values($playerIds, array_merge([], ...array_map(array_values(...), array_values($keys))));
        $answers = $this->answers($playerIds);
        $passes = $this->passes($playerIds);
        $found = [];
        foreach ($ladders as $ladder) {
            $places = [];
            $rungs = array_column($ladder->rungs, 'drill');
            foreach ($players as $player) {
                $places[$player->id] = LadderPlace::of(
                    array_map(
                        fn (Rung $rung): RungReading => self::reading(
                            $drills[$rung->drill],
                            $rung,
                            $keys[$rung->drill],
                            $values[$player->id] ?? [],
                            $player,
                            $passes[$player->id][$rung->drill] ?? null,
                        ),
                        $ladder->rungs,
                    ),
                )->answered(self::answer($answers["{$player->id} {$ladder->slug}"] ?? null, $rungs));
            }
            $found[] = ['ladder' => $ladder, 'drills' => $drills, 'places' => $places];
        }

        return $found;
    }

    /**
     * The ladders as they are for a squad, with what their rungs write to: kept, for it changes with the book alone.
     *
     * @return array{ladders: list<Ladder>, drills: array<string, Drill>, keys: array<string, array<string, string>>} drill → side → line
     */
    private function book(Squad $squad): array
    {
        $hashes = [
            ...LadderVersion::query()->where('is_current', true)->orderBy('slug')->pluck('content_hash')->all(),
            ...DrillVersion::ofTheBook()->where('is_current', true)->orderBy('slug')->pluck('content_hash')->all(),
        ];
        $name = hash('xxh128', implode(' ', $hashes)).".{$squad->age_group}.{$squad->ballSize()}";

        return Cache::remember("ladders.{$name}", self::KEEP_SECONDS, fn (): array => self::read($squad));
    }

    /** @return array{ladders: list<Ladder>, drills: array<string, Drill>, keys: array<string, array<string, string>>} */
    private static function read(Squad $squad): array
    {
        $ladders = array_values(
            LadderVersion::query()->where('is_current', true)->get()->map(fn (LadderVersion $version): Ladder => $version->ladder())->all(),
        );
        // As the book orders its families; within one by name.
        usort(
            $ladders,
            fn (Ladder $a, Ladder $b): int => [
                array_search($a->family, Family::cases(), true),
                $a->name,
            ] <=> [array_search($b->family, Family::cases(), true), $b->name],
        );
        $slugs = array_merge(
            [],
            ...array_map(fn (Ladder $ladder): array => array_map(fn (Rung $rung): string => $rung->drill, $ladder->rungs), $ladders),
        );
        $drills = DrillVersion::ofTheBook()
            ->where('is_current', true)
            ->whereIn('slug', $slugs)
            ->get()
            ->keyBy('slug')
            ->map(fn (DrillVersion $version): Drill => $version->drill())
            ->all();
        $age = AgeGroup::tryOf($squad->age_group);
        if ($age !== null) {
            $ladders = array_map(fn (Ladder $ladder): Ladder => $ladder->forAge($drills, $age), $ladders);
        }
        $keys = [];
        foreach ($drills as $slug => $drill) {
            $keys[$slug] = self::keys($drill, $squad->ballSize());
        }

        return ['ladders' => $ladders, 'drills' => $drills, 'keys' => $keys];
    }

    /**
     * The lines that the drill's own dose writes to.
     *
     * @return array<string, string> side → line key
     */
    private static function keys(Drill $drill, int $ballSize): array
    {
        $keys = [];
        foreach (Side::cases() as $side) {
            $keys[$side->value] = $drill->dose === null ? '' : (string) $drill->task($drill->dose, $side, $ballSize)?->key;
        }

        return $keys;
    }

    /**
     * @param  array<string, string>  $keys
     * @param  array<string, list<float>>  $values  line → session values, oldest first
     * @param  array{looked: int, all: int}|null  $passes
     */
    private static function reading(Drill $drill, Rung $rung, array $keys, array $values, Player $player, ?array $passes): RungReading
    {
        $bySide = [];
        foreach ($drill->dose?->sides()->sidesFor($player->strong_foot) ?? [Side::Both] as $side) {
            $bySide[self::words($side)] = $values[$keys[$side->value]] ?? [];
        }

        return RungReading::of($bySide, $rung->criterion, $drill->rule?->kind->better() ?? Better::Higher, $passes);
    }

    /**
     * The last session values, which a rung looks at, and before them the highest and the lowest there were.
     *
     * @param  list<int>  $playerIds
     * @param  list<string>  $lineKeys
     * @return array<int, array<string, list<float>>> player → line → values, oldest first
     */
    private function values(array $playerIds, array $lineKeys): array
    {
        $values = [];
        $rows = DB::table('line_days')->whereIn('player_id', Player::query()->whereKey($playerIds)->select('id'))
            ->whereIn('line_key', $lineKeys)->whereNotNull('best')->groupBy('player_id', 'line_key')
            ->selectRaw('player_id, line_key, count(*) as days, max(best) as highest, min(best) as lowest')
            ->selectRaw('group_concat(best order by on_day desc limit '.RungReading::SESSIONS.') as latest')->get();
        foreach ($rows as $row) {
            $latest = array_reverse(array_map(floatval(...), explode(',', (string) $row->latest)));
            $before = (int) $row->days > count($latest) ? [(float) $row->highest, (float) $row->lowest] : [];
            $values[(int) $row->player_id][(string) $row->line_key] = [...$before, ...$latest];
        }

        return $values;
    }

    /**
     * @param  list<int>  $playerIds
     * @return array<string, stdClass> player and ladder → what was said to its advice
     */
    private function answers(array $playerIds): array
    {
        return DB::table('advice_answers')->whereIn('player_id', $playerIds)->get()
            ->keyBy(static fn (stdClass $row): string => "{$row->player_id} {$row->ladder_slug}")->all();
    }

    /** @param  list<string>  $rungs  drills of the ladder; where its drill has left it, an answer holds no more */
    private static function answer(?stdClass $row, array $rungs): ?AdviceAnswer
    {
        $rung = $row === null ? false : array_search((string) $row->drill_slug, $rungs, true);

        return $row === null || $rung === false ? null : new AdviceAnswer($rung, $row->answer === 'yes', (string) $row->why);
    }

    /**
     * Passes that were looked at closely, of the last day of each drill.
     *
     * @param  list<int>  $playerIds
     * @return array<int, array<string, array{looked: int, all: int}>> player → drill → counts
     */
    private function passes(array $playerIds): array
    {
        $passes = [];
        $rows = DB::table('looks')->whereIn('player_id', $playerIds)->whereNull('weight')
            ->groupBy('player_id', 'drill_slug', 'training_session_id')
            ->selectRaw('player_id, drill_slug, count(*) as looked, sum(is_accurate and is_right_pace and is_clean) as clean')
            ->orderByRaw('max(looked_at_utc)')->get();
        foreach ($rows as $row) {
            $passes[(int) $row->player_id][(string) $row->drill_slug] = ['looked' => (int) $row->looked, 'all' => (int) $row->clean];
        }

        return $passes;
    }

    private static function words(Side $side): string
    {
        return match ($side) {
            Side::Right => 'right',
            Side::Left => 'left',
            Side::Both => 'both feet',
            Side::Alternating => 'feet in turn',
        };
    }
}
