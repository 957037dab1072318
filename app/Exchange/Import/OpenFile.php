<?php

declare(strict_types=1);

namespace App\Exchange\Import;

use FleetSparrow\Core\Drill\Reading\BookFields;
use FleetSparrow\Core\Drill\Reading\FaultList;
use FleetSparrow\Core\Exception\InvalidDrill;
use Illuminate\Validation\ValidationException;
use JsonException;

/** What every open format has in common: JSON, a name, a version that is not newer than what is known, and faults by path. */
final class OpenFile
{
    public const MOST_BYTES = 1_000_000;

    /**
     * @param  int  $version  the newest known here
     * @param  int  $oldest  that is still read
     * @return array<array-key, mixed>
     *
     * @throws ValidationException
     */
    public static function decoded(string $text, string $format, int $version, int $oldest): array
    {
        if (strlen($text) > self::MOST_BYTES) {
            self::refuse(['file' => 'A file holds at most 1 MB.']);
        }
        try {
            $file = json_decode($text, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $fault) {
            self::refuse(['file' => "This is not a JSON file: {$fault->getMessage()}."]);
        }
        if (! is_array($file) || ($file['format'] ?? null) !== $format) {
            $kind = str_replace(['fleet-sparrow/', '-'], ['', ' '], $format);
            self::refuse(['format' => "This is not a {$kind} file: its \"format\" is not \"{$format}\"."]);
        }
        $said = $file['version'] ?? null;
        if (! is_int($said) || $said < $oldest || $said > $version) {
            self::refuse(['version' => is_int($said) && $said > $version
                ? "This file is of version {$said}; version {$version} is the newest known here. Update first."
                : 'The "version" of such a file is '.implode(' or ', range($oldest, $version)).'.']);
        }

        return $file;
    }

    /**
     * Reads the whole file and only then refuses: every fault comes with its path.
     *
     * @template T
     *
     * @param  array<array-key, mixed>  $file
     * @param  callable(BookFields, FaultList): (T|null)  $read  null where a fault was kept
     * @return T
     *
     * @throws ValidationException
     */
    public static function whole(array $file, callable $read): mixed
    {
        $faults = new FaultList;
        $result = $faults->try('file', fn (): mixed => $read(new BookFields($file), $faults));
        try {
            $faults->throwIfAny('file');
        } catch (InvalidDrill $fault) {
            $byPath = [];
            foreach ($fault->faults as $one) {
                $byPath[$one->path] ??= $one->message;
            }
            self::refuse($byPath);
        }

        return $result ?? self::refuse(['file' => 'The file could not be read.']);
    }

    /** @param  array<string, string>  $faults */
    public static function refuse(array $faults): never
    {
        throw ValidationException::withMessages(array_map(fn (string $message): array => [$message], $faults));
    }
}
