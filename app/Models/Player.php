<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use FleetSparrow\Core\Shared\StrongFoot;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property int $squad_id
 * @property string $name
 * @property int|null $bib
 * @property StrongFoot $strong_foot
 * @property int|null $birth_year
 * @property string|null $private_note for coaches and the club lead
 * @property Squad $squad
 * @property Club $club
 */
class Player extends Model
{
    use BelongsToClub;

    protected $fillable = ['squad_id', 'name', 'bib', 'strong_foot', 'birth_year', 'private_note'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['strong_foot' => StrongFoot::class, 'bib' => 'integer', 'birth_year' => 'integer'];
    }

    /** @return BelongsTo<Squad, $this> */
    public function squad(): BelongsTo
    {
        return $this->belongsTo(Squad::class);
    }
}
