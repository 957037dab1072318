<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\Role;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Foundation\Auth\User as Authenticatable;
use Illuminate\Support\Facades\DB;

/**
 * Somebody on the staff. Not scoped to the club: it is the user who says which club is acted for.
 *
 * @property int $id
 * @property int $club_id
 * @property string $name
 * @property string $email
 * @property string $password
 * @property bool $is_lead
 * @property Club $club
 * @property Collection<int, Squad> $squads
 */
class User extends Authenticatable
{
    protected $attributes = ['is_lead' => false];

    protected $fillable = ['club_id', 'name', 'email', 'password', 'is_lead'];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed', 'is_lead' => 'boolean'];
    }

    /** @return BelongsTo<Club, $this> */
    public function club(): BelongsTo
    {
        return $this->belongsTo(Club::class);
    }

    /** @return BelongsToMany<Squad, $this> */
    public function squads(): BelongsToMany
    {
        return $this->belongsToMany(Squad::class, 'squad_staff')->withPivot('role');
    }

    /** @return HasMany<SignIn, $this> */
    public function signIns(): HasMany
    {
        return $this->hasMany(SignIn::class);
    }

    /** Null for a squad that is no business of theirs. */
    public function roleIn(Squad $squad): ?Role
    {
        if ($squad->club_id !== $this->club_id) {
            return null;
        }
        if ($this->is_lead) {
            return Role::Lead;
        }
        /** @var string|null $role */
        $role = DB::table('squad_staff')->where('squad_id', $squad->id)->where('user_id', $this->id)->value('role');

        return $role === null ? null : Role::from($role);
    }

    /** @return list<array{squad: Squad, role: Role}> the squads open to them, oldest first */
    public function openSquads(): array
    {
        $squads = $this->is_lead ? Squad::query()->orderBy('id')->get() : $this->squads()->orderBy('squads.id')->get();

        return array_values($squads->map(fn (Squad $squad): array => [
            'squad' => $squad,
            'role' => $this->is_lead ? Role::Lead : Role::from((string) $squad->getRelation('pivot')->getAttribute('role')),
        ])->all());
    }
}
