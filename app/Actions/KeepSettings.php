<?php

declare(strict_types=1);

namespace App\Actions;

use App\Actions\Record\OpenRecordLines;
use App\Auth\AuditTrail;
use App\Models\Club;
use App\Models\Squad;
use App\Models\User;
use App\Planning\SquadHistory;
use Illuminate\Support\Facades\DB;

/** Keeps what a squad or a club has chosen, unless it was changed elsewhere, and notes what is different now. */
final class KeepSettings
{
    public function __construct(
        private readonly AuditTrail $trail,
        private readonly SquadHistory $history,
        private readonly OpenRecordLines $openRecordLines,
    ) {
    }

    /**
     * @param  array<string, mixed>  $columns
     *
     * @throws StaleVersion
     */
    public function ofSquad(Squad $squad, array $columns, int $version, User $by): Squad
    {
        return DB::transaction(function () use ($squad, $columns, $version, $by): Squad {
            $squad = Squad::query()->whereKey($squad->id)->lockForUpdate()->firstOrFail();
            StaleVersion::refuse('squad\'s settings', $version, $squad->version);
            $ballBefore = $squad->ballSize();
            $this->note($squad, $columns, $squad->id, $by);
            $squad->version++;
            $squad->save();
            if ($squad->ballSize() !== $ballBefore) {
                $this->openRecordLines->ahead($squad);
            }
            $this->history->changed($squad->id);

            return $squad;
        });
    }

    /**
     * @param  array<string, mixed>  $columns
     *
     * @throws StaleVersion
     */
    public function ofClub(Club $club, array $columns, int $version, User $by): Club
    {
        return DB::transaction(function () use ($club, $columns, $version, $by): Club {
            $club = Club::query()->whereKey($club->id)->lockForUpdate()->firstOrFail();
            StaleVersion::refuse('club\'s settings', $version, $club->version);
            $this->note($club, $columns, null, $by);
            $club->version++;
            $club->save();

            return $club;
        });
    }

    /** @param  array<string, mixed>  $columns */
    private function note(Squad|Club $owner, array $columns, ?int $squadId, User $by): void
    {
        $about = $owner->name;
        $owner->fill($columns);
        $changes = [];
        foreach (array_keys($owner->getDirty()) as $column) {
            $changes[$column] = [$owner->getRawOriginal($column), $owner->getAttributes()[$column]];
        }
        if ($changes !== []) {
            $this->trail->noteOf($by, 'settings.changed', $about, $squadId, $changes);
        }
    }
}
