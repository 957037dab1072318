<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Shared\AgeGroup;

/** What those of another age than most do of a drill, where the drill itself says how much less or more it is for them. */
final readonly class AgeDose
{
    /** @param  non-empty-list<int>  $players  ids */
    private function __construct(public AgeGroup $ageGroup, public array $players, public Dose $dose)
    {
    }

    /**
     * The dose as planned is for the age most are of, the older where two are as many; the others' comes out of the drill's own
     * factors. Nobody works on when the clock has stopped the others, and where numbers are written down everybody has the same
     * task: theirs would else not hang on the line that is asked for. Nobody whose age is not known is given another.
     *
     * @param  array<int, AgeGroup>  $ages  player → age group, where it is known
     * @param  bool  $isWrittenDown  whether the block owes numbers
     * @return list<self> the youngest first; nothing where all do the same
     */
    public static function of(Drill $drill, Dose $planned, array $ages, bool $isWrittenDown): array
    {
        if ($isWrittenDown || $drill->demands->levels === []) {
            return [];
        }
        $players = [];
        foreach ($ages as $player => $age) {
            $players[$age->under][] = $player;
        }
        krsort($players);
        $most = null;
        foreach ($players as $under => $some) {
            $most = $most === null || count($some) > count($players[$most]) ? $under : $most;
        }
        ksort($players);
        $others = [];
        foreach ($players as $under => $some) {
            $own = $under === $most ? null : self::dose($drill, $planned, AgeGroup::of("U{$under}"), AgeGroup::of("U{$most}"));
            if ($own !== null && $own->fields() !== $planned->fields() && ! self::isOvertime($own, $planned)) {
                $others[] = new self(AgeGroup::of("U{$under}"), $some, $own);
            }
        }

        return $others;
    }

    private static function isOvertime(Dose $own, Dose $planned): bool
    {
        return $own->clockedSetSeconds() > ($planned->clockedSetSeconds() ?? INF);
    }

    private static function dose(Drill $drill, Dose $planned, AgeGroup $own, AgeGroup $most): ?Dose
    {
        $of = static fn (AgeGroup $age): float => DrillScaling::factor($drill, $age)->dose ?? 1.0;
        try {
            return $drill->doseFrom(DrillScaling::dose($planned->fields(), $of($own) / $of($most)));
        } catch (CoreException) {
            return null;
        }
    }
}
