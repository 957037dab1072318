<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Foundation\Auth\User as Authenticatable;

/**
 * A coach or assistant. Not scoped to the club: it is the user who says which club is acted for.
 *
 * @property int $id
 * @property int $club_id
 * @property string $name
 * @property string $email
 * @property Club $club
 */
class User extends Authenticatable
{
    protected $fillable = ['club_id', 'name', 'email', 'password'];

    protected $hidden = ['password', 'remember_token'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['password' => 'hashed'];
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
}
