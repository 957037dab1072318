<?php

declare(strict_types=1);

namespace App\Exchange\Import;

use FleetSparrow\Core\Builder\BuildRequest;
use FleetSparrow\Core\Builder\Lock;
use FleetSparrow\Core\Builder\Needs;
use FleetSparrow\Core\Builder\Wish;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Reading\BookFields;
use FleetSparrow\Core\Drill\Reading\FaultList;
use FleetSparrow\Core\Plan\Area;
use FleetSparrow\Core\Shared\Length;
use FleetSparrow\Core\Shared\LengthUnit;
use Illuminate\Validation\ValidationException;

/** Reads a `fleet-sparrow/build-request` file: what to build for whom, out of the book and the drills the file carries. */
final class BuildRequestFile
{
    public const FORMAT = 'fleet-sparrow/build-request';

    public const VERSION = 2;

    /** Version 1 had drills without a count unit, sets to be written and a limit of a go. */
    public const OLDEST = 1;

    public const FIELDS = [
        'format',
        'version',
        'theme',
        'wish',
        'slotMinutes',
        'squad',
        'helpers',
        'laidBefore',
        'weather',
        'players',
        'past',
        'needs',
        'locks',
        'bans',
        'joined',
        'seen',
        'seed',
        'drills',
    ];

    /**
     * @param  array<string, array<string, mixed>>  $book  slug → fields
     *
     * @throws ValidationException
     */
    public static function read(string $text, array $book): BuildRequest
    {
        return OpenFile::whole(OpenFile::decoded($text, self::FORMAT, self::VERSION, self::OLDEST), function (
            BookFields $file,
            FaultList $faults,
        ) use ($book): ?BuildRequest {
            $faults->unknown('', $file->fields, self::FIELDS);
            $drills = new EmbeddedDrills($book, $file, $faults);
            $slot = $faults->try('slotMinutes', fn (): int => $file->whole('slotMinutes', -100_000, 100_000));
            $theme = $file->has('theme') ? $faults->try('theme', fn (): Family => $file->choice('theme', Family::class)) : null;
            $wish = $faults->try('wish', fn (): Wish => $file->choice('wish', Wish::class, Wish::Anything));
            $needs = $faults->try(
                'needs',
                fn (): Needs => self::needs($file->has('needs') ? $file->object('needs') : new BookFields([], 'needs')),
            );
            $locks = $faults->try(
                'locks',
                fn (): array => array_map(
                    fn (BookFields $one): Lock => $one->has('drill')
                        ? Lock::drill($one->slug('drill'))
                        : Lock::family($one->text('family', most: 40)),
                    $file->entries('locks'),
                ),
            );
            $bans = $faults->try('bans', fn (): array => $file->texts('bans', most: 500));
            $joined = $file->has('joined')
                ? $faults->try(
                    'joined',
                    fn (): array => [$file->object('joined')->texts('first'), $file->object('joined')->texts('second')],
                )
                : null;
            $seen = $faults->try(
                'seen',
                fn (): array => array_map(fn (BookFields $one): array => $one->texts('drills'), $file->entries('seen')),
            );
            $seed = $faults->try('seed', fn (): int => $file->whole('seed', 0, PHP_INT_MAX, 1));
            $situation = Situation::read($file, $faults);
            if (
                $slot === null
                || $wish === null
                || $needs === null
                || $locks === null
                || $bans === null
                || $seen === null
                || $seed === null
                || $situation === null
            ) {
                return null;
            }
            $context = $wish === Wish::RainyCorner ? $situation->context->within(self::rainyCorner()) : $situation->context;

            return new BuildRequest(
                book: $drills->all(),
                context: $context,
                slotMinutes: $slot,
                theme: $theme,
                wish: $wish,
                needs: $needs,
                locks: $locks,
                bans: $bans,
                joined: $joined,
                seen: $seen,
                seed: $seed,
                underAge: $situation->ageGroup?->under,
            );
        });
    }

    /** Under a roof: five metres by five. */
    public static function rainyCorner(): Area
    {
        return new Area(Length::ofMetres(5.0), Length::ofMetres(5.0), LengthUnit::Metre);
    }

    private static function needs(BookFields $needs): Needs
    {
        $counts = function (string $name, string $key, string $value) use ($needs): array {
            $found = [];
            foreach ($needs->entries($name) as $one) {
                $found[$one->slug($key)] = $one->whole($value, 0, 10_000);
            }

            return $found;
        };

        return new Needs(
            $counts('families', 'family', 'daysAgo'),
            $counts('drills', 'drill', 'daysAgo'),
            $needs->texts('lastTime'),
            $needs->has('weakerShare') ? $needs->number('weakerShare', 0.0, 1.0) : null,
            $counts('nextRungs', 'drill', 'players'),
            $counts('records', 'drill', 'players'),
            $needs->has('movesMet') ? $needs->texts('movesMet', most: 300) : null,
        );
    }
}
