<?php

declare(strict_types=1);

namespace App\Models;

use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\DrillFactory;
use Illuminate\Database\Eloquent\Model;

/**
 * What a drill of the book said at one time; never changed once stored.
 *
 * @property int $id
 * @property string $slug
 * @property string $family
 * @property string $name
 * @property array<string, mixed> $content
 */
class DrillVersion extends Model
{
    protected $fillable = ['slug', 'family', 'name', 'content_hash', 'content', 'is_current'];

    private ?Drill $built = null;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['content' => 'array', 'is_current' => 'boolean'];
    }

    /** The core value; built once. */
    public function drill(): Drill
    {
        return $this->built ??= DrillFactory::fromFields($this->content);
    }
}
