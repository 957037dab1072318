<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Ladder;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Reading\BookFields;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Shared\AgeGroup;

/** Rungs from easy to hard: progression up, regression down. */
final readonly class Ladder
{
    /** @param  non-empty-list<Rung>  $rungs  the easiest first */
    private function __construct(public string $slug, public string $name, public Family $family, public array $rungs)
    {
    }

    /**
     * @param  array<array-key, mixed>  $fields
     *
     * @throws InvalidDrill If a field is missing, or a drill stands on it twice.
     */
    public static function fromFields(array $fields): self
    {
        $read = new BookFields($fields);
        $slug = $read->slug();
        try {
            $rungs = array_map(
                static fn (BookFields $rung): Rung => new Rung(
                    $rung->slug('drill'),
                    $rung->number('criterion', 0.1, 9999.0),
                    self::axes($rung),
                ),
                $read->entries('rungs'),
            );
            $drills = array_map(static fn (Rung $rung): string => $rung->drill, $rungs);
            if (count($rungs) < 2 || count($drills) !== count(array_unique($drills))) {
                throw $read->refusal('rungs', 'A ladder has two rungs or more, each another drill.');
            }

            return new self($slug, $read->text('name', most: 120), $read->family(), $rungs);
        } catch (CoreException $fault) {
            throw InvalidDrill::at($fault->path(), "Ladder {$slug}: {$fault->path()}: {$fault->getMessage()}");
        }
    }

    /**
     * The rungs below and above a drill's.
     *
     * @return array{easier: Rung|null, here: Rung, harder: Rung|null}|null null where the drill is not on it
     */
    public function around(string $drill): ?array
    {
        foreach ($this->rungs as $i => $rung) {
            if ($rung->drill === $drill) {
                return ['easier' => $this->rungs[$i - 1] ?? null, 'here' => $rung, 'harder' => $this->rungs[$i + 1] ?? null];
            }
        }

        return null;
    }

    /**
     * The same with the criteria for an age.
     *
     * @param  array<string, Drill>  $drills  of its rungs, by slug
     */
    public function forAge(array $drills, AgeGroup $ageGroup): self
    {
        $rungs = array_map(static fn (Rung $rung): Rung => $rung->forAge($drills[$rung->drill], $ageGroup), $this->rungs);

        return new self($this->slug, $this->name, $this->family, $rungs);
    }

    /**
     * What is wrong with a list of ladders as a whole, a sentence each: every rung must be a drill that is counted.
     *
     * @param  list<self>  $ladders
     * @param  list<Drill>  $drills
     * @return list<string>
     */
    public static function faults(array $ladders, array $drills): array
    {
        $counted = [];
        foreach ($drills as $drill) {
            $counted[$drill->slug] = $drill->rule !== null && $drill->dose !== null;
        }
        $faults = [];
        foreach ($ladders as $ladder) {
            foreach ($ladder->rungs as $rung) {
                if (($counted[$rung->drill] ?? null) !== true) {
                    $why = isset($counted[$rung->drill]) ? 'is not counted, so nobody could pass it.' : 'is not in the book.';
                    $faults[] = "Ladder {$ladder->slug}: {$rung->drill} {$why}";
                }
            }
        }

        return $faults;
    }

    /** @return list<Axis> */
    private static function axes(BookFields $rung): array
    {
        return array_map(
            static fn (string $axis): Axis => Axis::tryFrom($axis) ?? throw $rung->refusal(
                'harderBy',
                '"harderBy" lists some of '.implode(', ', array_column(Axis::cases(), 'value')).'.',
            ),
            $rung->texts('harderBy'),
        );
    }
}
