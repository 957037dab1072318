<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\Way\Game;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Tally;
use WeakMap;

/** What players touch, spell by spell: a fold over who works when. Session, block and ribbon are sums of the same. */
final class Touching
{
    /** @var array<int, float> player → reps of one go of a dose that the work ends */
    private array $repsOfGo = [];

    /** @var WeakMap<Spell, list<array{int|null, string|null, array<int, float>}>> asked by whoever adds up and by the ribbon */
    private readonly WeakMap $done;

    /**
     * @param  float|null  $limitSeconds  when a go is stopped
     * @param  array<int, PlanPlayer>  $players  by id
     * @param  array<int, Pace>  $paces  player → pace while working
     */
    public function __construct(
        private readonly Drill $drill,
        private readonly Dose $dose,
        private readonly ?float $limitSeconds,
        private readonly array $players,
        private readonly array $paces,
        private readonly Memo $memo,
    ) {
        $this->done = new WeakMap;
    }

    /**
     * @param  list<Spell>  $spells
     * @return array<int, Tally> player → touches of all of them
     */
    public function of(array $spells): array
    {
        $reps = array_fill_keys(array_keys($this->players), []);
        foreach ($spells as $spell) {
            foreach ($spell->kind === SegmentKind::Work ? $this->done($spell) : [] as [$item, $side, $counts]) {
                $what = [];
                foreach ($counts as $player => $count) {
                    $foot = $this->players[$player]->strongFoot;
                    $of = $what[$foot->value] ??= "{$item} ".self::side($side, $foot)->value;
                    $reps[$player][$of] = ($reps[$player][$of] ?? 0.0) + $count;
                }
            }
        }

        return array_map(fn (array $own): Tally => $this->memo->of(
            "touches {$this->drill->slug} ".json_encode($own),
            fn (): Tally => $this->sum($own),
        ), $reps);
    }

    /**
     * Of one worker on average in a spell.
     *
     * @return array{float, float} left and right
     */
    public function perWorker(Spell $spell): array
    {
        [$left, $right, $workers] = [0.0, 0.0, 0];
        foreach ($this->done($spell) as [$item, $name, $counts]) {
            $workers = count($counts);
            $ofFoot = [];
            foreach ($counts as $player => $count) {
                $foot = $this->players[$player]->strongFoot->value;
                $ofFoot[$foot] = ($ofFoot[$foot] ?? 0.0) + $count;
            }
            foreach ($ofFoot as $foot => $count) {
                [$ofLeft, $ofRight] = $this->feet($item, self::side($name, StrongFoot::from($foot)));
                [$left, $right] = [$left + $count * $ofLeft, $right + $count * $ofRight];
            }
        }

        return $workers === 0 ? [0.0, 0.0] : [$left / $workers, $right / $workers];
    }

    /** @return list<array{int|null, string|null, array<int, float>}> item of a circuit, what is shouted, and player → reps */
    private function done(Spell $spell): array
    {
        return $this->done[$spell] ??= $this->dose instanceof CircuitDose
            ? $this->round($this->dose, $spell)
            : [[null, $spell->side, $this->reps($spell)]];
    }

    /**
     * One item of a circuit, or where everybody goes at their own pace all of them.
     *
     * @return list<array{int|null, string|null, array<int, float>}>
     */
    private function round(CircuitDose $dose, Spell $spell): array
    {
        $active = array_filter($spell->seats, static fn (Seat $seat): bool => $seat->role->isActive());
        $workers = array_keys($active);
        // Who begins again holds nobody up.
        $turns = max(1, count(array_filter($active, static fn (Seat $seat): bool => ! $seat->isExtra)));
        $times = new CircuitTimes($dose, $this->memo);
        $done = [];
        foreach ($spell->item === null ? $dose->items : [$spell->item => $dose->items[$spell->item]] as $i => $item) {
            $sides = SideNames::of($item->dose);
            $reps = $times->reps($item, $turns) / count($sides);
            foreach ($spell->item === null ? $sides : [$spell->side] as $side) {
                $done[] = [$i, $side, array_fill_keys($workers, $reps)];
            }
        }

        return $done;
    }

    /** @return array<int, float> player → reps, of those at the ball */
    private function reps(Spell $spell): array
    {
        $isClocked = $this->dose->clockedSetSeconds() !== null;
        $times = new OwnTimes($this->dose, $this->limitSeconds, $this->memo);
        $reps = [];
        foreach ($spell->seats as $player => $seat) {
            if ($seat->role->isActive()) {
                $reps[$player] = match (true) {
                    $seat->role !== Role::Works => $this->inPlay($spell->seconds * $seat->ball),
                    $isClocked => $spell->seconds / $this->paces[$player]->secondsPerRep,
                    default => $this->repsOfGo[$player] ??= $times->reps($this->paces[$player]) / $this->dose->goes(),
                };
            }
        }

        return $reps;
    }

    /** Reps that have as many contacts as somebody has in a game who has the ball for so long. */
    private function inPlay(float $ballSeconds): float
    {
        $contacts = $this->rep(null, Side::Both)->contacts();

        return $contacts <= 0.0 ? 0.0 : $ballSeconds * Game::CONTACTS_A_SECOND / $contacts;
    }

    private static function side(?string $name, StrongFoot $foot): Side
    {
        return SideNames::sideOf($name ?? Side::Both->value, $foot);
    }

    /** @param  array<string, float>  $reps  item and side → reps */
    private function sum(array $reps): Tally
    {
        $tallies = [];
        foreach ($reps as $what => $count) {
            [$item, $side] = explode(' ', $what);
            $tallies[] = $this->rep($item === '' ? null : (int) $item, Side::from($side))->times($count);
        }

        return Tally::sum($tallies);
    }

    private function rep(?int $item, Side $side): Tally
    {
        $along = $this->drill->layout->timesAlongPath();

        return $item !== null && $this->dose instanceof CircuitDose
            ? RepTouches::of($this->dose->items[$item]->script, $along, $side, $this->memo)
            : RepTouches::of($this->drill->script, $along, $side, $this->memo)->times(1.0 / $this->drill->countsPerRep());
    }

    /** @return array{float, float} contacts of one rep with the left foot and the right */
    private function feet(?int $item, Side $side): array
    {
        $question = "feet {$this->drill->slug} {$item} {$side->value} {$this->dose->kind()}";

        return $this->memo->of($question, function () use ($item, $side): array {
            $tally = $this->rep($item, $side);

            return [$tally->contactsOf(FootMark::Left), $tally->contactsOf(FootMark::Right)];
        });
    }
}
