<?php

declare(strict_types=1);

namespace App\Http;

/** Which scripts a page begins with: named in it, those of the first view come along with the frame's instead of after them. */
final class FirstView
{
    private const VIEWS = [
        'today' => 'today/TodayPage',
        'plan/\d+' => 'plan/PlanPage',
        'squad' => 'squad/SquadPage',
        'season' => 'season/SeasonPage',
        'player/\d+' => 'player/PlayerPage',
        'book' => 'book/BookPage',
    ];

    /** @return array{non-empty-list<string>, string} as the build knows them, and the build; a view seldom the first is fetched later */
    public static function of(string $path): array
    {
        if (preg_match('#^run/\d+$#', $path) === 1) {
            return [['resources/js/app/run.tsx'], 'build-run'];
        }
        $scripts = ['resources/js/early.ts', 'resources/js/app/main.tsx'];
        foreach (self::VIEWS as $pattern => $view) {
            if (preg_match("#^{$pattern}$#", $path) === 1) {
                $scripts[] = "resources/js/features/{$view}.tsx";
            }
        }

        return [$scripts, 'build'];
    }
}
