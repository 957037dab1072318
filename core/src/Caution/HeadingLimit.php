<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Caution;

/** How much heading a profile allows one player. A week is a rolling 7 days, a month a rolling 28. */
final readonly class HeadingLimit
{
    /**
     * @param  bool  $isBarred  no heading at all
     * @param  int|null  $headers  at most so many in the days given; null when no number is set
     * @param  int|null  $perSession  at most so many in one session
     * @param  int|null  $sessions  at most so many sessions with heading in the days given
     * @param  int|null  $days  the rolling window
     * @param  int|null  $minutesPerWeek  at most so many minutes of heading practice
     */
    private function __construct(
        public bool $isBarred,
        public ?int $headers,
        public ?int $perSession,
        public ?int $sessions,
        public ?int $days,
        public ?int $minutesPerWeek,
        public string $source,
        public ?int $year,
    ) {
    }

    public static function barred(string $source, ?int $year): self
    {
        return new self(
            isBarred: true,
            headers: 0,
            perSession: 0,
            sessions: 0,
            days: null,
            minutesPerWeek: null,
            source: $source,
            year: $year,
        );
    }

    public static function asFewAsPossible(string $source, ?int $year): self
    {
        return new self(
            isBarred: false,
            headers: null,
            perSession: null,
            sessions: null,
            days: null,
            minutesPerWeek: null,
            source: $source,
            year: $year,
        );
    }

    public static function atMost(
        int $headers,
        ?int $perSession,
        ?int $sessions,
        int $days,
        ?int $minutesPerWeek,
        string $source,
        int $year,
    ): self {
        return new self(
            isBarred: false,
            headers: $headers,
            perSession: $perSession,
            sessions: $sessions,
            days: $days,
            minutesPerWeek: $minutesPerWeek,
            source: $source,
            year: $year,
        );
    }

    /**
     * One sentence with its source, and that local rules come first.
     *
     * Example: `HeadingProfile::TheFa2020->limitFor(AgeGroup::of('U13'))->sentence()` is
     * `'At most 5 headers a player, in one session in 7 days (The FA 2020; may have changed, your local rules come first).'`.
     */
    public function sentence(): string
    {
        $allowed = match (true) {
            $this->isBarred => 'No heading',
            $this->headers === null => 'As little heading as possible',
            $this->sessions === 1 => "At most {$this->headers} headers a player, in one session in {$this->days} days",
            default => "At most {$this->headers} headers a player in {$this->days} days",
        };
        $minutes = $this->minutesPerWeek === null ? '' : " and {$this->minutesPerWeek} minutes a week";
        $since = $this->year === null ? $this->source : "{$this->source} {$this->year}; may have changed, your local rules come first";

        return "{$allowed}{$minutes} ({$since}).";
    }
}
