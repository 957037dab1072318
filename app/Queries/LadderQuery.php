<?php

declare(strict_types=1);

namespace App\Queries;

use App\Models\DrillVersion;
use App\Models\LadderVersion;
use App\Models\Player;
use App\Models\Squad;
use App\Planning\KeptLines;
use App\Planning\SquadHistory;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Ladder\Ladder;
use FleetSparrow\Core\Ladder\Rung;
use FleetSparrow\Core\Progress\AdviceAnswer;
use FleetSparrow\Core\Progress\LadderPlace;
use FleetSparrow\Core\Progress\RungReading;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Side;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Every ladder of the book with each player's place on it: two queries, whatever the number of players, and those for what changed. */
final class LadderQuery
{
    private const KEEP_SECONDS = 3600;

    public function __construct(private readonly SquadHistory $history)
    {
    }

    /**
     * @param  list<Player>|null  $players  null for everybody in the squad
     * @param  KeptLines|null  $lines  of the squad, where they have been asked for
     * @return list<array{ladder: Ladder, tasks: array<string, RungTask>, places: array<int, LadderPlace>}>  the tasks by drill
     */
    public function ladders(Squad $squad, ?array $players = null, ?KeptLines $lines = null): array
    {
        $lines ??= $this->history->lines($squad);
        $name = self::name($squad);
        ['ladders' => $ladders, 'tasks' => $tasks] = self::book($squad, $name);
        $players ??= $squad->players->all();
        $playerIds = array_values(array_map(static fn (Player $player): int => $player->id, $players));
        $of = "{$name}.".implode('.', $playerIds);
        $lineKeys = array_merge([], ...array_map(static fn (RungTask $task): array => array_values($task->keys), array_values($tasks)));
        $byLine = $lines->remember("rungs.{$of}", fn (?array $changed): array => self::values(
            $playerIds,
            $changed === null ? $lineKeys : array_values(array_intersect($lineKeys, $changed)),
        ));
        ['answers' => $answers, 'passes' => $passes] = $this->history->rememberAside($squad, "ladders.{$of}", static fn (): array => [
            'answers' => self::answers($playerIds),
            'passes' => self::passes($playerIds),
        ]);
        $values = [];
        foreach ($byLine as $key => $byPlayer) {
            foreach ($byPlayer as $playerId => $own) {
                $values[$playerId][$key] = $own;
            }
        }
        $found = [];
        foreach ($ladders as $ladder) {
            $places = [];
            $rungs = array_column($ladder->rungs, 'drill');
            foreach ($players as $player) {
                $places[$player->id] = LadderPlace::of(
                    array_map(
                        fn (Rung $rung): RungReading => self::reading(
                            $tasks[$rung->drill],
                            $rung,
                            $values[$player->id] ?? [],
                            $player,
                            $passes[$player->id][$rung->drill] ?? null,
                        ),
                        $ladder->rungs,
                    ),
                )->answered(self::answer($answers["{$player->id} {$ladder->slug}"] ?? null, $rungs));
            }
            $found[] = ['ladder' => $ladder, 'tasks' => $tasks, 'places' => $places];
        }

        return $found;
    }

    /** @return array<string, Drill> what the rungs are of, by slug */
    public function drills(Squad $squad): array
    {
        return self::written(self::name($squad))['drills'];
    }

    /** What the ladders are kept under for a squad: they change with the book alone. */
    private static function name(Squad $squad): string
    {
        $all = "group_concat(content_hash order by slug separator '')";
        $hashes = DB::query()
            ->selectSub(LadderVersion::query()->where('is_current', true)->selectRaw($all)->toBase(), 'ladders')
            ->selectSub(DrillVersion::ofTheBook()->where('is_current', true)->selectRaw($all)->toBase(), 'drills')
            ->first();

        return hash('xxh128', implode(' ', (array) $hashes)).".{$squad->age_group}.{$squad->ballSize()}";
    }

