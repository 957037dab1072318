<?php

declare(strict_types=1);

namespace App\Exchange\Import;

use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Exception\InvalidDrill;
use Illuminate\Validation\ValidationException;

/** Reads a `fleet-sparrow/drill` file. It is taken whole or refused whole, with every fault by its path. */
final class DrillFile
{
    public const FORMAT = 'fleet-sparrow/drill';

    public const VERSION = 2;

    /** Version 1 had no count unit, no sets to be written and no limit of a go. */
    public const OLDEST = 1;

    private const MOST_DRILLS = 200;

    /**
     * @return list<array<string, mixed>> the fields of each drill
     *
     * @throws ValidationException
     */
    public static function read(string $text): array
    {
        $file = OpenFile::decoded($text, self::FORMAT, self::VERSION, self::OLDEST);
        $drills = $file['drills'] ?? null;
        if (! is_array($drills) || ! array_is_list($drills) || $drills === [] || count($drills) > self::MOST_DRILLS) {
            OpenFile::refuse(['drills' => 'A drill file lists 1 to '.self::MOST_DRILLS.' drills under "drills".']);
        }
        $faults = [];
        $names = [];
        foreach ($drills as $i => $fields) {
            $faults += self::faults("drills.{$i}", $fields);
            $name = is_array($fields) && is_string($fields['name'] ?? null) ? mb_strtolower($fields['name']) : '';
            if (isset($names[$name])) {
                $faults["drills.{$i}.name"] = "Entry {$names[$name]} has the same name.";
            }
            $names[$name] ??= $i;
        }
        if ($faults !== []) {
            OpenFile::refuse($faults);
        }

        /** @var list<array<string, mixed>> $drills */
        return $drills;
    }

    /** @return array<string, string> path → sentence */
    private static function faults(string $path, mixed $fields): array
    {
        if (! is_array($fields)) {
            return [$path => 'A drill is a list of fields.'];
        }
        try {
            DrillFactory::fromFields($fields);
        } catch (InvalidDrill $fault) {
            $faults = [];
            foreach ($fault->faults as $one) {
                $faults["{$path}.{$one->path}"] = $one->message;
            }

            return $faults === [] ? [$path => $fault->getMessage()] : $faults;
        }

        return [];
    }
}
