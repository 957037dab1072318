<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Book;

use FleetSparrow\Core\Dose\Alone;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Part;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;

/** What a drill is found by beside its words, and what a list shows of it; worked out once. */
final readonly class DrillFacts
{
    /**
     * @param  array<string, int|float|string>|null  $dose  its own, as a file writes it
     * @param  list<string>  $moves  slugs of the moves in it
     * @param  list<string>  $surfaces
     * @param  string  $feet  one, both or none: whose contacts its script has
     * @param  array<string, int>  $equipment  `Equipment` value → count for one station
     * @param  int  $widthMillimetres  with room round it
     * @param  int  $depthMillimetres  with room round it
     * @param  string  $people  alone, pair or group
     * @param  float|null  $minutes  one turn of its own dose; null when it comes with none
     * @param  int  $underAge  the youngest group it is meant for
     */
    private function __construct(
        public string $slug,
        public string $name,
        public string $summary,
        public Script $script,
        public ?array $dose,
        public string $family,
        public array $moves,
        public array $surfaces,
        public string $feet,
        public array $equipment,
        public int $markers,
        public int $widthMillimetres,
        public int $depthMillimetres,
        public string $people,
        public ?float $minutes,
        public int $underAge,
    ) {
    }

    /** @param  array<string, string>  $moveScripts  slug → canonical script text */
    public static function of(Drill $drill, array $moveScripts, Memo $memo): self
    {
        $tally = Tally::of($drill->script);
        $surfaces = [];
        foreach ($tally->bySideAndSurface() as $some) {
            $surfaces = [...$surfaces, ...array_keys($some)];
        }
        $footprint = $drill->layout->footprint();
        $room = 2 * $footprint->clearanceMillimetres;
        $kit = $drill->kit(1);

        return new self(
            slug: $drill->slug,
            name: $drill->name,
            summary: $drill->summary,
            script: $drill->script,
            dose: $drill->dose?->fields(),
            family: $drill->family->value,
            moves: self::moves($drill, $moveScripts),
            surfaces: array_values(array_unique(array_map(strval(...), $surfaces))),
            feet: self::feet($tally),
            equipment: $kit->equipment,
            markers: $kit->markers(),
            widthMillimetres: $footprint->widthMillimetres + $room,
            depthMillimetres: $footprint->depthMillimetres + $room,
            people: $drill->organisation->people(),
            minutes: $drill->dose === null ? null : Alone::meanSeconds($drill->dose, $drill->pace(Tempo::Steady), $memo) / 60.0,
            underAge: $drill->demands->fromAge->under,
        );
    }

    /** A script leads with `a`; whether `b` acts too is read off the unresolved script. */
    private static function feet(Tally $tally): string
    {
        $acts = static fn (FootMark $foot): bool => $tally->contactsOf($foot) > 0.0;
        $unknown = $acts(FootMark::Unknown);
        $sides = count(array_filter([FootMark::Leading, FootMark::Other, FootMark::Left, FootMark::Right], $acts));

        return match (true) {
            $sides >= 2 || $unknown => 'both',
            $sides === 1 => 'one',
            default => 'none',
        };
    }

    /**
     * @param  array<string, string>  $moveScripts
     * @return list<string>
     */
    private static function moves(Drill $drill, array $moveScripts): array
    {
        $scripts = array_map(static fn (Part $part): string => $part->script->text(), $drill->composition->parts);
        foreach ($drill->composition->items as $item) {
            $scripts[] = $item->script->text();
        }
        $scripts = $scripts === [] ? [$drill->script->text()] : $scripts;
        $within = ' '.strtr(implode(' | ', $scripts), ['(' => '', ')x+' => '']).' ';
        $found = $drill->composition->moves();
        foreach ($moveScripts as $slug => $text) {
            if (str_contains($within, ' '.strtr($text, ['(' => '', ')x+' => '']).' ')) {
                $found[] = $slug;
            }
        }

        return array_values(array_unique($found));
    }
}
