<?php

declare(strict_types=1);

namespace App\Exchange;

use App\Exchange\Import\BuildRequestFile;
use App\Exchange\Import\PlanFile;
use FleetSparrow\Core\Builder\Wish;
use FleetSparrow\Core\Caution\HeadingProfile;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Plan\Availability;
use FleetSparrow\Core\Plan\Counted;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\LengthUnit;
use FleetSparrow\Core\Shared\StrongFoot;

/** The schemas of `fleet-sparrow/plan` and `fleet-sparrow/build-request`: files that stand by themselves, with numbers for players. */
final class PlanSchema
{
    use SchemaWords;

    /** @return array<string, mixed> JSON Schema 2020-12 */
    public static function plan(): array
    {
        return self::document(PlanFile::FORMAT, [PlanFile::OLDEST, PlanFile::VERSION], self::situation() + [
            'title' => self::text(120),
            'place' => ['type' => 'string', 'maxLength' => 120],
            'startsAt' => ['type' => 'string', 'pattern' => '^[0-9]{4}-[0-9]{2}-[0-9]{2}T[0-9]{2}:[0-9]{2}$'],
            'slotMinutes' => self::whole(10, 240),
            'blocks' => ['type' => 'array', 'minItems' => 1, 'maxItems' => 30, 'items' => ['$ref' => '#/$defs/block']],
            'overrides' => self::list(self::object(
                ['blockId' => ['type' => ['string', 'null']], 'code' => self::text(20), 'reason' => self::text(300)],
                ['code', 'reason'],
            )),
        ], ['slotMinutes', 'blocks', 'players']);
    }

    /** @return array<string, mixed> JSON Schema 2020-12 */
    public static function buildRequest(): array
    {
        $counted = fn (
            string $key,
            string $value,
        ): array => self::list(self::object([$key => self::text(80), $value => self::whole(0, 10_000)], [$key, $value]));
        $slugs = self::list(self::text(300));

        return self::document(BuildRequestFile::FORMAT, [BuildRequestFile::OLDEST, BuildRequestFile::VERSION], self::situation() + [
            'theme' => self::enum(Family::class),
            'wish' => self::enum(Wish::class),
            // Any number: a slot that cannot be is answered with the nearest that can.
            'slotMinutes' => ['type' => 'integer'],
            'needs' => self::object(
                [
                    'families' => $counted('family', 'daysAgo'),
                    'drills' => $counted('drill', 'daysAgo'),
                    'lastTime' => $slugs,
                    'weakerShare' => self::number(0.0, 1.0),
                    'nextRungs' => $counted('drill', 'players'),
                    'records' => $counted('drill', 'players'),
                    'movesMet' => $slugs,
                ],
            ),
            'locks' => self::list([
                'anyOf' => [self::object(['drill' => self::slug()], ['drill']), self::object(['family' => self::text(40)], ['family'])],
            ]),
            'bans' => $slugs,
            'joined' => self::object(['first' => $slugs, 'second' => $slugs], ['first', 'second']),
            'seen' => self::list(self::object(['drills' => $slugs], ['drills'])),
            'seed' => ['type' => 'integer', 'minimum' => 0],
        ], ['slotMinutes', 'players']);
    }

