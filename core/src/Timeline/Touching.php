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
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Tally;

/** What players touch, spell by spell: a fold over who works when. Session, block and ribbon are sums of the same. */
final readonly class Touching
{
    /**
     * @param  array<int, PlanPlayer>  $players  by id
     * @param  array<int, Pace>  $paces  player → pace while working
     */
    public function __construct(
        private Drill $drill,
        private Dose $dose,
        private array $players,
        private array $paces,
        private Memo $memo,
    ) {
    }

    /**
     * @param  list<Spell>  $spells
     * @return array<int, Tally> player → touches of all of them
     */
    public function of(array $spells): array
    {
        $reps = array_fill_keys(array_keys($this->players), []);
        foreach ($spells as $spell) {
            foreach ($spell->kind === SegmentKind::Work ? $spell->seats : [] as $player => $seat) {
                if ($seat->role->isActive()) {
                    $what = "{$spell->item} {$this->side($spell, $player)->value}";
                    $reps[$player][$what] = ($reps[$player][$what] ?? 0.0) + $this->reps($spell, $player, $seat);
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
        foreach ($spell->seats as $player => $seat) {
            if ($seat->role->isActive()) {
                [$ofLeft, $ofRight] = $this->feet($spell->item, $this->side($spell, $player));
                $reps = $this->reps($spell, $player, $seat);
                [$left, $right, $workers] = [$left + $reps * $ofLeft, $right + $reps * $ofRight, $workers + 1];
            }
        }

        return $workers === 0 ? [0.0, 0.0] : [$left / $workers, $right / $workers];
    }

    private function reps(Spell $spell, int $player, Seat $seat): float
    {
        if ($spell->item !== null && $this->dose instanceof CircuitDose) {
            $item = $this->dose->items[$spell->item];

            return $item->dose->expectedReps($item->pace);
        }
        if ($seat->role === Role::Plays || $seat->role === Role::KeepsGoal) {
            $contacts = $this->rep(null, Side::Both)->contacts();

            return $contacts <= 0.0 ? 0.0 : $spell->seconds * $seat->ball * Game::CONTACTS_A_SECOND / $contacts;
        }

        return $this->dose->clockedSetSeconds() === null
            ? $this->dose->expectedReps($this->paces[$player]) / $this->dose->sets()
            : $spell->seconds / $this->paces[$player]->secondsPerRep;
    }

    private function side(Spell $spell, int $player): Side
    {
        return SideNames::sideOf($spell->side ?? Side::Both->value, $this->players[$player]->strongFoot);
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
        $script = $item !== null && $this->dose instanceof CircuitDose ? $this->dose->items[$item]->script : $this->drill->script;

        return RepTouches::of($script, $this->drill->layout->timesAlongPath(), $side, $this->memo);
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
