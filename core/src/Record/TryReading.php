<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Record;

/**
 * One try, as read by one person or by several.
 *
 * Readings that differ leave the try open until one is chosen. Meanwhile the more cautious one stands in: the worse number,
 * and nothing at all when one of them says void or disputed. So no record rests on a number that somebody saw otherwise.
 */
final readonly class TryReading
{
    /** @param  float|null  $value  null when the try counts for nothing */
    private function __construct(public ?float $value, public bool $isOpen)
    {
    }

    /** @param  non-empty-list<Mark>  $readings  standing marks of one try */
    public static function of(MarkKind $kind, array $readings): self
    {
        $values = [];
        $said = [];
        foreach ($readings as $reading) {
            $values[] = $reading->value;
            $said[$reading->void ? 'void' : (string) $reading->value] = true;
            if ($reading->disputed) {
                $said['disputed'] = true;
            }
        }
        $counts = ! isset($said['void']) && ! isset($said['disputed']);
        $cautious = $kind->better() === Better::Higher ? min($values) : max($values);

        return new self($counts ? $cautious : null, count($said) > 1 || isset($said['disputed']));
    }
}
