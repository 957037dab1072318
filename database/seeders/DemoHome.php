<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Actions\Home\AnswerPractice;
use App\Actions\Home\KeepRoutines;
use App\Actions\Home\OpenHomeLinks;
use App\Actions\Home\TakePractice;
use App\Models\HomeEntry;
use App\Models\Player;
use App\Models\Squad;
use App\Models\User;
use App\Planning\HomeWeek;
use App\Queries\HomeWeekQuery;
use App\Queries\RoutineQuery;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Shared\Uuid;
use LogicException;

/**
 * Practice at home of the made-up squad: Sunniva has done it for six weeks and climbs, Kofi now and then; what came this week waits for
 * the coach, with a digit too many in it.
 */
class DemoHome
{
    /** Player, days ago that are confirmed, days ago that wait. */
    private const PRACTISED = [
        ['Sunniva', [41, 38, 36, 34, 31, 29, 27, 24, 22, 20, 17, 15, 13, 10, 8], [3, 1]],
        ['Kofi', [30, 12], [2]],
        ['Bo', [], [1]],
    ];

    public function __construct(
        private readonly RoutineQuery $routines,
        private readonly KeepRoutines $keep,
        private readonly OpenHomeLinks $links,
        private readonly HomeWeekQuery $weeks,
        private readonly TakePractice $take,
        private readonly AnswerPractice $answer,
    ) {
    }

    public function run(Squad $squad, User $coach, ClubDay $day): void
    {
        $players = $squad->players->filter(fn (Player $one): bool => in_array($one->name, ['Sunniva', 'Kofi', 'Bo', 'Malia'], true));
        $ids = array_values(array_map(intval(...), $players->modelKeys()));
        $wishes = ['minutes' => 15, 'days' => 3, 'with' => 'juggle-alternating sole-taps'];
        $this->keep->keep($squad, $this->routines->of($squad, $ids, $wishes, $day), $coach, $day);
        $this->links->open($players, $coach);
        $weeks = $this->weeks->of($squad, $players);
        foreach (self::PRACTISED as [$name, $confirmed, $waiting]) {
            $player = $players->firstWhere('name', $name);
            if (! $player instanceof Player) {
                continue;
            }
            $this->practise($squad, $player, $weeks[$player->id], $confirmed, $day);
            $this->answer->answer($squad, $this->waiting($player), [], $coach, $day);
            $this->practise($squad, $player, $weeks[$player->id], $waiting, $day);
        }
    }

    /** @return list<string> */
    private function waiting(Player $player): array
    {
        return array_values(HomeEntry::query()->where('player_id', $player->id)->where('state', HomeEntry::WAITING)
            ->pluck('uuid')->map(strval(...))->all());
    }

    /** @param  list<int>  $daysAgo */
    private function practise(Squad $squad, Player $player, HomeWeek $week, array $daysAgo, ClubDay $day): void
    {
        $items = [];
        foreach ($daysAgo as $ago) {
            foreach (['sole-taps', 'juggle-alternating'] as $slug) {
                $items[] = [
                    'uuid' => self::uuid("{$player->name} {$ago} {$slug}"),
                    'drill' => $slug,
                    'on' => $day->today()->plusDays(-$ago)->iso(),
                    'felt' => ['right', 'hard', 'easy'][$ago % 3],
                    'numbers' => self::numbers($week, $slug, $player->name, $ago),
                ];
            }
        }
        $this->take->take($squad, $player, $items, $day->today(), $day, 'link', 'demo');
    }

    /** @return list<array{lineKey: string, value: int}> */
    private static function numbers(HomeWeek $week, string $slug, string $name, int $ago): array
    {
        $numbers = [];
        foreach ($week->days[0]->asks() as $asks) {
            foreach ($asks as $ask) {
                $line = $ask->blockId === $slug ? $week->lineOf($ask) : null;
                if ($line === null) {
                    continue;
                }
                // Climbs with the weeks; on Bo's one day a finger slipped.
                $value = match (true) {
                    $name === 'Bo' && $line->kind === MarkKind::LongestRun => 900,
                    $line->kind === MarkKind::LongestRun => 12 + intdiv(42 - $ago, 2) + $ago % 4,
                    default => 28 + intdiv(42 - $ago, 4) + $ago % 3,
                };
                $numbers[] = ['lineKey' => $line->line_key, 'value' => $value];
            }
        }

        return $numbers;
    }

    private static function uuid(string $of): string
    {
        $hex = hash('sha256', "home {$of}");
        $uuid = substr($hex, 0, 8).'-'.substr($hex, 8, 4).'-4'.substr($hex, 13, 3).'-a'.substr($hex, 17, 3).'-'.substr($hex, 20, 12);

        return Uuid::isOne($uuid) ? $uuid : throw new LogicException("No UUID: {$uuid}");
    }
}
