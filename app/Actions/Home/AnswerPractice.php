<?php

declare(strict_types=1);

namespace App\Actions\Home;

use App\Actions\Record\LoadColumns;
use App\Actions\Record\ProjectLedger;
use App\Actions\Record\TakeMarks;
use App\Auth\AuditTrail;
use App\Models\HomeEntry;
use App\Models\Player;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\Models\User;
use App\Planning\DrillShelf;
use App\Planning\SquadHistory;
use App\Tenancy\ClubDay;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Home\HomeDay;
use FleetSparrow\Core\Home\RoutineDay;
use FleetSparrow\Core\Home\RoutineItem;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Season\SessionLoad;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Touch\Tally;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Facades\DB;
use Ramsey\Uuid\Uuid;

/**
 * A coach's word on what was practised at home. What is confirmed becomes marks that say they are from home, touches of the ledger, and
 * load; what is left out stays apart, and can be confirmed later.
 */
final class AnswerPractice
{
    private const TITLE = 'At home';

    public function __construct(
        private readonly TakeMarks $marks,
        private readonly ProjectLedger $ledger,
        private readonly DrillShelf $shelf,
        private readonly SquadHistory $history,
        private readonly AuditTrail $trail,
    ) {
    }

    /**
     * @param  list<string>  $confirm  uuids of entries of the squad; others are passed over
     * @param  list<string>  $leaveOut  the same
     * @return int how many were confirmed
     */
    public function answer(Squad $squad, array $confirm, array $leaveOut, User $by, ClubDay $day): int
    {
        return DB::transaction(function () use ($squad, $confirm, $leaveOut, $by, $day): int {
            $this->history->hold([$squad->id]);
            HomeEntry::query()->whereKey($this->open($squad, $leaveOut)->modelKeys())->update(['state' => HomeEntry::LEFT_OUT]);
            $entries = $this->open($squad, $confirm);
            foreach ($entries->groupBy(static fn (HomeEntry $one): string => $one->practised_on->format('Y-m-d')) as $on => $some) {
                $this->confirm($squad, CalendarDate::fromIso((string) $on), $some, $by, $day);
            }
            $this->trail->noteAll($by, array_values($entries->unique('player_id')->map(static fn (HomeEntry $one): array => [
                'action' => 'home.confirmed', 'squadId' => $squad->id, 'playerId' => $one->player_id, 'changes' => [],
            ])->all()));
            $this->history->changed($squad->id);

            return $entries->count();
        }, attempts: 3);
    }

    /**
     * @param  list<string>  $uuids
     * @return Collection<int, HomeEntry> that no coach has confirmed yet
     */
    private function open(Squad $squad, array $uuids): Collection
    {
        return HomeEntry::query()->whereKey($uuids)->whereIn('player_id', $squad->players->modelKeys())
            ->where('state', '!=', HomeEntry::CONFIRMED)->orderBy('practised_on')->orderBy('uuid')->lockForUpdate()->get();
    }

    /** @param  Collection<int, HomeEntry>  $entries  of one day */
    private function confirm(Squad $squad, CalendarDate $on, Collection $entries, User $by, ClubDay $day): void
    {
        $session = $this->session($squad, $on, $day);
        $players = $squad->players->keyBy('id');
        $marks = [];
        HomeEntry::query()->whereKey($entries->modelKeys())->update(['state' => HomeEntry::CONFIRMED]);
        foreach ($entries->groupBy('player_id') as $playerId => $own) {
            $player = $players->get((int) $playerId);
            if ($player !== null) {
                $this->keepLoad($squad, $session, $player, $on);
                array_push($marks, ...$this->marksOf($session, $player, $own, $on));
            }
        }
        $this->marks->take($marks, $by);
    }