    /** @return array{ladders: list<Ladder>, tasks: array<string, RungTask>} as they are for a squad */
    private static function book(Squad $squad, string $name): array
    {
        return Cache::remember("ladders.{$name}", self::KEEP_SECONDS, static function () use ($squad, $name): array {
            ['ladders' => $ladders, 'drills' => $drills] = self::written($name);
            $age = AgeGroup::tryOf($squad->age_group);

            return [
                'ladders' => $age === null
                    ? $ladders
                    : array_map(static fn (Ladder $ladder): Ladder => $ladder->forAge($drills, $age), $ladders),
                'tasks' => array_map(static fn (Drill $drill): RungTask => RungTask::of($drill, $squad->ballSize()), $drills),
            ];
        });
    }

    /** @return array{ladders: list<Ladder>, drills: array<string, Drill>} as they are written, for no age */
    private static function written(string $name): array
    {
        return Cache::remember("written-ladders.{$name}", self::KEEP_SECONDS, static function (): array {
            $ladders = self::current();

            return ['ladders' => $ladders, 'drills' => self::rungs($ladders)];
        });
    }

    /** @return list<Ladder> as the book orders its families; within one by name */
    private static function current(): array
    {
        $ladders = array_values(
            LadderVersion::query()->where('is_current', true)->get()->map(fn (LadderVersion $version): Ladder => $version->ladder())->all(),
        );
        usort(
            $ladders,
            fn (Ladder $a, Ladder $b): int => [
                array_search($a->family, Family::cases(), true),
                $a->name,
            ] <=> [array_search($b->family, Family::cases(), true), $b->name],
        );

        return $ladders;
    }

    /**
     * @param  list<Ladder>  $ladders
     * @return array<string, Drill> by slug
     */
    private static function rungs(array $ladders): array
    {
        $slugs = array_merge([], ...array_map(static fn (Ladder $ladder): array => array_column($ladder->rungs, 'drill'), $ladders));

        return DrillVersion::ofTheBook()->where('is_current', true)->whereIn('slug', $slugs)->get()->keyBy('slug')
            ->map(fn (DrillVersion $version): Drill => $version->drill())->all();
    }

    /**
     * @param  array<string, list<float>>  $values  line → session values, oldest first
     * @param  array{looked: int, all: int}|null  $passes
     */
    private static function reading(RungTask $task, Rung $rung, array $values, Player $player, ?array $passes): RungReading
    {
        $bySide = [];
        foreach ($task->sidesFor($player->strong_foot) as $side) {
            $bySide[self::words($side)] = $values[$task->keys[$side->value]] ?? [];
        }

        return RungReading::of($bySide, $rung->criterion, $task->better, $passes);
    }

    /**
     * The last session values, which a rung looks at, and before them the highest and the lowest there were.
     *
     * @param  list<int>  $playerIds
     * @param  list<string>  $lineKeys
     * @return array<string, array<int, list<float>>> line → player → values, oldest first
     */
    private static function values(array $playerIds, array $lineKeys): array
    {
        if ($lineKeys === []) {
            return [];
        }
        $values = [];
        $rows = DB::table('line_days')->whereIn('player_id', Player::query()->whereKey($playerIds)->select('id'))
            ->whereIn('line_key', $lineKeys)->whereNotNull('best')->groupBy('player_id', 'line_key')
            ->selectRaw('player_id, line_key, count(*) as days, max(best) as highest, min(best) as lowest')
            ->selectRaw('group_concat(best order by on_day desc limit '.RungReading::SESSIONS.') as latest')->get();
        foreach ($rows as $row) {
            $latest = array_reverse(array_map(floatval(...), explode(',', (string) $row->latest)));
            $before = (int) $row->days > count($latest) ? [(float) $row->highest, (float) $row->lowest] : [];
            $values[(string) $row->line_key][(int) $row->player_id] = [...$before, ...$latest];
        }

        return $values;
    }

    /**
     * @param  list<int>  $playerIds
     * @return array<string, stdClass> player and ladder → what was said to its advice
     */
    private static function answers(array $playerIds): array
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
    private static function passes(array $playerIds): array
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
