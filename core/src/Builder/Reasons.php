<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Shared\CalendarDate;

/** Says why a block was chosen, out of the terms that carried it, with whom and which number. */
final readonly class Reasons
{
    /** A term that brings less than this is not worth a sentence. */
    private const LEAST_POINTS = 0.3;

    /** So many are named, the others counted. */
    private const NAMED = 3;

    private const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

    public function __construct(private BuildRequest $request, private Family $theme, private Weights $weights)
    {
    }

    /**
     * @param  array<string, float>  $extras
     * @param  list<string>  $said  sentences that were said before in the same session
     * @return list<Reason>
     */
    public function of(Option $option, array $extras, array $said = []): array
    {
        $slot = $this->request->slotMinutes * 60.0;
        $reasons = [];
        foreach ($option->terms as $term => $value) {
            $reasons[] = new Reason($term, $value, $this->weights->of($term) * $value, $this->words($term, $option, $value));
        }
        if (($extras['sharedLayout'] ?? 0.0) > 0.0 && $option->layout->markers() !== []) {
            $reasons[] = new Reason('sharedLayout', 1.0, $this->weights->sharedLayout, sprintf(
                'All %d markers stay where they are.',
                $option->stations * count($option->layout->markers()),
            ));
        }
        $reasons[] = new Reason(
            'ballTime',
            $option->ballSeconds / $slot,
            $this->weights->ballTime * $option->ballSeconds / $slot,
            sprintf('%.1f min with the ball for each of %d.', $option->ballSeconds / 60.0, count($this->request->context->players)),
        );
        $reasons[] = new Reason(
            'work',
            $option->work->meanSeconds / $slot,
            $this->weights->work * $option->work->meanSeconds / $slot,
            sprintf('%s of the %d min are work here.', self::minutes($option->work->meanSeconds), $this->request->slotMinutes),
        );
        if ($option->waitingSeconds >= 1.0) {
            $reasons[] = new Reason(
                'waiting',
                $option->waitingSeconds / $slot,
                -$this->weights->waiting * $option->waitingSeconds / $slot,
                sprintf('%.1f minutes of waiting, which counts against it.', $option->waitingSeconds / 60.0),
            );
        }
        if (($extras['setUpSeconds'] ?? 0.0) > 0.0) {
            $reasons[] = new Reason(
                'setUp',
                $extras['setUpSeconds'] / $slot,
                -$this->weights->setUp * $extras['setUpSeconds'] / $slot,
                sprintf('%d s to set up, which counts against it.', (int) round($extras['setUpSeconds'])),
            );
        }
        usort($reasons, static fn (Reason $a, Reason $b): int => $b->points <=> $a->points);
        $new = array_values(array_filter(
            $reasons,
            static fn (Reason $one): bool => $one->words !== '' && ! in_array($one->words, $said, true),
        ));
        $carried = array_values(array_filter($new, static fn (Reason $one): bool => abs($one->points) >= self::LEAST_POINTS));

        // Something is said of every block, however little it brings.
        return $carried === [] ? array_slice($new, 0, 1) : $carried;
    }

    private function words(string $term, Option $option, float $value): string
    {
        return match ($term) {
            'stale' => $this->stale($option),
            'foot' => $this->foot($option, $value),
            'ladder' => $this->ladder($option->drill->slug),
            'target' => $this->target($option->drill->slug),
            'repeat' => isset($this->request->needs->drillDaysAgo[$option->drill->slug])
                ? sprintf('Done %s, and worth repeating.', self::ago($this->request->needs->drillDaysAgo[$option->drill->slug]))
                : '',
            'fresh' => isset($this->request->needs->drillDaysAgo[$option->drill->slug])
                ? sprintf('Last begun with or played %s.', self::ago($this->request->needs->drillDaysAgo[$option->drill->slug]))
                : '',
            'theme' => $option->drill->family === $this->theme
                ? sprintf('%s for %s min.', ucfirst($this->theme->words()), self::minutes($option->work->meanSeconds))
                : '',
            default => '',
        };
    }

    private function stale(Option $option): string
    {
        $needs = $this->request->needs;
        $family = ucfirst($option->drill->family->words());
        $daysAgo = $needs->familyDaysAgo[$option->drill->family->value] ?? null;

        return match (true) {
            $daysAgo !== null => sprintf('%s was last done %s.', $family, self::ago($daysAgo)),
            $needs->sessions > 0 => sprintf('%s was in none of the %d sessions so far.', $family, $needs->sessions),
            default => "{$family} is new this season.",
        };
    }

    private function foot(Option $option, float $value): string
    {
        $behind = $this->request->needs->behind[$option->drill->slug] ?? [];
        $share = $this->request->needs->weakerShare;

        return match (true) {
            $this->request->wish === Wish::WeakerFoot => sprintf(
                '%d%% of its touches are with the other foot, as asked.',
                (int) round(100 * $value),
            ),
            $behind !== [] => sprintf(
                'The other foot is at %d%% of the strong one for %s.',
                (int) round($behind[0]->value),
                self::named(array_map(static fn (Noted $one): string => $one->name, $behind)),
            ),
            $share !== null && $share < 0.45 => sprintf(
                'The other foot had %d%% of the touches lately; here it has its share.',
                (int) round(100 * $share),
            ),
            default => '',
        };
    }

    private function ladder(string $slug): string
    {
        $names = $this->request->needs->nextFor[$slug] ?? [];
        $count = $this->request->needs->nextRungs[$slug] ?? 0;

        return match (true) {
            $names !== [] => 'The next rung for '.self::named($names).'.',
            $count > 0 => sprintf('The next rung for %d of %d.', $count, count($this->request->context->players)),
            default => '',
        };
    }

    private function target(string $slug): string
    {
        $stuck = $this->request->needs->stuck[$slug] ?? [];
        $count = $this->request->needs->records[$slug] ?? 0;
        if ($stuck !== []) {
            return implode(', ', array_map(static fn (Noted $one): string => sprintf(
                '%s on %s%s',
                $one->name,
                rtrim(rtrim(sprintf('%.2f', $one->value), '0'), '.'),
                $one->since === null ? '' : ' since '.self::day($one->since),
            ), array_slice($stuck, 0, self::NAMED))).(count($stuck) > 1 ? ' are stuck.' : ' is stuck.');
        }

        return $count === 0 ? '' : sprintf(
            '%d of %d have a number of their own to beat here.',
            $count,
            count($this->request->context->players),
        );
    }

    private static function ago(int $days): string
    {
        return match (true) {
            $days <= 0 => 'today',
            $days === 1 => 'yesterday',
            default => "{$days} days ago",
        };
    }

    private static function day(CalendarDate $date): string
    {
        return $date->day.' '.self::MONTHS[$date->month - 1];
    }

    private static function minutes(float $seconds): string
    {
        return sprintf('%.1f', $seconds / 60.0);
    }

    /** @param  list<string>  $names */
    private static function named(array $names): string
    {
        $some = array_slice($names, 0, self::NAMED);
        $more = count($names) - count($some);

        return implode(', ', $some).($more > 0 ? " and {$more} more" : '');
    }
}
