<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Organisation;

use LogicException;

/** The goes of a block's places, worked out once for places of the same size. */
final class GoTables
{
    /** @var array<string, list<Go>> */
    private array $known = [];

    public function __construct(public readonly WorkingWay $way, public readonly GoPattern $pattern)
    {
    }

    /** @return list<Go> */
    public function of(Crew $crew): array
    {
        return $this->known["{$crew->workers} {$crew->servers} ".(int) $crew->isHelped] ??= $this->way->goes($crew, $this->pattern);
    }

    /** @return non-empty-list<Go> those of the same set on the same side */
    public function within(Crew $crew, Go $go): array
    {
        $key = "{$crew->workers} {$crew->servers} ".(int) $crew->isHelped." {$go->side} {$go->set}";
        $goes = $this->known[$key] ??= array_values(array_filter(
            $this->of($crew),
            static fn (Go $one): bool => $one->side === $go->side && $one->set === $go->set,
        ));

        return $goes !== [] ? $goes : throw new LogicException('Every place does every set on every side.');
    }

    /**
     * @param  list<SeatedCrew>  $places
     * @return list<Go> of the place that has most
     */
    public function longest(array $places): array
    {
        $longest = [];
        foreach ($places as $seated) {
            $goes = $this->of($seated->crew);
            $longest = count($goes) > count($longest) ? $goes : $longest;
        }

        return $longest;
    }
}
