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
        $limit = $this->dose->pace === CircuitPace::Own ? null : GoLimit::seconds($item->dose, $item->pace, $this->memo);

        return (new OwnTimes($item->dose, $limit, $this->memo))->of($item->pace);
    }

    /** Everybody at one item, until the next begins. */
    public function item(CircuitItem $item, int $players): Quantiles
    {
        $slowest = $this->own($item)->largestOfSame($players);

        return $this->dose->pace === CircuitPace::Clock && ! $slowest->isFixed() ? Quantiles::fixed(Whistle::seconds($slowest)) : $slowest;
    }

    /** How much of an item one does: less where it is stopped before, more where one begins again until the whistle. */
    public function share(CircuitItem $item, int $players): float
    {
        $endless = (new OwnTimes($item->dose, null, $this->memo))->mean($item->pace);
        $worked = $this->dose->pace === CircuitPace::Clock ? $this->item($item, $players) : $this->own($item);

        return $endless <= 0.0 || $item->dose->clockedSetSeconds() !== null ? 1.0 : $worked->mean() / $endless;
    }

    /** One worker through all items of all rounds, a chance and a pace anew for each item, and the rests on the way. */
    public function alone(): Quantiles
    {
        return $this->dose->ownTime($this->dose->items[0]->pace, null, $this->memo)
            ->plus(Quantiles::fixed(($this->dose->sets() - 1) * $this->dose->restSeconds()));
    }

    /** All rounds of a group. */
    public function whole(int $players): Quantiles
    {
        if ($this->dose->pace === CircuitPace::Own) {
            return $this->alone()->largestOfSame($players);
        }
        $round = Quantiles::fixed(0.0);
        foreach ($this->dose->items as $i => $item) {
            $rest = $i < count($this->dose->items) - 1 ? $item->restSeconds : 0.0;
            $round = $round->plus($this->item($item, $players))->plus(Quantiles::fixed($rest));
        }

        return $round->times((float) $this->dose->sets())
            ->plus(Quantiles::fixed(($this->dose->sets() - 1) * $this->dose->restSeconds()));
    }
}
