<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Record\LineReading;
use FleetSparrow\Core\Record\SessionValue;
use FleetSparrow\Core\Record\Target;
use FleetSparrow\Core\Season\Fade;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Evidence;

/** Everything one record line says of one player: what changed, what stands still, what fades inside a session, what comes next. */
final readonly class LineStory
{
    /** A milestone, or a rung, is news for so long; this tool's own value. */
    private const NEWS_DAYS = 14;

    /**
     * @param  string  $about  the drill and the side
     * @param  string  $unit  what the number counts
     * @param  TypicalError  $error  of the squad on this line
     */
    private function __construct(
        public string $key,
        public string $about,
        public string $unit,
        public LineReading $line,
        public TypicalError $error,
        public Verdict $verdict,
        public ?Standstill $still,
        public ?DropOff $dropOff,
        public ?Target $target,
    ) {
    }

    /** @param  list<list<float>>  $sessions  the sets of each, in the order they were done, the oldest session first */
    public static function of(
        string $key,
        string $about,
        LineReading $line,
        SquadLine $squad,
        array $sessions = [],
        ?Target $target = null,
    ): self {
        return new self(
            key: $key,
            about: $about,
            unit: $line->kind->unit(),
            line: $line,
            error: $squad->error,
            verdict: Verdict::of($line, $squad),
            still: Standstill::of($line),
            dropOff: DropOff::of($sessions, $line->kind->better()),
            target: $target,
        );
    }

    /** Which way the line goes; dear to work out, so only where it is asked for. */
    public function slope(): ?Slope
    {
        return Slope::of($this->line);
    }

    /** Not met for three weeks. */
    public function isStale(CalendarDate $today): bool
    {
        $last = $this->line->lastDay();

        return $last !== null && Fade::isStale($last->on->daysUntil($today));
    }

    /** Whether the record was set on the last day there is. */
    public function isFresh(): bool
    {
        $last = $this->line->lastDay();

        return $last !== null && $this->line->recordSetOn($last->on) !== null;
    }

    /** @return list<News> */
    public function news(CalendarDate $today): array
    {
        return array_values(array_filter([
            $this->verdictNews(),
            $this->milestoneNews($today),
            $this->standstillNews($today),
            $this->dropOffNews(),
            $this->targetNews(),
        ]));
    }

    private function verdictNews(): ?News
    {
        $verdict = $this->verdict;
        $isWorse = in_array($verdict->trend, [Trend::Worse, Trend::ClearlyWorse], true);
        $isBetter = in_array($verdict->trend, [Trend::Better, Trend::ClearlyBetter], true);
        if ($verdict->before === null || $verdict->after === null || ! ($isWorse || $isBetter)) {
            return null;
        }
        $change = sprintf('%s to %s %s', self::number($verdict->before), self::number($verdict->after), $this->unit);

        return new News(
            kind: $isWorse ? NewsKind::Stuck : NewsKind::Changed,
            about: $this->about,
            says: ucfirst($verdict->trend->words()).": {$change}.",
            evidence: $this->verdictEvidence(),
            lineKey: $this->key,
            weight: 10.0 + ($verdict->spread > 0.0 ? abs($verdict->after - $verdict->before) / $verdict->spread : 9.0),
        );
    }

    public function verdictEvidence(): Evidence
    {
        $verdict = $this->verdict;
        $inputs = $verdict->before === null || $verdict->after === null || $verdict->spread === null ? [
            "{$verdict->values} days so far; it takes ".Verdict::FEWEST.', and at least two differences to tell how far a number strays.',
        ] : [
            sprintf('Mean of the earlier half %s, of the later half %s.', self::number($verdict->before), self::number($verdict->after)),
            sprintf(
                'A session value strays by %s though nothing has changed (the squad\'s own and this player\'s, %g degrees of freedom).',
                self::number($verdict->spread, 2),
                $verdict->degrees ?? 0.0,
            ),
            sprintf('The smallest change worth a word is %s.', self::number($verdict->worthwhile ?? 0.0, 2)),
            sprintf('That it is better at all: %d in 100.', (int) round(100.0 * ($verdict->chance ?? 0.0))),
        ];

        return new Evidence(
            formula: 'The later half of the last eight days against the earlier half, held against how far a day\'s number strays. '
                .'Better where that is 95 in 100 sure and 75 in 100 sure to be worth a word. Read at six days and at every eighth, '
                .'so that one number does not turn it about.',
            inputs: $inputs,
            count: $verdict->values,
            source: 'Typical error: Hopkins 2000, Sports Medicine 30:1. Smallest change: Hopkins 2004, Sportscience 8:1. The limits are '
                .'this tool\'s own.',
        );
    }

    private function milestoneNews(CalendarDate $today): ?News
    {
        $milestone = Milestone::of($this->line);
        if ($milestone === null || $milestone->on->daysUntil($today) > self::NEWS_DAYS) {
            return null;
        }

        return new News(
            kind: NewsKind::Changed,
            about: $this->about,
            says: "Passed {$milestone->value} {$this->unit} for the first time.",
            evidence: new Evidence(
                'The first day on which the best try reached a milestone: 1, 2, 3, 5, 10, 20, 25, 50, 100, 200, 500.',
                ["Reached on {$milestone->on->iso()}."],
                count($this->line->days),
                'Common practice, no source; 5, 50 and 200 are this tool\'s own.',
            ),
            lineKey: $this->key,
            weight: 8.0,
        );
    }

    private function standstillNews(CalendarDate $today): ?News
    {
        if ($this->still === null || $this->isStale($today)) {
            return null;
        }
        $weeks = intdiv($this->still->since->daysUntil($today), 7);

        return new News(
            kind: NewsKind::Stuck,
            about: $this->about,
            says: sprintf(
                'No new best for %d weeks: %s %s, and %d days since that did not better it.',
                $weeks,
                self::number($this->still->value),
                $this->unit,
                $this->still->sessions,
            ),
            evidence: new Evidence(
                Standstill::RULE,
                ["The record is of {$this->still->since->iso()}; {$this->still->sessions} days with a number came after it."],
                count($this->line->days),
                'This tool\'s own values.',
            ),
            lineKey: $this->key,
            weight: (float) $weeks,
            like: 'standstill',
        );
    }

    private function dropOffNews(): ?News
    {
        if ($this->dropOff === null || ! $this->dropOff->isHabit()) {
            return null;
        }

        return new News(
            kind: NewsKind::Stuck,
            about: $this->about,
            says: sprintf('The last set falls off by %d in 100 of the first.', (int) round(-100.0 * $this->dropOff->share)),
            evidence: $this->dropOffEvidence($this->dropOff),
            lineKey: $this->key,
            weight: 20.0,
            like: 'drop-off',
        );
    }

    public function dropOffEvidence(DropOff $dropOff): Evidence
    {
        return new Evidence(
            'The last set less the first, as a share of the first: the middle one of the last six sessions with two sets or more.',
            [
                'Session by session: '.implode(', ', array_map(
                    static fn (float $share): string => sprintf('%+d%%', (int) round(100.0 * $share)),
                    $dropOff->shares,
                )).' (turned so that under nought is worse).',
                sprintf('The sets of a session stray by %d in 100 of their mean.', (int) round(100.0 * $dropOff->variation)),
            ],
            count($dropOff->shares),
            'This tool\'s own: a habit from a tenth on, in three of four sessions.',
        );
    }

    private function targetNews(): ?News
    {
        if ($this->target === null || $this->target->harder !== null) {
            return null;
        }
        $days = array_slice($this->line->days, -Verdict::WINDOW);

        return new News(
            kind: NewsKind::Next,
            about: $this->about,
            says: self::number($this->target->value)." {$this->unit}, {$this->target->because}.",
            evidence: new Evidence(
                'The number to beat, by the way of setting it that the squad has chosen. Its chance: Student\'s t about the mean of the '
                    .'last eight days\' bests, or about their line where that climbs or falls beyond doubt; hits of n are binomial.',
                [
                    'Best of the last days: '.implode(', ', array_map(
                        static fn (SessionValue $day): string => self::number($day->best),
                        $days,
                    )).'.',
                    $this->target->chance === null
                        ? 'Too few days, or all alike: nothing says how likely it is.'
                        : sprintf('The next day reaches it about %d times in 100.', (int) round(100.0 * $this->target->chance)),
                ],
                count($days),
                'Prediction interval: any handbook of statistics. The school is the squad\'s choice.',
            ),
            lineKey: $this->key,
            weight: $this->target->chance ?? 0.0,
        );
    }

    /** Half rounded up. */
    private static function number(float $value, int $digits = 1): string
    {
        return (string) round($value, $digits);
    }
}
