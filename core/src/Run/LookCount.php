<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Run;

use FleetSparrow\Core\Shared\CalendarDate;

/** What looking at one player in one drill came to on one day, in balls. */
final readonly class LookCount
{
    /**
     * @param  array{short: int, right: int, away: int, far: int, near: int}  $touches  first touches by weight, and by foot where seen
     * @param  array{looked: int, accurate: int, pace: int, clean: int, all: int}  $passes  all: with all three ticks
     */
    private function __construct(public string $drillSlug, public CalendarDate $on, public array $touches, public array $passes)
    {
    }

    /**
     * @param  iterable<Look>  $looks  of one player
     * @return list<self> by day and drill, the latest day first
     */
    public static function all(iterable $looks): array
    {
        /** @var array<string, non-empty-list<Look>> $groups */
        $groups = [];
        foreach ($looks as $look) {
            $groups["{$look->on->iso()} {$look->drillSlug}"][] = $look;
        }
        krsort($groups);

        return array_map(self::of(...), array_values($groups));
    }

    /** @param  non-empty-list<Look>  $looks  of one drill and day */
    private static function of(array $looks): self
    {
        $count = static fn (callable $is): int => count(array_filter($looks, $is));
        $weight = static fn (TouchWeight $weight): int => $count(static fn (Look $one): bool => $one->weight === $weight);
        $passes = array_values(array_filter($looks, static fn (Look $one): bool => ! $one->isTouch()));
        $tick = static fn (callable $is): int => count(array_filter($passes, $is));

        return new self(
            $looks[0]->drillSlug,
            $looks[0]->on,
            [
                'short' => $weight(TouchWeight::Short),
                'right' => $weight(TouchWeight::Right),
                'away' => $weight(TouchWeight::Away),
                'far' => $count(static fn (Look $one): bool => $one->isFarFoot === true),
                'near' => $count(static fn (Look $one): bool => $one->isFarFoot === false),
            ],
            [
                'looked' => count($passes),
                'accurate' => $tick(static fn (Look $one): bool => $one->isAccurate),
                'pace' => $tick(static fn (Look $one): bool => $one->isRightPace),
                'clean' => $tick(static fn (Look $one): bool => $one->isClean),
                'all' => $tick(static fn (Look $one): bool => $one->isAccurate && $one->isRightPace && $one->isClean),
            ],
        );
    }
}
