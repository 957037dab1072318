<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Shared;

use FleetSparrow\Core\Exception\InvalidValue;

/**
 * The age group a squad plays in, as its association names it. A birth year cannot tell it where seasons run from autumn.
 *
 * Example: `AgeGroup::of('U12')->under` is `12`.
 */
final readonly class AgeGroup
{
    public const YOUNGEST = 6;

    public const OLDEST = 18;

    private function __construct(public int $under)
    {
    }

    /** @throws InvalidValue If the name is not U6 to U18. */
    public static function of(string $name): self
    {
        return self::tryOf($name) ?? throw InvalidValue::noAgeGroup($name, self::YOUNGEST, self::OLDEST);
    }

    public static function tryOf(string $name): ?self
    {
        return preg_match('/\AU(\d{1,2})\z/', $name, $found) === 1 && (int) $found[1] >= self::YOUNGEST && (int) $found[1] <= self::OLDEST
            ? new self((int) $found[1])
            : null;
    }

    /**
     * The squad's players by their birth years: those of the year most were born in are of the squad's own group, others as many
     * years above or below. That holds wherever a season begins.
     *
     * Example: `AgeGroup::of('U12')->ofPlayers([1 => 2014, 2 => 2014, 3 => 2016])[3]->name()` is `'U10'`.
     *
     * @param  array<int, int>  $birthYears  player → year, where it is known
     * @return array<int, self>
     */
    public function ofPlayers(array $birthYears): array
    {
        $counts = array_count_values($birthYears);
        // Of two years with as many the older one: the squad plays in the group of its oldest.
        ksort($counts);
        $usual = array_search(max([0, ...$counts]), $counts, true);

        return array_map(
            fn (int $year): self => new self(max(self::YOUNGEST, min(self::OLDEST, $this->under + (int) $usual - $year))),
            $birthYears,
        );
    }

    /** @return list<string> */
    public static function names(): array
    {
        return array_map(fn (int $under): string => "U{$under}", range(self::YOUNGEST, self::OLDEST));
    }

    public function name(): string
    {
        return "U{$this->under}";
    }
}
