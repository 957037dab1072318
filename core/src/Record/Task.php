<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Exception\InvalidRecord;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Shared\Side;
use FleetSparrow\Core\Touch\Script;

/**
 * What makes two numbers comparable, and so names their record line: the fields of the task, sorted by name, every number whole. How
 * code or a file happens to order or write them changes nothing.
 *
 * Mending a name or a coaching point keeps the key; another spacing, window, rule, side, service or size of ball changes it.
 */
final readonly class Task
{
    private const BALL_SIZES = [3, 4, 5];

    /**
     * @param  string  $key  32 hexadecimal digits
     * @param  array<string, mixed>  $fields  for answering "how do you know?"
     */
    private function __construct(public string $key, public array $fields)
    {
    }

    /**
     * @param  array<string, mixed>  $demands  how the ball comes and which, touches allowed, what is called
     * @param  int  $ballSize  of the squad: what a drill's usual ball is
     *
     * @throws InvalidRecord If the ball is none of 3, 4 and 5.
     */
    public static function of(
        Script $script,
        Layout $layout,
        Dose $dose,
        ScoringRule $rule,
        Side $side,
        array $demands,
        int $ballSize,
    ): self {
        return self::ofFields([
            'script' => $script->text(),
            'layout' => ['kind' => $layout->kind()] + $layout->parameters(),
            'window' => $dose->window(),
            'rule' => $rule->fields(),
            'side' => $side->value,
        ] + $demands, $ballSize);
    }

    /**
     * @param  array<string, mixed>  $fields  in any order; seconds and other fractions as they come
     *
     * @throws InvalidRecord If the ball is none of 3, 4 and 5.
     */
    public static function ofFields(array $fields, int $ballSize): self
    {
        if (! in_array($ballSize, self::BALL_SIZES, true)) {
            throw InvalidRecord::noSuchBall($ballSize);
        }
        if (($fields['ball'] ?? null) === 'usual') {
            $fields['ball'] = "size-{$ballSize}";
        }
        $fields = self::canonical($fields);
        $text = json_encode($fields, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES);

        return new self(substr(hash('sha256', $text), 0, 32), $fields);
    }

    /**
     * @param  array<array-key, mixed>  $fields
     * @return array<string, mixed>
     */
    private static function canonical(array $fields): array
    {
        $canonical = [];
        foreach ($fields as $name => $value) {
            [$as, $whole] = self::whole((string) $name, $value);
            $canonical[$as] = $whole;
        }
        ksort($canonical, SORT_STRING);

        return $canonical;
    }

    /** @return array{string, mixed} name and value; seconds become milliseconds, other fractions thousandths */
    private static function whole(string $name, mixed $value): array
    {
        return match (true) {
            is_array($value) => [$name, array_is_list($value) ? self::listed($value) : self::canonical($value)],
            (is_int($value) || is_float($value)) && preg_match('/seconds\z/i', $name) === 1 => [
                (string) preg_replace(['/seconds\z/', '/Seconds\z/'], ['milliseconds', 'Milliseconds'], $name),
                (int) round(1000.0 * $value),
            ],
            is_float($value) => floor($value) === $value ? [$name, (int) $value] : ["{$name}Thousandths", (int) round(1000.0 * $value)],
            default => [$name, $value],
        };
    }

    /**
     * @param  list<mixed>  $list
     * @return list<mixed>
     */
    private static function listed(array $list): array
    {
        return array_map(static fn (mixed $one): mixed => self::whole('', $one)[1], $list);
    }
}
