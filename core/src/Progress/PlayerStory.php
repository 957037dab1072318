<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Evidence;

/** What to say of a player first: what changed, what is stuck, what is next; the heaviest of each, and each thing once. */
final class PlayerStory
{
    /** More than so many of a kind nobody acts on; this tool's own value. */
    private const OF_A_KIND = 5;

    /** Of one and the same thing to say, as a next rung or a record that stands. */
    private const ALIKE = 2;

    /** Stuck on so many of the lines that were met, and on so many at least, it is the player and not the drill; this tool's own values. */
    private const STUCK_SHARE = 0.7;

    private const STUCK_LINES = 4;

    private const STUCK_DAYS = 5;

    /**
     * @param  list<LineStory>  $lines
     * @param  list<News>  $also  of ladders and feet
     * @return list<News> by kind, the heaviest first
     */
    public static function of(array $lines, array $also, CalendarDate $today): array
    {
        $all = array_merge($also, self::overall($lines), ...array_map(static fn (LineStory $line): array => $line->news($today), $lines));
        $story = [];
        foreach (NewsKind::cases() as $kind) {
            $own = array_values(array_filter($all, static fn (News $one): bool => $one->kind === $kind));
            usort($own, static fn (News $a, News $b): int => [$b->weight, $a->about] <=> [$a->weight, $b->about]);
            array_push($story, ...array_slice(self::once($own), 0, self::OF_A_KIND));
        }

        return $story;
    }

    /**
     * @param  list<News>  $news  the heaviest first
     * @return list<News> the heaviest of each thing, and two that are alike
     */
    private static function once(array $news): array
    {
        [$first, $alike] = [[], []];
        foreach ($news as $one) {
            $alike[$one->like] = ($alike[$one->like] ?? 0) + 1;
            if ($one->like === '' || $alike[$one->like] <= self::ALIKE) {
                $first[$one->about] ??= $one;
            }
        }

        return array_values($first);
    }

    /**
     * @param  list<LineStory>  $lines
     * @return list<News>
     */
    private static function overall(array $lines): array
    {
        $met = array_filter($lines, static fn (LineStory $line): bool => count($line->line->days) >= self::STUCK_DAYS);
        $stuck = array_values(array_filter($met, static fn (LineStory $line): bool => $line->still !== null));
        if (count($stuck) < self::STUCK_LINES || count($stuck) < self::STUCK_SHARE * count($met)) {
            return [];
        }

        return [new News(
            kind: NewsKind::Stuck,
            about: 'Stuck for weeks',
            says: sprintf('No new best for three weeks or more on %d of %d. Change the task, or ease it.', count($stuck), count($met)),
            evidence: new Evidence(
                'Record lines with five days or more this season on which the record has stood for three weeks, four later days did not '
                    .'better it, and the middle slope of the days does not climb all the same.',
                array_map(
                    static fn (LineStory $line): string => "{$line->about}: {$line->still?->value} since {$line->still?->since->iso()}.",
                    $stuck,
                ),
                array_sum(array_map(static fn (LineStory $line): int => count($line->line->days), $met)),
                'This tool\'s own values.',
            ),
            weight: 40.0,
        )];
    }
}
