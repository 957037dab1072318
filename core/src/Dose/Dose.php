<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Dose;

use FleetSparrow\Core\Shared\Memo;

/** What is prescribed: how much work, on which sides, in how many sets, with which rest. */
interface Dose
{
    public static function declared(): DoseDeclaration;

    /** The name used in files and in the interface. */
    public function kind(): string;

    public function sides(): DoseSides;

    /** Sets of each side. */
    public function sets(): int;

    public function restSeconds(): float;

    /**
     * Every field, as a drill file writes it.
     *
     * @return array<string, int|float|string>
     */
    public function fields(): array;

    /**
     * What of the dose makes the task, so that marks compare like with like; sets and rests do not.
     *
     * @return array<string, mixed>
     */
    public function window(): array;

    /** Seconds of one set where the clock ends it, or null where the work does. */
    public function clockedSetSeconds(): ?float;

    /** Goes of one player: one set on one side, in a streak and a race one try. */
    public function goes(): int;

    /** Whether a go may take for ever where chance is against it, so that a coach stops it. */
    public function mayNotEnd(): bool;

    /** Seconds after which a coach stops a go that may not end; 0 for never, null for the usual time. */
    public function stopsAfter(): ?float;

    /**
     * All goes of one player, the rests between them left out.
     *
     * @param  float|null  $limitSeconds  when a coach stops a go that would not end; null for never
     * @param  int|null  $goes  another number of them, with the same chance and pace
     */
    public function played(Pace $pace, ?float $limitSeconds, Memo $memo, ?int $goes = null): Played;
}
