<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Drill\Family;

/** Says why a block was chosen, out of the terms that carried it. */
final readonly class Reasons
{
    /** A term that brings less than this is not worth a sentence. */
    private const LEAST_POINTS = 0.3;

    public function __construct(private BuildRequest $request, private Family $theme, private Weights $weights)
    {
    }

    /**
     * @param  array<string, float>  $extras
     * @return list<Reason>
     */
    public function of(Option $option, array $extras): array
    {
        $slot = $this->request->slotMinutes * 60.0;
        $reasons = [];
        foreach ($option->terms + [
            'variety' => $extras['variety'] ?? 0.0,
            'sharedLayout' => $extras['sharedLayout'] ?? 0.0,
        ] as $term => $value) {
            $reasons[] = new Reason($term, $value, $this->weights->of($term) * $value, $this->words($term, $option, $value));
        }
        $reasons[] = new Reason(
            'ballTime',
            $option->ballSeconds / $slot,
            $this->weights->ballTime * $option->ballSeconds / $slot,
            sprintf('%.1f minutes with the ball for each, of %d.', $option->ballSeconds / 60.0, $this->request->slotMinutes),
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
        $reasons = array_values(
            array_filter($reasons, static fn (Reason $one): bool => abs($one->points) >= self::LEAST_POINTS && $one->words !== ''),
        );
        usort($reasons, static fn (Reason $a, Reason $b): int => $b->points <=> $a->points);

        return $reasons;
    }

    private function words(string $term, Option $option, float $value): string
    {
        $needs = $this->request->needs;
        $drill = $option->drill;
        $family = $drill->family->words();

        return match ($term) {
            'stale' => isset($needs->familyDaysAgo[$drill->family->value])
                ? sprintf('%s was last done %d days ago.', ucfirst($family), $needs->familyDaysAgo[$drill->family->value])
                : ucfirst($family).' has not been done this season.',
            'foot' => $this->request->wish === Wish::WeakerFoot
                ? sprintf('%d%% of its touches are with the other foot, as asked.', (int) round(100 * $value))
                : ($needs->weakerShare === null || $needs->weakerShare >= 0.45 ? 'Both feet have their share.' : sprintf(
                    'The other foot had %d%% of the touches lately; here it has its share.',
                    (int) round(100 * $needs->weakerShare),
                )),
            'ladder' => sprintf(
                'The next rung for %d of %d.',
                $needs->nextRungs[$drill->slug] ?? 0,
                count($this->request->context->players),
            ),
            'target' => sprintf(
                '%d of %d have a number of their own to beat here.',
                $needs->records[$drill->slug] ?? 0,
                count($this->request->context->players),
            ),
            'repeat' => $value >= 1.0
                ? 'Done last time: repeated before a move is added.'
                : sprintf('Done %d days ago, and worth repeating.', $needs->drillDaysAgo[$drill->slug] ?? 0),
            'theme' => match (true) {
                $drill->family === $this->theme => "It is {$family}, the theme.",
                $drill->demands->keepsTheme => 'The game keeps the theme\'s touch rule.',
                default => 'A game to end with; it does not keep the theme\'s touch rule.',
            },
            'variety' => 'Another kind of task than before it.',
            'sharedLayout' => 'The markers stay where they are.',
            default => '',
        };
    }
}
