<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Exception;

use InvalidArgumentException;

/** Refuses a drill whose description has a fault. */
final class InvalidDrill extends InvalidArgumentException implements CoreException
{
    use Refuses;

    private const REASON = 'drill';

    /** @var list<FieldFault> every fault that was found, by the path of its field */
    public array $faults = [];

    /** @param  non-empty-list<FieldFault>  $faults */
    public static function withFaults(string $slug, array $faults): self
    {
        $all = implode(' ', array_map(static fn (FieldFault $fault): string => "{$fault->path}: {$fault->message}", $faults));
        $refusal = self::at($faults[0]->path, "Drill {$slug}, {$all}");
        $refusal->faults = $faults;

        return $refusal;
    }
}
