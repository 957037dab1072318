<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * @property int $id
 * @property string $name
 * @property string $time_zone
 */
class Club extends Model
{
    protected $fillable = ['name', 'time_zone'];
}
