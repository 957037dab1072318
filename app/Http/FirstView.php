<?php

declare(strict_types=1);

namespace App\Http;

/** Which scripts a page begins with: named in it, those of the first view come along with the frame's instead of after them. */
final class FirstView
{
    private const VIEWS = [
        'today' => ['today/TodayPage'],
        // The way to the next session, and its plan at once.
        'plan' => ['today/NextSession', 'plan/PlanPage'],
        'plan/\d+' => ['plan/PlanPage'],
        'squad' => ['squad/SquadPage'],
        'season' => ['season/SeasonPage'],
        'player/\d+' => ['player/PlayerPage'],
        'book' => ['book/BookPage'],
    ];

    /** @return array{non-empty-list<string>, string} as the build knows them, and the build; a view seldom the first is fetched later */
    public static function of(string $path): array
    {
        if (preg_match('#^run/\d+$#', $path) === 1) {
            return [['resources/js/app/run.tsx'], 'build-run'];
        }
        $scripts = ['resources/js/app/main.tsx'];
        foreach (self::VIEWS as $pattern => $views) {
            foreach (preg_match("#^{$pattern}$#", $path) === 1 ? $views : [] as $view) {
                $scripts[] = "resources/js/features/{$view}.tsx";
            }
        }

        return [$scripts, 'build'];
    }
}
