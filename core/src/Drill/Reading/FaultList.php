<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill\Reading;

use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Exception\FieldFault;
use FleetSparrow\Core\Exception\InvalidDrill;

/** Gathers every fault of an entry, so that a file is mended in one go and not fault by fault. */
final class FaultList
{
    /** @var list<FieldFault> */
    private array $faults = [];

    public function add(string $path, string $message): void
    {
        $this->faults[] = new FieldFault($path, $message);
    }

    /**
     * @template T
     *
     * @param  callable(): T  $read
     * @return T|null null where it was refused; the fault is kept
     */
    public function try(string $path, callable $read): mixed
    {
        try {
            return $read();
        } catch (InvalidDrill $fault) {
            if ($fault->faults !== []) {
                $this->faults = [...$this->faults, ...$fault->faults];
            } else {
                $this->add($fault->path(), $fault->getMessage());
            }
        } catch (CoreException $fault) {
            $this->add(str_starts_with($fault->path(), "{$path}.") ? $fault->path() : $path, $fault->getMessage());
        }

        return null;
    }

    /**
     * The fields nobody knows: a slip of the pen must not pass for a field left out.
     *
     * @param  array<array-key, mixed>  $fields
     * @param  list<string>  $known
     */
    public function unknown(string $path, array $fields, array $known): void
    {
        foreach (array_keys(array_diff_key($fields, array_flip($known))) as $name) {
            $this->add(ltrim("{$path}.{$name}", '.'), "There is no field \"{$name}\" here.");
        }
    }

    /** @throws InvalidDrill If there was a fault. */
    public function throwIfAny(string $slug): void
    {
        if ($this->faults !== []) {
            throw InvalidDrill::withFaults($slug, $this->faults);
        }
    }
}
