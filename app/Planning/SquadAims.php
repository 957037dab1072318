<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\DrillVersion;
use App\Models\RecordLine;
use App\Models\Squad;
use FleetSparrow\Core\Record\Aim;
use FleetSparrow\Core\Record\Bounds;
use FleetSparrow\Core\Record\TargetSchool;
use FleetSparrow\Core\Shared\AgeGroup;
use Illuminate\Support\Facades\DB;

/** How a squad sets the number to beat on each of some lines: as it usually does, or as it does for that drill. */
final class SquadAims
{
    public function __construct(private readonly SquadHistory $history)
    {
    }

    /**
     * @param  array<string, RecordLine>  $lines  by key
     * @return array<string, Aim> by key
     */
    public function of(Squad $squad, array $lines): array
    {
        ['schools' => $chosen, 'numbers' => $numbers] = $this->history->rememberAside(
            $squad,
            'targets',
            static fn (): array => self::chosen($squad),
        );
        $schools = array_map(static fn (RecordLine $line): TargetSchool => $chosen[$line->drill_slug] ?? $squad->target_school, $lines);
        $fixed = in_array(TargetSchool::Fixed, $schools, true) ? $this->fixed($squad, $lines, $numbers) : [];

        return array_map(static fn (RecordLine $line): Aim => new Aim(
            school: $schools[$line->line_key],
            bounds: Bounds::of($line->kind, $line->task),
            fixed: $fixed[$line->line_key] ?? null,
            stretchChance: $squad->stretchChance(),
        ), $lines);
    }

    /** @return array{schools: array<string, TargetSchool>, numbers: array<string, float|null>} by drill, where it is not as usual */
    private static function chosen(Squad $squad): array
    {
        [$schools, $numbers] = [[], []];
        foreach (DB::table('drill_targets')->where('squad_id', $squad->id)->get() as $one) {
            $schools[(string) $one->drill_slug] = TargetSchool::from((string) $one->school);
            $numbers[(string) $one->drill_slug] = $one->number === null ? null : (float) $one->number;
        }

        return ['schools' => $schools, 'numbers' => $numbers];
    }

    /**
     * The one number holds for the drill's own dose: seventy in thirty seconds says nothing of forty-five.
     *
     * @param  array<string, RecordLine>  $lines
     * @param  array<string, float|null>  $numbers  the squad's own, by drill
     * @return array<string, float> by key
     */
    private function fixed(Squad $squad, array $lines, array $numbers): array
    {
        $slugs = array_map(static fn (RecordLine $line): string => $line->drill_slug, array_values($lines));
        $drills = DrillVersion::currentFor($squad)->whereIn('drill_versions.slug', $slugs)->get()->keyBy('slug');
        $age = AgeGroup::tryOf($squad->age_group);
        $fixed = [];
        foreach ($lines as $key => $line) {
            $drill = $drills->get($line->drill_slug)?->drill();
            if ($drill?->dose === null || $drill->task($drill->dose, $line->side, $squad->ballSize())?->key !== $key) {
                continue;
            }
            $fixed[$key] = $numbers[$line->drill_slug] ?? ($age === null ? null : $drill->rule?->fixedFor($age));
        }

        return array_filter($fixed, static fn (?float $number): bool => $number !== null);
    }
}