    /** @return array<string, mixed> */
    private static function situation(): array
    {
        $times = self::list(self::object(
            ['plannedSeconds' => self::number(0.1, 7200.0), 'actualSeconds' => self::number(0.0, 7200.0)],
            ['plannedSeconds', 'actualSeconds'],
        ));
        $player = ['type' => 'integer', 'minimum' => 1];

        return [
            'squad' => self::object([
                'ageGroup' => self::oneOf(AgeGroup::names()), 'headingProfile' => self::enum(HeadingProfile::class),
                'markers' => self::whole(0, 999), 'balls' => self::whole(0, 999), 'goals' => self::whole(0, 999),
                'wallPlaces' => self::whole(0, 999), 'boards' => self::whole(0, 999),
                'seconds' => self::object(array_fill_keys(ClockRules::CHOSEN, self::number(0.0, ClockRules::MOST_SECONDS))),
                'area' => self::object(
                    ['width' => self::number(0.5, 400.0), 'depth' => self::number(0.5, 400.0), 'unit' => self::enum(LengthUnit::class)],
                    ['width', 'depth', 'unit'],
                ),
            ]),
            'helpers' => self::whole(0, 20),
            'laidBefore' => ['type' => 'boolean'],
            'weather' => self::object(
                [
                    'isHot' => ['type' => 'boolean'],
                    'temperatureCelsius' => self::number(-20.0, 55.0),
                    'humidityPercent' => self::number(0.0, 100.0),
                    'careCelsius' => self::number(0.0, 45.0),
                    'stopCelsius' => self::number(0.0, 45.0),
                ],
            ),
            'players' => ['type' => 'array', 'minItems' => 1, 'maxItems' => 40, 'items' => self::object([
                'id' => $player, 'strongFoot' => self::enum(StrongFoot::class),
                'ageGroup' => self::oneOf(AgeGroup::names()), 'may' => self::enum(Availability::class),
                'tries' => self::list(self::object(
                    ['drill' => self::slug(), 'made' => self::whole(0, 100_000), 'missed' => self::whole(0, 100_000)],
                    ['drill', 'made', 'missed'],
                )),
                // Seconds of a rep on average, and on how many days that was measured.
                'seconds' => self::list(self::object(
                    ['drill' => self::slug(), 'perRep' => self::number(0.1, 600.0), 'days' => self::whole(1, 1_000)],
                    ['drill', 'perRep', 'days'],
                )),
            ], ['id', 'strongFoot'])],
            'past' => self::object([
                'knownDrills' => self::list(self::text(300)),
                'times' => self::object(['setUp' => $times, 'explain' => $times, 'changeOver' => $times]),
                // The last session first.
                'sessions' => self::list(self::object(['groups' => self::list(self::list($player))], ['groups'])),
                'duties' => self::list(self::object(
                    ['player' => $player, 'keeper' => self::whole(0, 999), 'server' => self::whole(0, 999)],
                    ['player'],
                )),
                'loads' => self::list(self::object(
                    [
                        'player' => $player,
                        'daysAgo' => self::whole(0, 400),
                        'touches' => self::number(0.0, 100_000.0),
                        'strikes' => self::number(0.0, 10_000.0),
                        'headers' => self::number(0.0, 10_000.0),
                        'headingMinutes' => self::number(0.0, 1_000.0),
                    ],
                    ['player', 'daysAgo'],
                )),
            ]),
            'drills' => ['type' => 'array', 'maxItems' => 200, 'items' => ['$ref' => '#/$defs/carriedDrill']],
        ];
    }

    /**
     * @param  array{int, int}  $versions  the oldest that is read, and the newest
     * @param  array<string, mixed>  $fields
     * @param  list<string>  $required
     * @return array<string, mixed>
     */
    private static function document(string $format, array $versions, array $fields, array $required): array
    {
        $drills = DrillSchema::document()['$defs'];
        $minutes = self::object(
            [
                'id' => self::id(),
                'kind' => self::oneOf(['water', 'talk', 'game']),
                'title' => self::text(120),
                'minutes' => self::number(0.5, 60.0),
            ],
            ['id', 'kind', 'minutes'],
        );
        $drill = self::object([
            'id' => self::id(), 'kind' => ['const' => 'drill'], 'title' => self::text(120), 'drill' => self::slug(),
            'dose' => ['$ref' => '#/$defs/dose'], 'tempo' => self::enum(Tempo::class),
            'stations' => self::whole(1, 30), 'links' => self::whole(1, 30),
            'together' => ['type' => 'string', 'pattern' => '^[A-Za-z0-9-]{1,20}$'],
            'stationsWait' => ['type' => 'boolean'],
            'counted' => self::oneOf(Counted::names()),
        ], ['id', 'kind', 'drill']);
        // A drill of its own, or another one with some fields changed.
        $changed = [
            'type' => 'object',
            'properties' => ['slug' => self::slug(), 'basedOn' => self::slug()] + $drills['drill']['properties'],
            'required' => ['slug', 'basedOn'],
            'additionalProperties' => false,
        ];

        return [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => str_replace('/', ':', $format).":{$versions[1]}",
            'title' => $format,
        ] + self::object(
            ['format' => ['const' => $format], 'version' => ['enum' => range(...$versions)]] + $fields,
            ['format', 'version', ...$required],
        )
            + [
                '$defs' => [
                    'block' => ['anyOf' => [$drill, $minutes]],
                    'carriedDrill' => ['anyOf' => [['$ref' => '#/$defs/drill'], $changed]],
                ] + $drills,
            ];
    }

    /** @return array<string, mixed> */
    private static function id(): array
    {
        return ['type' => 'string', 'pattern' => '^[A-Za-z0-9-]{1,40}$'];
    }

    /**
     * @param  array<string, mixed>  $items
     * @return array<string, mixed>
     */
    private static function list(array $items): array
    {
        return ['type' => 'array', 'items' => $items];
    }
}
