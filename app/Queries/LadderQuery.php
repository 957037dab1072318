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
use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Side;
use Illuminate\Support\Facades\DB;
use stdClass;

/** Every ladder of the book with each player's place on it: seven queries, whatever the number of players. */
final class LadderQuery
{
    public function __construct(private readonly RecordQuery $records)
    {
    }

    /**
     * @param  list<int>|null  $playerIds  null for everybody in the squad
     * @return list<array{ladder: Ladder, drills: array<string, Drill>, places: array<int, LadderPlace>}>
     */
    public function ladders(Squad $squad, ?array $playerIds = null): array
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
        $players = $playerIds === null ? $squad->players : $squad->players->whereIn('id', $playerIds);
        $playerIds = array_values(array_map(intval(...), $players->modelKeys()));
        $readings = $this->records->readings($playerIds, array_merge([], ...array_map(array_values(...), array_values($keys))));
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
                            $readings[$player->id] ?? [],
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
     * @param  array<string, LineReading>  $readings
     * @param  array{looked: int, all: int}|null  $passes
     */
    private static function reading(Drill $drill, Rung $rung, array $keys, array $readings, Player $player, ?array $passes): RungReading
    {
        $bySide = [];
        foreach ($drill->dose?->sides()->sidesFor($player->strong_foot) ?? [Side::Both] as $side) {
            $days = isset($readings[$keys[$side->value]]) ? $readings[$keys[$side->value]]->days : [];
            $bySide[self::words($side)] = array_map(fn (SessionValue $day): float => $day->best, $days);
        }

        return RungReading::of($bySide, $rung->criterion, $drill->rule?->kind->better() ?? Better::Higher, $passes);
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
