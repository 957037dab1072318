<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;

/**
 * One number written down; an event that is never changed.
 *
 * @property string $uuid
 * @property int $player_id
 * @property int $training_session_id
 * @property string $line_key
 * @property int $try_number
 * @property string $value
 * @property bool $is_void
 * @property string $marked_on
 * @property string|null $supersedes_uuid
 */
class Mark extends Model
{
    use BelongsToClub;

    protected $primaryKey = 'uuid';

    protected $keyType = 'string';

    public $incrementing = false;

    protected $fillable = ['uuid', 'player_id', 'training_session_id', 'line_key', 'try_number', 'value', 'is_void', 'marked_on', 'recorded_at_utc', 'supersedes_uuid', 'entered_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_void' => 'boolean'];
    }

    /**
     * Marks that nothing has superseded.
     *
     * @param  Builder<Mark>  $query
     */
    public static function standing(Builder $query): void
    {
        $query->whereNotExists(fn ($newer) => $newer->selectRaw('1')->from('marks as newer')
            ->whereColumn('newer.supersedes_uuid', 'marks.uuid')
            ->whereColumn('newer.club_id', 'marks.club_id'));
    }
}
