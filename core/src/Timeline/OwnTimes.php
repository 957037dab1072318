<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
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
        $question = $this->question($pace);

        return $this->memo->of($question, fn (): Quantiles => Quantiles::unpacked($this->memo->kept(
            $question,
            fn (): string => $this->dose->ownTime($pace, $this->limitSeconds, $this->memo)->packed(),
        )));
    }

    /** Seconds of all goes on average, known without the whole table. */
    public function mean(Pace $pace): float
    {
        $question = "mean {$this->question($pace)}";

        return $this->memo->of($question, fn (): float => Quantiles::unpacked($this->memo->kept(
            $question,
            fn (): string => Quantiles::fixed($this->of($pace)->mean())->packed(),
        ))->mean());
    }

    /** What the answer depends on, and nothing else. */
    public function question(Pace $pace): string
    {
        return "{$this->what} {$pace->secondsPerRep} {$pace->alpha()} {$pace->beta()} {$pace->fetchSeconds}";
    }
}
