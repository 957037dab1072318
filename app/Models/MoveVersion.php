<?php

declare(strict_types=1);

namespace App\Models;

use FleetSparrow\Core\Move\Move;
use Illuminate\Database\Eloquent\Model;

/**
 * What a move of the dictionary said at one time; never changed once stored.
 *
 * @property int $id
 * @property string $slug
 * @property array<string, mixed> $content
 */
class MoveVersion extends Model
{
    protected $fillable = ['slug', 'family', 'name', 'content_hash', 'content', 'is_current'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['content' => 'array', 'is_current' => 'boolean'];
    }

    public function move(): Move
    {
        return Move::fromFields($this->content);
    }
}
