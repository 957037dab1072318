<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Plan\HowHard;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property int $club_id
 * @property int $squad_id
 * @property string $title
 * @property string $place
 * @property CarbonImmutable $starts_at_utc
 * @property int $slot_minutes
 * @property int $version
 * @property string|null $client_uuid what the device that added it calls it, so that it is added once
 * @property int $helpers  grown-ups beside the coach
 * @property bool $is_laid_before  whether the first layout lies before the start
 * @property bool $is_hot  the switch anybody may press
 * @property float|null $temperature_celsius
 * @property float|null $humidity_percent
 * @property string $recap_answers  what the group said today was about
 * @property HowHard|null $recap_how_hard
 * @property bool $is_only_tried  nothing is learned from its run
 * @property bool $is_home  no session with the squad: confirmed numbers from home hang on it
 * @property CarbonImmutable|null $updated_at
 * @property CarbonImmutable|null $run_started_at_utc
 * @property CarbonImmutable|null $run_finished_at_utc
 * @property Squad $squad
 * @property Club $club
 * @property \Illuminate\Database\Eloquent\Collection<int, SessionBlock> $blocks
 * @property \Illuminate\Database\Eloquent\Collection<int, Attendance> $attendances
 * @property \Illuminate\Database\Eloquent\Collection<int, PlanOverride> $overrides
 */
class TrainingSession extends Model
{
    use BelongsToClub;

    protected $attributes = [
        'helpers' => 0,
        'is_laid_before' => true,
        'is_hot' => false,
        'recap_answers' => '',
        'recap_how_hard' => null,
        'is_only_tried' => false,
        'is_home' => false,
    ];

    protected $fillable = [
        'squad_id',
        'title',
        'place',
        'starts_at_utc',
        'slot_minutes',
        'version',
        'client_uuid',
        'helpers',
        'is_laid_before',
        'is_hot',
        'temperature_celsius',
        'humidity_percent',
        'run_started_at_utc',
        'run_finished_at_utc',
        'recap_answers',
        'recap_how_hard',
        'is_only_tried',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'starts_at_utc' => 'immutable_datetime',
            'is_laid_before' => 'boolean',
            'is_hot' => 'boolean',
            'temperature_celsius' => 'float',
            'humidity_percent' => 'float',
            'recap_how_hard' => HowHard::class,
            'is_only_tried' => 'boolean',
            'is_home' => 'boolean',
            'run_started_at_utc' => 'immutable_datetime',
            'run_finished_at_utc' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<Squad, $this> */
    public function squad(): BelongsTo
    {
        return $this->belongsTo(Squad::class);
    }

    /** @return HasMany<SessionBlock, $this> */
    public function blocks(): HasMany
    {
        return $this->hasMany(SessionBlock::class)->orderBy('position');
    }

    /** @return HasMany<PlanOverride, $this> */
    public function overrides(): HasMany
    {
        return $this->hasMany(PlanOverride::class)->orderBy('id');
    }

    /** @return HasMany<Attendance, $this> */
    public function attendances(): HasMany
    {
        return $this->hasMany(Attendance::class);
    }

    /**
     * Who comes; of a session that was run, who was there. While it lies ahead, whoever has said nothing is coming; once it is
     * over, only those who were written down were there, whoever joins the squad later.
     *
     * @return list<int>
     */
    public function comingPlayerIds(): array
    {
        $isOver = $this->run_finished_at_utc !== null;
        $said = $this->attendances->mapWithKeys(fn (Attendance $one): array => [$one->player_id => $one->coming])->all();

        return array_values(array_filter(
            array_map(intval(...), $this->squad->players->modelKeys()),
            fn (int $playerId): bool => $said[$playerId] ?? ! $isOver,
        ));
    }

    /** The squad's latest session before this one that left a recap. */
    public function lastRecapped(): ?self
    {
        return self::query()
            ->where('squad_id', $this->squad_id)
            ->whereNotNull('run_finished_at_utc')
            ->where('starts_at_utc', '<', $this->starts_at_utc)
            ->where(fn ($either) => $either->where('recap_answers', '!=', '')->orWhereNotNull('recap_how_hard'))
            ->orderByDesc('starts_at_utc')
            ->first();
    }
}
