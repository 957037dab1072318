<?php

declare(strict_types=1);

namespace App\Settings;

use App\Models\Squad;
use FleetSparrow\Core\Caution\BallSize;
use FleetSparrow\Core\Caution\HeadingProfile;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Record\TargetSchool;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;

/** What a squad chooses. The defaults are the column defaults of the table. */
final class SquadSettings
{
    private const AREA = ['areaWidth' => 'area_width_mm', 'areaDepth' => 'area_depth_mm'];

    /** @return list<Setting> in the order shown */
    public static function all(): array
    {
        $groups = AgeGroup::names();

        return [
            Setting::text('name', 'name', 'Name', 'What the squad is called in every view.', 120),
            Setting::choice(
                'ageGroup',
                'age_group',
                'Age group',
                'As your association names it; the ball and the heading limit follow from it.',
                array_combine($groups, $groups),
                'U12',
            ),
            Setting::date('seasonStartsOn', 'season_starts_on', 'Season starts on', 'Today counts the weeks of the season from this day.'),
            Setting::choice(
                'lengthUnit',
                'length_unit',
                'Unit of length',
                'Every drawing and distance is shown in it; records stay the same whatever you choose.',
                ['yd' => 'yards', 'm' => 'metres', 'ft' => 'feet', 'pace' => 'paces of 0.75 m'],
                'yd',
            ),
            Setting::choice(
                'ground',
                'ground',
                'Ground',
                'Kept with every number, since a ball runs differently on each.',
                ['grass' => 'grass', 'turf' => 'artificial turf', 'hard' => 'hard ground'],
                'grass',
            ),
            Setting::choice('targetSchool', 'target_school', 'Number to beat', 'Own record and one asks for the least that is new; '
                .'the other schools ask by the last session, by milestones, by one number for all, or by what each reaches now and then.', [
                    TargetSchool::OwnRecord->value => 'own record and one',
                    TargetSchool::LastPlusOne->value => 'last session and one',
                    TargetSchool::Milestones->value => 'the next milestone',
                    TargetSchool::Fixed->value => 'one number for this age, where the drill has one',
                    TargetSchool::Stretch->value => 'a stretch, out of the last eight days',
                ], TargetSchool::OwnRecord->value),
            Setting::choice('stretchPercent', 'stretch_percent', 'A stretch is reached', 'Rarer is harder; a record and one is often '
                .'rarer than it looks.', [
                    '60' => 'six times in ten',
                    '50' => 'five times in ten',
                    '40' => 'four times in ten',
                    '30' => 'three times in ten',
                    '20' => 'two times in ten',
                ], '40'),
            Setting::choice(
                'chanceShown',
                'chance_shown',
                'Chances of reaching',
                'Beside every number to beat how likely it is, where four days or more say so; for coaches, not for children.',
                ['no' => 'not shown', 'yes' => 'shown'],
                'no',
            ),
            Setting::choice(
                'footWording',
                'foot_wording',
                'Words for the foot',
                'Some coaches never say "weak"; every view follows your choice.',
                ['other' => 'strong foot and other foot', 'weaker' => 'strong foot and weaker foot'],
                'other',
            ),
            Setting::choice(
                'ballSize',
                'ball_size',
                'Ball',
                'Numbers made with another ball are lines of their own: change it when your association does.',
                ['by-age' => 'as is common at its age', 'size-3' => 'size 3', 'size-4' => 'size 4', 'size-5' => 'size 5'],
                'by-age',
            ),
            Setting::choice('headingProfile', 'heading_profile', 'Heading', 'Whose limits are shown; your local rules come first.', [
                HeadingProfile::TheFa2020->value => 'The FA, 2020',
                HeadingProfile::UsSoccer2016->value => 'U.S. Soccer, 2016',
                HeadingProfile::NoHeading->value => 'no heading at all',
            ], HeadingProfile::TheFa2020->value),
            Setting::number(
                'heatCareCelsius',
                'heat_care_celsius',
                'Hot from',
                'Wet-bulb globe temperature in °C from which there is more water and shade; your local heat rules come first.',
                45,
                whole: false,
                default: '25 °C',
            ),
            Setting::number(
                'heatStopCelsius',
                'heat_stop_celsius',
                'Too hot from',
                'From which a session is moved or called off.',
                45,
                whole: false,
                default: '30 °C',
            ),
            Setting::number(
                'areaWidth',
                'area_width_mm',
                'Area, one side',
                'The corner you usually have, in the squad\'s unit.',
                400,
                whole: false,
            ),
            Setting::number('areaDepth', 'area_depth_mm', 'Area, other side', 'The other side of that corner.', 400, whole: false),
            Setting::number('markersOwned', 'markers_owned', 'Markers owned', 'A plan that needs more says so.', 999),
            Setting::number('ballsOwned', 'balls_owned', 'Balls owned', 'What is in the bag; a plan that needs more says so.', 999),
            Setting::number('bibsOwned', 'bibs_owned', 'Bibs owned', 'Of all colours together.', 999),
            Setting::number('goalsOwned', 'goals_owned', 'Small goals owned', 'Two markers stand in for one.', 99),
            Setting::number(
                'wallPlaces',
                'wall_places',
                'Places at a wall',
                'How many can play at the wall there at a time; one, until you say so.',
                99,
                default: 'one',
            ),
            Setting::number('boardsOwned', 'boards_owned', 'Rebound boards', 'Each is one place more, wherever it is carried.', 99),
            ...self::seconds(),
        ];
    }

