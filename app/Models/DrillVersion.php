<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ClubContext;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Facades\DB;

/**
 * What a drill said at one time; never changed once stored. Of the book, which belongs to no club, or a club's own: every query
 * is narrowed to the two, and throws when no club is acted for.
 *
 * @property int $id
 * @property int|null $club_id
 * @property int|null $own_drill_id
 * @property string $slug
 * @property string $family
 * @property string $name
 * @property array<string, mixed> $content
 * @property bool $is_current
 * @property OwnDrill|null $ownDrill
 */
class DrillVersion extends Model
{
    protected $fillable = ['club_id', 'own_drill_id', 'slug', 'family', 'name', 'content_hash', 'content', 'is_current'];

    private ?Drill $built = null;

    protected static function booted(): void
    {
        static::addGlobalScope('book or club', function (Builder $query): void {
            $clubId = resolve(ClubContext::class)->clubId();
            $query->where(
                fn (Builder $either): Builder => $either->whereNull('drill_versions.club_id')->orWhere('drill_versions.club_id', $clubId),
            );
        });
    }

    /** @return Builder<static> the book alone, for whoever loads it on behalf of no club */
    public static function ofTheBook(): Builder
    {
        return static::query()->withoutGlobalScope('book or club')->whereNull('drill_versions.club_id');
    }

    /** @return Builder<static> what a squad can plan with as it stands: the book, its own, and what the club's other squads share */
    public static function currentFor(Squad $squad): Builder
    {
        return static::query()->where('is_current', true)->where(
            fn (Builder $either): Builder => $either->whereNull('own_drill_id')->orWhereHas(
                'ownDrill',
                fn (Builder $own): Builder => $own->whereNull('retired_at_utc')->where(
                    fn (Builder $theirs): Builder => $theirs->where('squad_id', $squad->id)->orWhere('is_shared', true),
                ),
            ),
        );
    }

    /**
     * @return Builder<static> every version a squad may read or plan with, of today or before: the book, its own, what others of
     *                         the club share, and what stands in a plan of its own already
     */
    public static function openTo(Squad $squad): Builder
    {
        return static::query()->where(
            fn (Builder $either) => $either->whereNull('drill_versions.own_drill_id')
                ->orWhereHas(
                    'ownDrill',
                    fn (Builder $own): Builder => $own->where(
                        fn (Builder $theirs): Builder => $theirs->where('squad_id', $squad->id)->orWhere('is_shared', true),
                    ),
                )
                ->orWhereIn('drill_versions.id', DB::table('session_blocks')->join(
                    'training_sessions',
                    'training_sessions.id',
                    '=',
                    'session_blocks.training_session_id',
                )
                    ->where('training_sessions.squad_id', $squad->id)->whereNotNull('drill_version_id')->select('drill_version_id')),
        );
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['content' => 'array', 'is_current' => 'boolean'];
    }

    /** @return BelongsTo<OwnDrill, $this> */
    public function ownDrill(): BelongsTo
    {
        return $this->belongsTo(OwnDrill::class);
    }

    /** The core value; built once. */
    public function drill(): Drill
    {
        return $this->built ??= DrillFactory::fromFields($this->content);
    }
}
