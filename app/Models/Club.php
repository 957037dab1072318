<?php

declare(strict_types=1);

namespace App\Models;

use App\Tenancy\ClubDay;
use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $name
 * @property string $time_zone
 * @property int $version of what it has chosen
 * @property int<1, 7> $week_starts_on 1 is Monday
 */
class Club extends Model
{
    protected $attributes = ['week_starts_on' => 1, 'version' => 1];

    protected $fillable = ['name', 'time_zone', 'week_starts_on', 'version'];

    public function day(): ClubDay
    {
        return ClubDay::of($this->time_zone, $this->week_starts_on);
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return ['week_starts_on' => 'integer'];
    }
}
