<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * One thing practised at home on one day, as a player or a sheet says it: apart from every record until a coach confirms it.
 *
 * @property string $uuid
 * @property int $club_id
 * @property int $player_id
 * @property string $drill_slug
 * @property CarbonImmutable $practised_on
 * @property bool $was_moved  the phone's date was wrong, and the day was reckoned
 * @property array{version: int, links: int|null, dose: array<string, mixed>} $task  as the week asked for it when it came
 * @property list<array{lineKey: string, value: int|float, parts: array{kind: string, numbers: list<int>}|null}> $numbers
 * @property string|null $felt  easy, right or hard
 * @property string $source  link or paper
 * @property string $phone  tells two phones apart, and says nothing else
 * @property string $state  waiting, confirmed or left-out
 * @property Player $player
 */
class HomeEntry extends Model
{
    use BelongsToClub;

    public const WAITING = 'waiting';

    public const CONFIRMED = 'confirmed';

    public const LEFT_OUT = 'left-out';

    protected $primaryKey = 'uuid';

    protected $keyType = 'string';

    public $incrementing = false;

    public $timestamps = false;

    protected $guarded = [];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['practised_on' => 'immutable_date:Y-m-d', 'was_moved' => 'boolean', 'numbers' => 'array', 'task' => 'array'];
    }

    /** @return BelongsTo<Player, $this> */
    public function player(): BelongsTo
    {
        return $this->belongsTo(Player::class);
    }
}
