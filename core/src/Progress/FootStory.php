<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Progress;

use FleetSparrow\Core\Shared\Evidence;
use FleetSparrow\Core\Shared\StrongFoot;

/** How the foot that is called the other one does against the strong one, over all lines that are measured on both. */
final readonly class FootStory
{
    /** With fewer drills that say so it may be the drill. */
    private const DRILLS = 2;

    /** @param  array<string, FootRatio>  $ratios  what is measured on both feet → ratio; of a player with a strong foot */
    public function __construct(private StrongFoot $strong, public array $ratios)
    {
    }

    /** @return list<News> */
    public function news(): array
    {
        $ahead = array_filter($this->ratios, static fn (FootRatio $ratio): bool => $ratio->isAhead());
        $passed = array_filter($this->ratios, static fn (FootRatio $ratio): bool => $ratio->hasJustPassed && ! $ratio->isAhead());
        if (count($ahead) >= self::DRILLS) {
            return [$this->unnoticed($ahead)];
        }

        return array_map(fn (string $about, FootRatio $ratio): News => new News(
            kind: NewsKind::Changed,
            about: $about,
            says: sprintf('The %s foot is level with the %s: %d in 100 of it.', $this->other(), $this->strong(), self::percent($ratio)),
            evidence: self::evidence([$about => $ratio]),
            weight: 6.0,
        ), array_keys($passed), array_values($passed));
    }

    /** @param  non-empty-array<string, FootRatio>  $ahead */
    private function unnoticed(array $ahead): News
    {
        return new News(
            kind: NewsKind::Changed,
            about: ucfirst("{$this->other()} foot"),
            says: sprintf(
                'Ahead of the %s on %d of %d drills, three times in a row. The %s is written down as the stronger: is it?',
                $this->strong(),
                count($ahead),
                count($this->ratios),
                $this->strong(),
            ),
            evidence: self::evidence($ahead),
            weight: 30.0,
        );
    }

    /** @param  non-empty-array<string, FootRatio>  $ratios */
    public static function evidence(array $ratios): Evidence
    {
        return new Evidence(
            'The other foot\'s session value ÷ the strong foot\'s, the nearest within fourteen days; the other way round for times. '
                .'Over 1 the other foot is ahead.',
            array_map(static fn (string $about, FootRatio $ratio): string => $about.': '.implode(', ', array_map(
                static fn (array $day): string => sprintf('%.2f', $day['ratio']),
                array_slice($ratio->days, -6),
            )).'.', array_keys($ratios), array_values($ratios)),
            array_sum(array_map(static fn (FootRatio $ratio): int => count($ratio->days), $ratios)),
            'This tool\'s own values.',
        );
    }

    private static function percent(FootRatio $ratio): int
    {
        return (int) round(100.0 * $ratio->ratio);
    }

    private function strong(): string
    {
        return $this->strong === StrongFoot::Left ? 'left' : 'right';
    }

    private function other(): string
    {
        return $this->strong === StrongFoot::Left ? 'right' : 'left';
    }
}
