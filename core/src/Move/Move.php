<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Move;

use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Reading\BookFields;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Shared\Fault;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;

/** A move of the dictionary: one descriptive name, one touch script, and the words coaches use for it. */
final readonly class Move
{
    /**
     * @param  string  $cue  what the body does, in the words of a coach
     * @param  non-empty-list<Fault>  $faults
     * @param  list<string>  $easier  slugs of easier neighbours
     * @param  list<string>  $harder  slugs of harder neighbours
     * @param  list<string>  $needs  slugs of what must be there first
     * @param  list<string>  $words  other words for it; the same word may mean several moves
     */
    private function __construct(
        public string $slug,
        public string $name,
        public Family $family,
        public Script $script,
        public string $cue,
        public array $faults,
        public array $easier,
        public array $harder,
        public array $needs,
        public array $words,
    ) {
    }

    /**
     * @param  array<array-key, mixed>  $fields
     *
     * @throws InvalidDrill If a field is missing or says something that cannot be done.
     */
    public static function fromFields(array $fields): self
    {
        $read = new BookFields($fields);
        $slug = $read->slug();
        try {
            $faults = $read->faults();

            return new self(
                slug: $slug,
                name: $read->text('name'),
                family: $read->family(),
                script: Script::fromText($read->text('script')),
                cue: $read->text('cue'),
                faults: $faults === [] ? throw InvalidDrill::at('faults', '"faults" needs at least one fault with its fix.') : $faults,
                easier: $read->texts('easier'),
                harder: $read->texts('harder'),
                needs: $read->texts('needs'),
                words: $read->texts('words'),
            );
        } catch (CoreException $fault) {
            throw InvalidDrill::at($fault->path(), "Move {$slug}: {$fault->getMessage()}");
        }
    }

    /** Where nobody has said: half a second a touch, one second at least; this tool's own value. */
    public function secondsPerRep(): float
    {
        return max(1.0, 0.5 * $this->touchesPerRep());
    }

    /** Contacts of one rep; a part done as often as the path allows counts once. */
    public function touchesPerRep(): int
    {
        return (int) round(Tally::of($this->script)->contacts());
    }
}
