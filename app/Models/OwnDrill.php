<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A drill of a squad's own: its versions are drill versions. Retired, never deleted, for plans and marks point at it.
 *
 * @property int $id
 * @property int $club_id
 * @property int $squad_id
 * @property string $slug
 * @property string|null $copied_from
 * @property bool $is_shared
 * @property int $version
 * @property \Carbon\CarbonImmutable|null $retired_at_utc
 * @property Squad $squad
 */
class OwnDrill extends Model
{
    use BelongsToClub;

    /** Begins every slug of a drill that is not the book's, so that no entry of the book can take it. */
    public const PREFIX = 'own-';

    protected $fillable = ['squad_id', 'slug', 'copied_from', 'is_shared', 'version', 'retired_at_utc'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_shared' => 'boolean', 'retired_at_utc' => 'immutable_datetime'];
    }

    public static function isOwn(string $slug): bool
    {
        return str_starts_with($slug, self::PREFIX);
    }

    /** @return BelongsTo<Squad, $this> */
    public function squad(): BelongsTo
    {
        return $this->belongsTo(Squad::class);
    }
}
