<?php

declare(strict_types=1);

namespace App\Models;

use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Shared\Side;
use Illuminate\Database\Eloquent\Model;

/**
 * A task that marks can be compared on. Belongs to no club: the key is made of the task alone.
 *
 * @property string $line_key
 * @property string $drill_slug
 * @property string $drill_name
 * @property string $family
 * @property MarkKind $kind
 * @property Side $side
 * @property array<string, mixed> $task
 */
class RecordLine extends Model
{
    protected $primaryKey = 'line_key';

    protected $keyType = 'string';

    public $incrementing = false;

    protected $fillable = ['line_key', 'drill_slug', 'drill_name', 'family', 'kind', 'side', 'task'];

    /** The task whatever the side: twin lines say the same. */
    public function withoutSide(): string
    {
        return json_encode(array_diff_key($this->task, ['side' => null]), JSON_THROW_ON_ERROR);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['kind' => MarkKind::class, 'side' => Side::class, 'task' => 'array'];
    }
}
