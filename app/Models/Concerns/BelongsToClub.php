<?php

declare(strict_types=1);

namespace App\Models\Concerns;

use App\Models\Club;
use App\Tenancy\ClubContext;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/** Rows of one club: every query is narrowed to the club acted for, and throws when there is none. */
trait BelongsToClub
{
    public static function bootBelongsToClub(): void
    {
        static::addGlobalScope('club', function (Builder $query): void {
            $query->where($query->getModel()->qualifyColumn('club_id'), resolve(ClubContext::class)->clubId());
        });
        static::creating(function (Model $model): void {
            $model->setAttribute('club_id', resolve(ClubContext::class)->clubId());
        });
    }

    /** @return BelongsTo<Club, $this> */
    public function club(): BelongsTo
    {
        return $this->belongsTo(Club::class);
    }
}
