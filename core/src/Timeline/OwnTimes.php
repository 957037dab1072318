<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Dose\Played;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Quantiles;

/** What all goes of one player take at a dose, worked out once for all alike and kept for the next plan. */
final readonly class OwnTimes
{
    private string $what;

    /** @param  float|null  $limitSeconds  when a coach stops a go; null for never */
    public function __construct(public Dose $dose, public ?float $limitSeconds, public Memo $memo)
    {
        $this->what = 'own '.json_encode($dose->fields(), JSON_THROW_ON_ERROR)." {$limitSeconds}";
    }

    public function of(Pace $pace): Quantiles
    {
        return $this->memo->of("in order {$this->question($pace)}", fn (): Quantiles => $this->played($pace)->inOrder());
    }

    /** @return list<float> the same, equally likely, in any order: for those of whom many are taken together */
    public function inAnyOrder(Pace $pace): array
    {
        return $this->played($pace)->times;
    }

    /** Seconds of all goes on average, known without the whole table. */
    public function mean(Pace $pace): float
    {
        return $this->onAverage($pace)->meanSeconds;
    }

    /** Reps of all goes on average, those within the limit. */
    public function reps(Pace $pace): float
    {
        return $this->onAverage($pace)->reps;
    }

    private function played(Pace $pace): Played
    {
        return $this->memo->kept(
            $this->question($pace),
            fn (): Played => $this->dose->played($pace, $this->limitSeconds, $this->memo),
            Played::class,
        );
    }

    private function onAverage(Pace $pace): Played
    {
        return $this->memo->kept("mean {$this->question($pace)}", fn (): Played => $this->played($pace)->onAverage(), Played::class);
    }

    /** What the answer depends on, and nothing else. */
    public function question(Pace $pace): string
    {
        return "{$this->what} {$pace->key()}";
    }
}
