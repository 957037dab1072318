<?php

declare(strict_types=1);

namespace App\Http;

/** Which scripts a page begins with: named in it, those of the first view come along with the frame's instead of after them. */
final class FirstView
{
    private const VIEWS = [
        'today' => 'today/TodayPage',
        'plan/\d+' => 'plan/PlanPage',
        'run/\d+' => 'run/RunPage',
        'squad' => 'squad/SquadPage',
        'season' => 'season/SeasonPage',
        'player/\d+' => 'player/PlayerPage',
        'book' => 'book/BookPage',
    ];

    /** @return non-empty-list<string> as the build knows them; a view that is seldom the first is fetched when it is asked for */
    public static function scripts(string $path): array
    {
        $scripts = ['resources/js/early.ts', 'resources/js/app/main.tsx'];
        foreach (self::VIEWS as $pattern => $view) {
            if (preg_match("#^{$pattern}$#", $path) === 1) {
                $scripts[] = "resources/js/features/{$view}.tsx";
            }
        }

        return $scripts;
    }
}
