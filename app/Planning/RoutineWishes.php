<?php

declare(strict_types=1);

namespace App\Planning;

use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Home\HomeKit;
use FleetSparrow\Core\Home\HomePlace;
use FleetSparrow\Core\Home\HomeSchool;
use FleetSparrow\Core\Home\HomeSpace;
use FleetSparrow\Core\Home\HomeWall;

/** What is wished of a week at home: the place, what it is for, and what the coach chose or took out. */
final readonly class RoutineWishes
{
    private const USUAL = [
        'minutes' => 15, 'days' => 3, 'space' => 'square', 'wall' => 'no', 'helper' => 'no', 'quiet' => 'no', 'kit' => 'things',
        'school' => 'both-feet', 'with' => '', 'without' => '',
    ];

    /** @param  array<string, mixed>  $fields  all of them */
    private function __construct(private array $fields)
    {
    }

    /**
     * @param  array<string, mixed>  ...$said  what is asked now, then what was kept; what nobody said is as usual
     */
    public static function of(array ...$said): self
    {
        $fields = [];
        foreach ([...$said, self::USUAL] as $some) {
            $fields += array_filter(array_intersect_key($some, self::USUAL), static fn (mixed $one): bool => $one !== null);
        }

        return new self($fields);
    }

    /**
     * @return array{minutes: int, days: int, space: string, wall: string, helper: string, quiet: string, kit: string, school: string,
     *     with: string, without: string}
     */
    public function fields(): array
    {
        return [
            'minutes' => (int) $this->fields['minutes'],
            'days' => (int) $this->fields['days'],
            'space' => (string) $this->fields['space'],
            'wall' => (string) $this->fields['wall'],
            'helper' => (string) $this->fields['helper'],
            'quiet' => (string) $this->fields['quiet'],
            'kit' => (string) $this->fields['kit'],
            'school' => (string) $this->fields['school'],
            'with' => (string) $this->fields['with'],
            'without' => (string) $this->fields['without'],
        ];
    }

    /** @throws InvalidPlan If the minutes or days are none a child should have. */
    public function place(): HomePlace
    {
        $fields = $this->fields();

        return HomePlace::of(
            minutes: $fields['minutes'],
            days: $fields['days'],
            space: HomeSpace::from($fields['space']),
            wall: HomeWall::from($fields['wall']),
            hasHelper: $fields['helper'] === 'yes',
            isQuiet: $fields['quiet'] === 'yes',
            kit: HomeKit::from($fields['kit']),
        );
    }

    public function school(): HomeSchool
    {
        return HomeSchool::from($this->fields()['school']);
    }

    /** @return list<string> slugs the coach chose */
    public function wanted(): array
    {
        return self::slugs($this->fields()['with']);
    }

    /** @return list<string> slugs the coach took out */
    public function unwanted(): array
    {
        return self::slugs($this->fields()['without']);
    }

    /** @return list<string> */
    private static function slugs(string $words): array
    {
        return array_values(array_unique(array_filter(explode(' ', $words), static fn (string $one): bool => $one !== '')));
    }
}
