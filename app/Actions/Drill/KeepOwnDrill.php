<?php

declare(strict_types=1);

namespace App\Actions\Drill;

use App\Actions\StaleVersion;
use App\Models\DrillVersion;
use App\Models\OwnDrill;
use App\Models\Squad;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Validation\ValidationException;

/** Keeps a drill of a squad's own: a new one, or the next version of one it has. Versions are never changed once kept. */
final class KeepOwnDrill
{
    /**
     * @param  array<string, mixed>  $fields  as `DrillFactory` has taken them
     * @param  OwnDrill|null  $own  null for a new one
     * @param  int|null  $changed  the version that was changed; null for a new one
     *
     * @throws ValidationException If another drill of the squad's book has the name.
     * @throws StaleVersion If it was changed elsewhere meanwhile.
     */
    public function keep(Squad $squad, array $fields, ?OwnDrill $own, ?string $copiedFrom, ?int $changed = null): DrillVersion
    {
        $name = is_string($fields['name'] ?? null) ? $fields['name'] : '';
        foreach (DrillVersion::currentFor($squad)->get(['name', 'own_drill_id']) as $other) {
            if (mb_strtolower($other->name) === mb_strtolower($name) && $other->own_drill_id !== ($own->id ?? 0)) {
                throw ValidationException::withMessages(
                    ['fields.name' => ["\"{$other->name}\" is in the book already. Give this one a name of its own."]],
                );
            }
        }

        return DB::transaction(function () use ($squad, $fields, $own, $copiedFrom, $changed, $name): DrillVersion {
            if ($own !== null) {
                $own = OwnDrill::query()->whereKey($own->id)->lockForUpdate()->firstOrFail();
                StaleVersion::refuse('drill', $changed ?? $own->version, $own->version);
            }
            $own ??= OwnDrill::query()->create(
                [
                    'squad_id' => $squad->id,
                    'slug' => OwnDrill::PREFIX.Str::limit(Str::slug($name), 50, '').'-'.Str::lower(Str::random(6)),
                    'copied_from' => $copiedFrom,
                    'version' => 0,
                ],
            );
            $fields['slug'] = $own->slug;
            $content = json_encode($fields, JSON_THROW_ON_ERROR);
            DrillVersion::query()->where('own_drill_id', $own->id)->update(['is_current' => false]);
            $version = DrillVersion::query()->updateOrCreate(
                ['slug' => $own->slug, 'content_hash' => hash('sha256', $content)],
                [
                    'club_id' => $own->club_id,
                    'own_drill_id' => $own->id,
                    'family' => $fields['family'],
                    'name' => $name,
                    'content' => $fields,
                    'is_current' => true,
                ],
            );
            $own->update(['version' => $own->version + 1]);

            return $version;
        });
    }
}