    /** @return list<Setting> */
    private static function seconds(): array
    {
        $rules = new ClockRules;
        $words = static fn (float $seconds): string => "{$seconds} s";
        $seconds = static fn (string $key, string $column, string $label, string $sentence, float $default): Setting => Setting::number(
            $key,
            $column,
            $label,
            $sentence,
            (int) ClockRules::MOST_SECONDS,
            whole: false,
            default: $words($default),
        );

        return [
            $seconds('markerSeconds', 'marker_seconds', 'Seconds a marker', 'To lay, move or lift one.', $rules->markerSeconds),
            $seconds(
                'explainNewSeconds',
                'explain_new_seconds',
                'Seconds to explain a new drill',
                'One not done in the last three sessions.',
                $rules->explainNewSeconds,
            ),
            $seconds(
                'explainKnownSeconds',
                'explain_known_seconds',
                'Seconds to explain a known drill',
                'Also a new move where the ground and the way stay.',
                $rules->explainKnownSeconds,
            ),
            $seconds(
                'explainAgainSeconds',
                'explain_again_seconds',
                'Seconds for the same again',
                'Also a known move where the ground and the way stay.',
                $rules->explainAgainSeconds,
            ),
            $seconds(
                'explainOtherSideSeconds',
                'explain_other_side_seconds',
                'Seconds for the other side',
                'Of what was just done.',
                $rules->explainOtherSideSeconds,
            ),
            $seconds(
                'changeOverSeconds',
                'change_over_seconds',
                'Seconds to move on',
                'From one station to the next.',
                $rules->changeOverSeconds,
            ),
            $seconds('writeSeconds', 'write_seconds', 'Seconds a number', 'To write one down.', $rules->writeSeconds),
        ];
    }

    /** @return array<string, mixed> key → value */
    public static function values(Squad $squad): array
    {
        $values = [];
        foreach (self::all() as $setting) {
            $value = $squad->getAttribute($setting->column);
            $values[$setting->key] = match (true) {
                isset(self::AREA[$setting->key]) => self::shown($value, $squad->length_unit),
                $value instanceof \BackedEnum => $value->value,
                $value instanceof \DateTimeInterface => $value->format('Y-m-d'),
                default => $value,
            };
        }

        return $values;
    }

    /**
     * A side of the area that was not touched stays as long as it was, even when the unit it is shown in has changed.
     *
     * @param  array<string, mixed>  $values  validated
     * @return array<string, mixed>
     */
    public static function columns(Squad $squad, array $values): array
    {
        $unit = LengthUnit::from(is_string($values['lengthUnit'] ?? null) ? $values['lengthUnit'] : $squad->length_unit->value);
        $columns = [];
        foreach (self::all() as $setting) {
            if (! array_key_exists($setting->key, $values)) {
                continue;
            }
            $value = $values[$setting->key];
            if (isset(self::AREA[$setting->key])) {
                $before = $squad->getAttribute($setting->column);
                $untouched = is_numeric($value) && (float) $value === self::shown($before, $squad->length_unit);
                $value = $untouched
                    ? $before
                    : (is_numeric($value) ? intdiv(Length::of((float) $value, $unit)->tenthsOfMillimetre + 5, 10) : null);
            }
            $columns[$setting->column] = $value;
        }

        return $columns;
    }

    /** @return list<string> what follows from the choices, a sentence each */
    public static function follows(Squad $squad): array
    {
        $group = AgeGroup::tryOf($squad->age_group);

        return $group === null ? [] : [
            $squad->ball_size === 'by-age'
                ? 'Ball size '.BallSize::for($group).' for '.$group->name().', as is common; yours may differ.'
                : "Ball size {$squad->ballSize()}, as you chose.",
            'Heading: '.$squad->heading_profile->limitFor($group)->sentence(),
        ];
    }

    private static function shown(mixed $millimetres, LengthUnit $unit): ?float
    {
        return is_numeric($millimetres) ? Length::ofMetres((float) $millimetres / 1000)->in($unit) : null;
    }
}
