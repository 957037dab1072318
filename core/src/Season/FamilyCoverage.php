<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Season;

use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Evidence;

/** One skill family over a season: week by week, how the feet share it, and how long it has not been met. */
final readonly class FamilyCoverage
{
    /** Lately is so many days; before that so many more (this tool's own value). */
    private const LATELY_DAYS = 28;

    /**
     * @param  array<int, array{minutes: float, touches: FootTouches}>  $weeks  number of the week → what one player had of it; left out
     *     where nothing
     * @param  float|null  $weakerLately  the weaker foot's share of the last four weeks; null where no foot is known
     * @param  float|null  $weakerBefore  of the four weeks before those
     */
    private function __construct(
        public string $family,
        public array $weeks,
        public FootTouches $touches,
        public CalendarDate $lastOn,
        public int $daysAgo,
        public ?float $weakerLately,
        public ?float $weakerBefore,
    ) {
    }

    /**
     * @param  list<PlayedFamily>  $played  of the season
     * @param  int<1, 7>  $firstDay  of the club's week
     * @return array<string, self> by family
     */
    public static function all(array $played, CalendarDate $from, CalendarDate $until, int $firstDay): array
    {
        /** @var array<string, non-empty-list<PlayedFamily>> $byFamily */
        $byFamily = [];
        foreach ($played as $one) {
            $byFamily[$one->family][] = $one;
        }

        return array_map(static fn (array $own): self => self::of($own, $from, $until, $firstDay), $byFamily);
    }

    public function isStale(): bool
    {
        return Fade::isStale($this->daysAgo);
    }

    /**
     * How the weeks are known.
     *
     * @param  list<PlayedFamily>  $played  of the season
     */
    public static function evidence(array $played): Evidence
    {
        $days = static fn (bool $isHome): int => count(array_unique(array_map(
            static fn (PlayedFamily $one): int => $one->session,
            array_filter($played, static fn (PlayedFamily $one): bool => $one->isHome === $isHome),
        )));

        return new Evidence(
            'Of each session the minutes at the ball and the touches of everybody, added up from the touch ledger and shared out over '
                .'those who came; what was practised at home is shared out over the whole squad.',
            [
                self::many($days(false), 'session').' with the squad.',
                self::many($days(true), 'day').' on which somebody practised at home, confirmed by a coach.',
                'Touches are counted where a number says how much was done, else estimated as planned; a player\'s page tells them apart.',
            ],
            count($played),
            'Counts and the timeline of the plan; no formula from elsewhere.',
        );
    }

    private static function many(int $count, string $what): string
    {
        return "{$count} {$what}".($count === 1 ? '' : 's');
    }

    /**
     * @param  non-empty-list<PlayedFamily>  $played
     * @param  int<1, 7>  $firstDay
     */
    private static function of(array $played, CalendarDate $from, CalendarDate $until, int $firstDay): self
    {
        // What a few did at home the squad has not met.
        $met = array_values(array_filter($played, static fn (PlayedFamily $one): bool => ! $one->isHome));
        $met = $met === [] ? $played : $met;
        [$weeks, $all, $last] = [[], new FootTouches, $met[0]->on];
        foreach ($played as $one) {
            $week = SeasonWeek::number($from, $one->on, $firstDay) ?? 1;
            $weeks[$week] = [
                'minutes' => ($weeks[$week]['minutes'] ?? 0.0) + $one->workMinutes,
                'touches' => ($weeks[$week]['touches'] ?? new FootTouches)->plus($one->touches),
            ];
            $all = $all->plus($one->touches);
        }
        foreach ($met as $one) {
            $last = $one->on->compareTo($last) > 0 ? $one->on : $last;
        }

        return new self(
            family: $played[0]->family,
            weeks: $weeks,
            touches: $all,
            lastOn: $last,
            daysAgo: $last->daysUntil($until),
            weakerLately: self::weaker($played, $until, 0),
            weakerBefore: self::weaker($played, $until, self::LATELY_DAYS),
        );
    }

    /**
     * @param  list<PlayedFamily>  $played
     * @param  int  $back  days before the last ones
     */
    private static function weaker(array $played, CalendarDate $until, int $back): ?float
    {
        [$weaker, $footed] = [0.0, 0.0];
        foreach ($played as $one) {
            $ago = $one->on->daysUntil($until) - $back;
            if ($ago >= 0 && $ago < self::LATELY_DAYS) {
                [$weaker, $footed] = [$weaker + $one->weaker, $footed + $one->footed];
            }
        }

        return $footed > 0.0 ? $weaker / $footed : null;
    }
}
