<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use Carbon\CarbonImmutable;
use FleetSparrow\Core\Caution\BallSize;
use FleetSparrow\Core\Caution\HeadingLimit;
use FleetSparrow\Core\Caution\HeadingProfile;
use FleetSparrow\Core\Plan\Area;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Record\TargetSchool;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Ground;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsToMany;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * @property int $id
 * @property int $club_id
 * @property string $name
 * @property string $age_group
 * @property LengthUnit $length_unit
 * @property TargetSchool $target_school
 * @property string $stretch_percent  how often in a hundred a stretch is reached
 * @property string $chance_shown  yes or no
 * @property CarbonImmutable|null $season_starts_on
 * @property Ground $ground
 * @property string $foot_wording "other" or "weaker": what the foot that is not the strong one is called
 * @property HeadingProfile $heading_profile
 * @property string $ball_size "by-age", or "size-3" to "size-5"
 * @property int|null $area_width_mm
 * @property int|null $area_depth_mm
 * @property int|null $markers_owned null when the squad has not said, as for balls and goals
 * @property int|null $balls_owned
 * @property int|null $goals_owned
 * @property int|null $wall_places  how many can play at the wall at a time
 * @property int|null $boards_owned
 * @property float|null $marker_seconds  null for the default, as for those below
 * @property float|null $explain_new_seconds
 * @property float|null $explain_known_seconds
 * @property float|null $explain_again_seconds
 * @property float|null $explain_other_side_seconds
 * @property float|null $change_over_seconds
 * @property float|null $write_seconds
 * @property float|null $heat_care_celsius  wet-bulb globe temperature from which a session is run with more water and shade
 * @property float|null $heat_stop_celsius  from which it is moved
 * @property int $version of what it has chosen
 * @property string $past_key under which what is kept of its past is kept
 * @property string $lines_key the same of its record lines, where more than their numbers changed
 * @property string $aside_key the same of what numbers do not change
 * @property \Illuminate\Database\Eloquent\Collection<int, Player> $players
 */
class Squad extends Model
{
    use BelongsToClub;

    /** As the table has them, so that a squad just made answers like one read back. */
    protected $attributes = [
        'length_unit' => 'yd',
        'target_school' => 'own-record',
        'stretch_percent' => '40',
        'chance_shown' => 'no',
        'ground' => 'grass',
        'foot_wording' => 'other',
        'heading_profile' => 'the-fa-2020',
        'ball_size' => 'by-age',
        'version' => 1,
        'past_key' => '',
        'lines_key' => '',
        'aside_key' => '',
    ];

    protected $fillable = [
        'name',
        'age_group',
        'length_unit',
        'target_school',
        'stretch_percent',
        'chance_shown',
        'season_starts_on',
        'ground',
        'foot_wording',
        'heading_profile',
        'ball_size',
        'area_width_mm',
        'area_depth_mm',
        'markers_owned',
        'balls_owned',
        'bibs_owned',
        'goals_owned',
        'wall_places',
        'boards_owned',
        'marker_seconds',
        'explain_new_seconds',
        'explain_known_seconds',
        'explain_again_seconds',
        'explain_other_side_seconds',
        'change_over_seconds',
        'write_seconds',
        'heat_care_celsius',
        'heat_stop_celsius',
        'version',
    ];

    public function showsChances(): bool
    {
        return $this->chance_shown === 'yes';
    }

    /** Over 0 and under 1. */
    public function stretchChance(): float
    {
        return (int) $this->stretch_percent / 100.0;
    }

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'length_unit' => LengthUnit::class,
            'target_school' => TargetSchool::class,
            'ground' => Ground::class,
            'heading_profile' => HeadingProfile::class,
            'season_starts_on' => 'immutable_date',
            'heat_care_celsius' => 'float',
            'heat_stop_celsius' => 'float',
            'marker_seconds' => 'float',
            'explain_new_seconds' => 'float',
            'explain_known_seconds' => 'float',
            'explain_again_seconds' => 'float',
            'explain_other_side_seconds' => 'float',
            'change_over_seconds' => 'float',
            'write_seconds' => 'float',
        ];
    }

    /** The corner the squad usually has; null when it has not said. */
    public function area(): ?Area
    {
        return $this->area_width_mm === null || $this->area_depth_mm === null
            ? null
            : new Area(Length::ofMetres($this->area_width_mm / 1000), Length::ofMetres($this->area_depth_mm / 1000), $this->length_unit);
    }

    public function kit(): KitOwned
    {
        return new KitOwned($this->markers_owned, $this->balls_owned, $this->goals_owned, $this->wall_places, $this->boards_owned);
    }

    /** @return array<string, float|null> what it has chosen of the judged parts, by their names in the core; null for the default */
    public function clockSeconds(): array
    {
        return [
            'markerSeconds' => $this->marker_seconds,
            'explainNewSeconds' => $this->explain_new_seconds,
            'explainKnownSeconds' => $this->explain_known_seconds,
            'explainAgainSeconds' => $this->explain_again_seconds,
            'explainOtherSideSeconds' => $this->explain_other_side_seconds,
            'changeOverSeconds' => $this->change_over_seconds,
            'writeSeconds' => $this->write_seconds,
        ];
    }

    /** What the profile the squad follows allows its age group; null while the age group is none it knows. */
    public function headingLimit(): ?HeadingLimit
    {
        $ageGroup = AgeGroup::tryOf($this->age_group);

        return $ageGroup === null ? null : $this->heading_profile->limitFor($ageGroup);
    }

    /** The ball its numbers are made with: what it chose, else what is common at its age. */
    public function ballSize(): int
    {
        $ageGroup = AgeGroup::tryOf($this->age_group);

        return match ($this->ball_size) {
            'size-3' => 3,
            'size-4' => 4,
            'size-5' => 5,
            default => $ageGroup === null ? BallSize::COMMON : BallSize::for($ageGroup),
        };
    }

    /** @return HasMany<Player, $this> */
    public function players(): HasMany
    {
        return $this->hasMany(Player::class)->orderBy('name');
    }

    /** @return HasMany<TrainingSession, $this> */
    public function trainingSessions(): HasMany
    {
        return $this->hasMany(TrainingSession::class)->where('is_home', false);
    }

    /** @return BelongsToMany<User, $this> */
    public function staff(): BelongsToMany
    {
        return $this->belongsToMany(User::class, 'squad_staff')->withPivot('role');
    }
}
