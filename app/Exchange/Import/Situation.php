<?php

declare(strict_types=1);

namespace App\Exchange\Import;

use FleetSparrow\Core\Caution\HeadingLimit;
use FleetSparrow\Core\Caution\HeadingProfile;
use FleetSparrow\Core\Caution\Weather;
use FleetSparrow\Core\Caution\WetBulbGlobe;
use FleetSparrow\Core\Clock\Calibration;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Drill\Reading\BookFields;
use FleetSparrow\Core\Drill\Reading\FaultList;
use FleetSparrow\Core\Plan\Area;
use FleetSparrow\Core\Plan\Availability;
use FleetSparrow\Core\Plan\KitOwned;
use FleetSparrow\Core\Plan\OwnNumbers;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Plan\SeasonPast;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\Earlier;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Shared\StrongFoot;

/**
 * Who comes, with what, where and in what weather, and the past, as a plan file and a build request write them. Players are
 * numbers, never names.
 */
final readonly class Situation
{
    private const SQUAD = ['ageGroup', 'headingProfile', 'markers', 'balls', 'goals', 'wallPlaces', 'boards', 'seconds', 'area'];

    private function __construct(public PlanContext $context, public ?AgeGroup $ageGroup)
    {
    }

    /** Null when faults were found and kept. */
    public static function read(BookFields $file, FaultList $faults): ?self
    {
        $squad = $file->has('squad') ? $file->object('squad') : new BookFields([], 'squad');
        $faults->unknown('squad', $squad->fields, self::SQUAD);
        $ageGroup = $squad->has('ageGroup')
            ? $faults->try('squad.ageGroup', fn (): AgeGroup => AgeGroup::of($squad->text('ageGroup', most: 5)))
            : null;
        $players = $faults->try('players', fn (): array => self::players($file, $faults));
        $area = $squad->has('area') ? $faults->try('squad.area', fn (): Area => self::area($squad->object('area'))) : null;
        $owned = fn (string $what): ?int => $squad->has($what) ? $faults->try(
            "squad.{$what}",
            fn (): int => $squad->whole($what, 0, 999),
        ) : null;
        $helpers = $faults->try('helpers', fn (): int => $file->whole('helpers', 0, 20, 0));
        $weather = $faults->try(
            'weather',
            fn (): Weather => self::weather($file->has('weather') ? $file->object('weather') : new BookFields([], 'weather')),
        );
        $heading = $faults->try(
            'squad.headingProfile',
            fn (): ?HeadingLimit => $ageGroup === null ? null : $squad->choice(
                'headingProfile',
                HeadingProfile::class,
                HeadingProfile::TheFa2020,
            )->limitFor($ageGroup),
        );
        $past = $file->has('past') ? $file->object('past') : new BookFields([], 'past');
        $known = $faults->try('past.knownDrills', fn (): array => $past->texts('knownDrills', most: 200));
        $rules = $faults->try(
            'past.times',
            fn (): ClockRules => self::rules(
                $past->has('times') ? $past->object('times') : new BookFields([], 'past.times'),
                $squad->has('seconds') ? $squad->object('seconds') : new BookFields([], 'squad.seconds'),
                $faults,
            ),
        );
        $season = $faults->try('past', fn (): SeasonPast => self::past($past));
        if ($players === null || $helpers === null || $weather === null || $known === null || $rules === null || $season === null) {
            return null;
        }
        $kit = new KitOwned($owned('markers'), $owned('balls'), $owned('goals'), $owned('wallPlaces'), $owned('boards'));
        $context = $faults->try(
            'players',
            fn (): PlanContext => PlanContext::of(
                players: $players,
                knownDrills: $known,
                rules: $rules,
                kit: $kit,
                area: $area,
                heading: $heading,
                helpers: $helpers,
                past: $season,
                weather: $weather,
                isLaidBefore: ! $file->has('laidBefore') || $file->flag('laidBefore'),
            ),
        );

        return $context === null ? null : new self($context, $ageGroup);
    }

    /** @return list<PlanPlayer> */
    private static function players(BookFields $file, FaultList $faults): array
    {
        $players = [];
        $seen = [];
        foreach ($file->entries('players') as $i => $entry) {
            $faults->unknown("players.{$i}", $entry->fields, ['id', 'strongFoot', 'ageGroup', 'may', 'tries', 'seconds']);
            $player = $faults->try("players.{$i}", fn (): PlanPlayer => self::player($entry));
            if ($player !== null && isset($seen[$player->id])) {
                $faults->add("players.{$i}.id", "Two players have the number {$player->id}.");
            }
            if ($player !== null) {
                $seen[$player->id] = true;
                $players[] = $player;
            }
        }

        return $players;
    }

    private static function player(BookFields $entry): PlanPlayer
    {
        $numbers = [];
        foreach ($entry->entries('tries') as $one) {
            $numbers[$one->slug('drill')] = OwnNumbers::of($one->whole('made', 0, 100_000), $one->whole('missed', 0, 100_000), 0.0, 0);
        }
        foreach ($entry->entries('seconds') as $one) {
            $tries = $numbers[$one->slug('drill')] ?? OwnNumbers::none();
            $numbers[$one->slug('drill')] = OwnNumbers::of(
                $tries->made,
                $tries->missed,
                $one->number('perRep', 0.1, 600.0),
                $one->whole('days', 1, 1_000),
            );
        }

        return new PlanPlayer(
            $entry->whole('id', 1, PHP_INT_MAX),
            $entry->choice('strongFoot', StrongFoot::class),
            $entry->choice('may', Availability::class, Availability::Everything),
            $numbers,
            $entry->has('ageGroup') ? AgeGroup::of($entry->text('ageGroup', most: 3)) : null,
        );
    }

    private static function area(BookFields $area): Area
    {
        $unit = $area->choice('unit', LengthUnit::class);

        return new Area(
            Length::of($area->number('width', 0.5, 400.0), $unit),
            Length::of($area->number('depth', 0.5, 400.0), $unit),
            $unit,
        );
    }

    private static function weather(BookFields $weather): Weather
    {
        $figure = $weather->has('temperatureCelsius') && $weather->has('humidityPercent')
            ? WetBulbGlobe::celsius($weather->number('temperatureCelsius', -20.0, 55.0), $weather->number('humidityPercent', 0.0, 100.0))
            : null;

        return Weather::of(
            $weather->flag('isHot'),
            $figure,
            $weather->number('careCelsius', 0.0, 45.0, Weather::CARE_CELSIUS),
            $weather->number('stopCelsius', 0.0, 45.0, Weather::STOP_CELSIUS),
        );
    }

    private static function rules(BookFields $times, BookFields $seconds, FaultList $faults): ClockRules
    {
        $faults->unknown('squad.seconds', $seconds->fields, ClockRules::CHOSEN);
        $chosen = array_filter(
            ClockRules::CHOSEN,
            static fn (string $name): bool => $seconds->has($name),
        );
        $of = fn (string $part): Calibration => Calibration::of(array_map(
            fn (BookFields $one): array => [$one->number('plannedSeconds', 0.1, 7200.0), $one->number('actualSeconds', 0.0, 7200.0)],
            $times->entries($part),
        ));

        return ClockRules::chosen(
            array_combine($chosen, array_map(
                static fn (string $name): float => $seconds->number($name, 0.0, ClockRules::MOST_SECONDS),
                $chosen,
            )),
            setUp: $of('setUp'),
            explain: $of('explain'),
            changeOver: $of('changeOver'),
        );
    }

    private static function past(BookFields $past): SeasonPast
    {
        $groups = [];
        foreach ($past->entries('sessions') as $i => $session) {
            foreach ($session->list('groups') as $group) {
                $groups[$i + 1][] = array_map(
                    fn (mixed $id): int => is_int($id) ? $id : throw $session->refusal('groups', 'A group lists the numbers of players.'),
                    is_array($group) ? array_values($group) : [],
                );
            }
        }
        [$keepers, $servers, $headers, $touches, $strikes, $minutes] = [[], [], [], [], [], []];
        foreach ($past->entries('duties') as $one) {
            $player = $one->whole('player', 1, PHP_INT_MAX);
            $keepers[$player] = $one->whole('keeper', 0, 999, 0);
            $servers[$player] = $one->whole('server', 0, 999, 0);
        }
        foreach ($past->entries('loads') as $one) {
            $player = $one->whole('player', 1, PHP_INT_MAX);
            $days = $one->whole('daysAgo', 0, 400);
            $headers[$player][] = new Earlier($days, $one->number('headers', 0.0, 10_000.0, 0.0));
            $touches[$player][] = new Earlier($days, $one->number('touches', 0.0, 100_000.0, 0.0));
            $strikes[$player][] = new Earlier($days, $one->number('strikes', 0.0, 10_000.0, 0.0));
            $minutes[$player][] = new Earlier($days, $one->number('headingMinutes', 0.0, 1_000.0, 0.0));
        }

        return new SeasonPast($groups, $keepers, $servers, $headers, $touches, $strikes, $minutes);
    }
}