    /** One for the squad and day, with nobody's attendance: who practises at home did not come to anything. */
    private function session(Squad $squad, CalendarDate $on, ClubDay $day): TrainingSession
    {
        $at = $day->instant("{$on->iso()}T12:00");
        $known = TrainingSession::query()->where('squad_id', $squad->id)->where('is_home', true)->where('starts_at_utc', $at)->first();
        if ($known !== null) {
            return $known;
        }
        $session = new TrainingSession(['squad_id' => $squad->id, 'title' => self::TITLE, 'place' => '', 'slot_minutes' => 20]);
        $session->forceFill(['is_home' => true, 'starts_at_utc' => $at, 'run_started_at_utc' => $at, 'run_finished_at_utc' => $at])->save();

        return $session;
    }

    /** Touches and load of all that was confirmed of a player on a day: said again, it stays the same. */
    private function keepLoad(Squad $squad, TrainingSession $session, Player $player, CalendarDate $on): void
    {
        $done = HomeEntry::query()->where('player_id', $player->id)->where('practised_on', $on->iso())
            ->where('state', HomeEntry::CONFIRMED)->orderBy('uuid')->get()->unique('drill_slug');
        $items = $this->items($squad, $done);
        $worked = HomeDay::of(new RoutineDay(1, false, $items, 0.0), new PlanPlayer($player->id, $player->strong_foot), new Memo)->worked;
        foreach ($items as $i => $item) {
            $this->ledger->keepAtHome($session, $player, $item, $worked[$i]);
        }
        $all = Tally::sum(array_map(static fn ($block): Tally => $block->touches[$player->id], $worked));
        $columns = LoadColumns::of(SessionLoad::of($all, $player->strong_foot));
        DB::table('session_loads')->upsert([[
            'club_id' => $player->club_id,
            'training_session_id' => $session->id,
            'player_id' => $player->id,
            'keeper_turns' => 0,
            'server_turns' => 0,
        ] + $columns], ['training_session_id', 'player_id'], array_keys($columns));
    }

    /**
     * @param  iterable<HomeEntry>  $entries
     * @return list<RoutineItem> without those whose drill was taken out of the book
     */
    private function items(Squad $squad, iterable $entries): array
    {
        $tasks = [];
        foreach ($entries as $entry) {
            $tasks[] = $entry->task;
        }
        $drills = $this->shelf->drills($squad, array_values(array_unique(array_column($tasks, 'version'))));
        $items = [];
        foreach ($tasks as ['version' => $version, 'links' => $links, 'dose' => $dose]) {
            $drill = $drills[$version] ?? null;
            if ($drill instanceof Drill) {
                $items[] = new RoutineItem($drill, $drill->doseFrom($dose), $links, 0.0, [], null);
            }
        }

        return $items;
    }

    /**
     * Each number as a mark, the tries counted on from those there are. A mark is named after its entry: confirmed twice, it is one.
     *
     * @param  Collection<int, HomeEntry>  $entries  of one player and day
     * @return list<array<string, mixed>>
     */
    private function marksOf(TrainingSession $session, Player $player, Collection $entries, CalendarDate $on): array
    {
        $tries = DB::table('marks')->where('training_session_id', $session->id)->where('player_id', $player->id)->groupBy('line_key')
            ->selectRaw('line_key, max(try_number) as tries')->pluck('tries', 'line_key')
            ->map(static fn (mixed $tries): int => (int) $tries)->all();
        $marks = [];
        foreach ($entries as $entry) {
            foreach ($entry->numbers as $number) {
                $key = $number['lineKey'];
                $marks[] = [
                    'uuid' => Uuid::uuid5($entry->uuid, $key)->toString(),
                    'playerId' => $player->id,
                    'sessionId' => $session->id,
                    'lineKey' => $key,
                    'tryNumber' => $tries[$key] = ($tries[$key] ?? 0) + 1,
                    'value' => (float) $number['value'],
                    'isVoid' => false,
                    'countedBy' => 'self',
                    'recordedAt' => "{$on->iso()}T12:00:00Z",
                    'supersedesUuids' => [],
                    'parts' => $number['parts'],
                ];
            }
        }

        return $marks;
    }
}
