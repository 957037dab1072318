<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\CircuitItem;
use FleetSparrow\Core\Drill\CircuitPace;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Quantiles;

/** What a circuit takes a group that goes round together, as a distribution: item by item, or each at their own pace. */
final readonly class CircuitTimes
{
    public function __construct(private CircuitDose $dose, private Memo $memo)
    {
    }

    /** One worker at one item; nobody is stopped where everybody goes at their own pace. */
    public function own(CircuitItem $item): Quantiles
    {
        return $this->times($item)->of($item->pace);
    }

    private function times(CircuitItem $item): OwnTimes
    {
        $limit = $this->dose->pace === CircuitPace::Own ? null : GoLimit::seconds($item->dose, $item->pace, $this->memo);

        return new OwnTimes($item->dose, $limit, $this->memo);
    }

    /** Everybody at one item, until the next begins. */
    public function item(CircuitItem $item, int $players): Quantiles
    {
        $slowest = $this->own($item)->largestOfSame($players);

        return $this->dose->pace === CircuitPace::Clock && ! $slowest->isFixed() ? Quantiles::fixed(Whistle::seconds($slowest)) : $slowest;
    }

    /** Reps one does at an item in a round, all its sides: more where one begins again until the whistle. */
    public function reps(CircuitItem $item, int $players): float
    {
        $times = $this->times($item);
        $reps = $times->reps($item->pace);
        $own = $times->mean($item->pace);

        return $this->dose->pace === CircuitPace::Clock && $own > 0.0 ? $reps * $this->item($item, $players)->mean() / $own : $reps;
    }

    /** One worker through all items of all rounds, a chance and a pace anew for each item, and the rests on the way. */
    public function alone(): Quantiles
    {
        return $this->dose->played($this->dose->items[0]->pace, null, $this->memo)->inOrder()
            ->plus(Quantiles::fixed(($this->dose->sets() - 1) * $this->dose->restSeconds()));
    }

    /** All rounds of a group. */
    public function whole(int $players): Quantiles
    {
        if ($this->dose->pace === CircuitPace::Own) {
            return $this->alone()->largestOfSame($players);
        }
        $round = [];
        foreach ($this->dose->items as $i => $item) {
            $rest = $i < count($this->dose->items) - 1 ? $item->restSeconds : 0.0;
            array_push($round, $this->item($item, $players), Quantiles::fixed($rest));
        }

        return Quantiles::sum($round)->times((float) $this->dose->sets())
            ->plus(Quantiles::fixed(($this->dose->sets() - 1) * $this->dose->restSeconds()));
    }
}
