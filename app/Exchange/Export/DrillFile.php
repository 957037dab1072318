<?php

declare(strict_types=1);

namespace App\Exchange\Export;

use App\Exchange\Import\DrillFile as Imported;
use App\Models\DrillVersion;

/** Writes a `fleet-sparrow/drill` file: the fields as they are kept, so that reading it back loses nothing. */
final class DrillFile
{
    /** @param  list<DrillVersion>  $versions */
    public static function of(array $versions): string
    {
        $file = [
            'format' => Imported::FORMAT,
            'version' => Imported::VERSION,
            'drills' => array_map(fn (DrillVersion $version): array => $version->content, $versions),
        ];

        return json_encode(
            $file,
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION,
        )."\n";
    }
}
