<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Query\Builder as BaseBuilder;

/**
 * One number written down; an event that is never changed. Written by TakeMarks alone.
 *
 * @property string $uuid
 * @property int $player_id
 * @property int $training_session_id
 * @property string $line_key
 * @property int $try_number
 * @property string $value
 * @property bool $is_void
 * @property bool $is_disputed
 * @property string $reason
 * @property string $source
 * @property string $marked_on
 * @property string|null $supersedes JSON list of UUIDs
 * @property string|null $parts JSON of what the number is made of
 */
class Mark extends Model
{
    use BelongsToClub;

    protected $primaryKey = 'uuid';

    protected $keyType = 'string';

    public $incrementing = false;

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['is_void' => 'boolean', 'is_disputed' => 'boolean'];
    }

    /**
     * Marks that nothing has superseded. A supersession holds within its own session, and only a coach's reaches what
     * somebody else wrote.
     *
     * @param  Builder<Mark>  $query
     */
    public static function standing(Builder $query): void
    {
        $query->whereNotExists(self::holding(...));
    }

    public static function holding(BaseBuilder $newer): void
    {
        $newer->selectRaw('1')->from('mark_supersessions as newer')
            ->whereColumn('newer.superseded_uuid', 'marks.uuid')
            ->whereColumn('newer.training_session_id', 'marks.training_session_id')
            ->where(fn (BaseBuilder $may) => $may->where('newer.by_coach', true)->orWhereColumn('newer.entered_by', 'marks.entered_by'));
    }

    /** @return array{kind: string, numbers: list<int>}|null */
    public static function partsOf(?string $json): ?array
    {
        /** @var array{kind: string, numbers: list<int>}|null $parts */
        $parts = $json === null ? null : json_decode($json, true, 4, JSON_THROW_ON_ERROR);

        return $parts;
    }

    /** @return list<int> */
    public static function partNumbers(?string $json): array
    {
        return self::partsOf($json)['numbers'] ?? [];
    }

    /** @return list<string> */
    public static function uuids(?string $json): array
    {
        /** @var list<string> $uuids */
        $uuids = $json === null ? [] : json_decode($json, true, 4, JSON_THROW_ON_ERROR);

        return $uuids;
    }
}
