<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Builder;

use FleetSparrow\Core\Caution\LoadJump;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Progress\Standstill;
use FleetSparrow\Core\Season\Fade;
use FleetSparrow\Core\Season\FamilyCoverage;
use FleetSparrow\Core\Shared\Evidence;
use FleetSparrow\Core\Touch\FootBalance;

/** What the next fortnight needs, out of a season: what fades, which foot is behind, who is stuck, who may move on, and whether to rest. */
final class Fortnight
{
    /** More nobody plans for in two weeks; this tool's own values, as below. */
    private const MOST = 6;

    private const OF_A_KIND = 2;

    private const NAMES = 4;

    /**
     * @param  array<string, FamilyCoverage>  $families  by family
     * @param  array<string, array{name: string, family: Family}>  $drills  by slug
     * @param  float|null  $load  the last seven days against the mean of the four weeks before
     * @return list<FortnightNeed> the weightiest first
     */
    public static function of(array $families, Needs $needs, array $drills, ?float $load): array
    {
        $found = [
            ...self::load($load),
            ...array_slice(self::faded($families, $needs, $drills), 0, self::OF_A_KIND),
            ...array_slice(self::feet($families), 0, self::OF_A_KIND),
            ...array_slice(self::stuck($needs, $drills), 0, self::OF_A_KIND),
            ...array_slice(self::next($needs, $drills), 0, self::OF_A_KIND),
        ];
        usort($found, static fn (FortnightNeed $a, FortnightNeed $b): int => [$b->weight, $a->about] <=> [$a->weight, $b->about]);

        return array_slice($found, 0, self::MOST);
    }

    /** @return list<FortnightNeed> */
    private static function load(?float $load): array
    {
        return $load === null || $load <= LoadJump::CAUTION_OVER ? [] : [new FortnightNeed(
            about: 'A lighter week',
            says: sprintf('The last seven days had %.1f times the touches of the four weeks before.', $load),
            evidence: LoadJump::evidence($load, null),
            weight: 100.0,
        )];
    }

    /**
     * @param  array<string, FamilyCoverage>  $families
     * @param  array<string, array{name: string, family: Family}>  $drills
     * @return list<FortnightNeed>
     */
    private static function faded(array $families, Needs $needs, array $drills): array
    {
        $stale = array_values(array_filter($families, static fn (FamilyCoverage $one): bool => $one->isStale()));
        usort($stale, static fn (FamilyCoverage $a, FamilyCoverage $b): int => $b->daysAgo <=> $a->daysAgo);

        return array_map(static function (FamilyCoverage $one) use ($needs, $drills): FortnightNeed {
            $family = Family::from($one->family);
            $records = 0;
            foreach ($needs->records as $slug => $players) {
                $records = ($drills[$slug]['family'] ?? null) === $family ? max($records, $players) : $records;
            }

            return new FortnightNeed(
                about: ucfirst($family->words()),
                says: "Not met for {$one->daysAgo} days.".match ($records) {
                    0 => '',
                    1 => ' One has a number to beat.',
                    default => " {$records} have a number to beat.",
                },
                evidence: new Evidence(
                    sprintf('Unused skill fades: what was met before and not for more than %d days is stale.', Fade::STALE_AFTER_DAYS),
                    ["Last met on {$one->lastOn->iso()}, {$one->daysAgo} days ago."],
                    count($one->weeks),
                    'Default of this tool, debated among coaches.',
                ),
                weight: 50.0 + $one->daysAgo / 10.0,
                theme: $family,
            );
        }, $stale);
    }

    /**
     * @param  array<string, FamilyCoverage>  $families
     * @return list<FortnightNeed> the furthest behind first
     */
    private static function feet(array $families): array
    {
        $needs = [];
        foreach ($families as $one) {
            if ($one->weakerLately === null || $one->weakerLately >= FootBalance::LEAST_SHARE) {
                continue;
            }
            $family = Family::from($one->family);
            $before = $one->weakerBefore === null
                ? ''
                : sprintf(', %d%% in the four weeks before', (int) round(100.0 * $one->weakerBefore));
            $needs[] = new FortnightNeed(
                about: ucfirst($family->words()).' with the other foot',
                says: sprintf('%d%% of the touches in the last four weeks%s.', (int) round(100.0 * $one->weakerLately), $before),
                evidence: new Evidence(
                    'Touches with each player\'s weaker foot as a share of those whose foot is known, over the last 28 days; who uses '
                        .'both is left out.',
                    [sprintf('%.3f, wanted %.1f at least.', $one->weakerLately, FootBalance::LEAST_SHARE)],
                    count($one->weeks),
                    'Scripts of the drill book; the limit is this tool\'s own.',
                ),
                weight: 40.0 + 50.0 * (FootBalance::LEAST_SHARE - $one->weakerLately),
                theme: $family,
                isOtherFoot: true,
            );
        }
        usort($needs, static fn (FortnightNeed $a, FortnightNeed $b): int => $b->weight <=> $a->weight);

        return $needs;
    }

    /**
     * @param  array<string, array{name: string, family: Family}>  $drills
     * @return list<FortnightNeed> where most are stuck first
     */
    private static function stuck(Needs $needs, array $drills): array
    {
        $found = [];
        foreach (array_intersect_key($needs->stuck, $drills) as $slug => $players) {
            $count = count($players);
            $found[] = new FortnightNeed(
                about: $drills[$slug]['name'],
                says: ($count === 1 ? 'One is stuck' : "{$count} are stuck").': '
                    .self::names(array_map(static fn (Noted $one): string => $one->name, $players)).'. Ease it, or change the task.',
                evidence: new Evidence(
                    Standstill::RULE,
                    array_map(
                        static fn (Noted $one): string => "{$one->name}: {$one->value} since ".($one->since?->iso() ?? 'the start').'.',
                        $players,
                    ),
                    $count,
                    'This tool\'s own values.',
                ),
                weight: 20.0 + $count,
                theme: $drills[$slug]['family'],
            );
        }
        usort($found, static fn (FortnightNeed $a, FortnightNeed $b): int => [$b->weight, $a->about] <=> [$a->weight, $b->about]);

        return $found;
    }

    /**
     * @param  array<string, array{name: string, family: Family}>  $drills
     * @return list<FortnightNeed> what is next for most first
     */
    private static function next(Needs $needs, array $drills): array
    {
        $found = [];
        foreach (array_intersect_key($needs->nextFor, $drills) as $slug => $names) {
            $found[] = new FortnightNeed(
                about: $drills[$slug]['name'],
                says: 'Next on a ladder for '.self::names($names).'.',
                evidence: new Evidence(
                    'The rung above the highest that is passed: every side met its number in 2 of its last 3 sessions.',
                    [implode(', ', $names).'.'],
                    count($names),
                    'Common practice, no source; the numbers are this tool\'s own.',
                ),
                weight: 18.0 + count($names),
                theme: $drills[$slug]['family'],
                drill: $slug,
            );
        }
        usort($found, static fn (FortnightNeed $a, FortnightNeed $b): int => [$b->weight, $a->about] <=> [$a->weight, $b->about]);

        return $found;
    }

    /** @param  list<string>  $names */
    private static function names(array $names): string
    {
        $more = count($names) - self::NAMES;

        return $more <= 1
            ? implode(', ', $names)
            : implode(', ', array_slice($names, 0, self::NAMES))." and {$more} more";
    }
}
