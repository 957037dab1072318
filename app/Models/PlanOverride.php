<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A caution that forbids something and was let stand: by whom, when and why.
 *
 * @property int $training_session_id
 * @property string|null $block_key  null for the session as a whole
 * @property string $code
 * @property string $sentence  as it was read
 * @property string $reason
 * @property int|null $overridden_by
 * @property CarbonImmutable|null $created_at
 * @property User|null $by
 */
class PlanOverride extends Model
{
    use BelongsToClub;

    protected $fillable = ['training_session_id', 'block_key', 'code', 'sentence', 'reason', 'overridden_by'];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['created_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<User, $this> */
    public function by(): BelongsTo
    {
        return $this->belongsTo(User::class, 'overridden_by');
    }
}
