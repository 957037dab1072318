<?php

declare(strict_types=1);

namespace App\Models;

use FleetSparrow\Core\Ladder\Ladder;
use Illuminate\Database\Eloquent\Model;

/**
 * What a ladder of the book said at one time; never changed once stored. Ladders belong to no club.
 *
 * @property string $slug
 * @property array<string, mixed> $content
 */
class LadderVersion extends Model
{
    protected $fillable = ['slug', 'family', 'name', 'content_hash', 'content', 'is_current'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['content' => 'array', 'is_current' => 'boolean'];
    }

    public function ladder(): Ladder
    {
        return Ladder::fromFields($this->content);
    }
}
