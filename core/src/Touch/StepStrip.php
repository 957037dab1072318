<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

use FleetSparrow\Core\Shared\Foot;

/** A move foot by foot, so that a child or a parent can follow how it goes and not only what is touched. */
final class StepStrip
{
    private const SURFACES = ['in' => 'inside', 'out' => 'outside', 'lace' => 'laces', '?' => 'any part'];

    private const WAYS = [
        'fwd' => 'forward',
        'back' => 'back',
        'across' => 'across the body',
        'out' => 'out to the side',
        'behind' => 'behind the standing leg',
        'still' => 'on the spot',
        'over' => 'over the head',
    ];

    private const PURPOSES = ['first' => 'first touch', 'control' => 'to keep it', 'pass' => 'pass', 'shot' => 'shot'];

    private int $heading = 0;

    /**
     * Example: `StepStrip::of(Script::fromText('a.sole/back b.in/fwd'), Foot::Right)[0]->words` is `'right sole, back'`.
     *
     * @return non-empty-list<Step>
     */
    public static function of(Script $script, Foot $leading): array
    {
        $strip = new self;
        $steps = $strip->steps($script->resolved($leading)->items, '');

        return $steps === [] ? [new Step(
            foot: null,
            kind: 'event',
            surface: null,
            way: null,
            standing: null,
            words: 'wait',
            headingDegrees: 0,
            times: '',
        )] : $steps;
    }

    /**
     * @param  list<Item>  $items
     * @return list<Step>
     */
    private function steps(array $items, string $times): array
    {
        $steps = [];
        foreach ($items as $item) {
            if ($item instanceof Group) {
                $often = $item->most === null
                    ? 'as often as it goes'
                    : ($item->most === $item->least ? "{$item->least} times" : "{$item->least} to {$item->most} times");
                $steps = [...$steps, ...$this->steps($item->items, $times === '' ? $often : "{$often}, {$times}")];

                continue;
            }
            $steps[] = $this->step($item, $times);
        }

        return $steps;
    }

    private function step(Item $item, string $times): Step
    {
        return match (true) {
            $item instanceof Contact => new Step(
                foot: $item->foot,
                kind: 'contact',
                surface: $item->surface,
                way: $item->way,
                standing: self::standing($item->foot),
                words: self::contact($item),
                headingDegrees: $this->heading,
                times: $times,
            ),
            $item instanceof Feint => new Step(
                foot: $item->foot,
                kind: 'feint',
                surface: null,
                way: null,
                standing: self::standing($item->foot),
                words: self::feint($item),
                headingDegrees: $this->heading,
                times: $times,
            ),
            $item instanceof Turn => $this->turn($item, $times),
            $item instanceof Event => new Step(
                foot: $item->foot,
                kind: 'event',
                surface: null,
                way: null,
                standing: $item->foot === null ? null : self::standing($item->foot),
                words: trim(self::foot($item->foot).' '.str_replace('-', ' ', $item->name)),
                headingDegrees: $this->heading,
                times: $times,
            ),
            default => new Step(
                foot: null,
                kind: 'event',
                surface: null,
                way: null,
                standing: null,
                words: $item->text(),
                headingDegrees: $this->heading,
                times: $times,
            ),
        };
    }

    private function turn(Turn $turn, string $times): Step
    {
        $side = match ($turn->toward) {
            FootMark::Left => 'to the left',
            FootMark::Right => 'to the right',
            default => 'either way',
        };
        $this->heading += $turn->toward === FootMark::Right ? -$turn->degrees : $turn->degrees;
        $far = match ($turn->degrees) {
            90 => 'a quarter turn',
            180 => 'half a turn',
            360 => 'a whole turn',
            default => "turn {$turn->degrees} degrees",
        };

        return new Step(
            foot: null,
            kind: 'turn',
            surface: null,
            way: null,
            standing: null,
            words: "{$far} {$side}",
            headingDegrees: $this->heading,
            times: $times,
        );
    }

    private static function contact(Contact $contact): string
    {
        $surface = self::SURFACES[$contact->surface->value] ?? $contact->surface->value;
        $how = array_filter([
            $contact->inAir ? 'in the air' : '',
            $contact->way === null ? '' : self::WAYS[$contact->way->value],
            $contact->purpose === null ? '' : self::PURPOSES[$contact->purpose->value],
        ], fn (string $word): bool => $word !== '');

        return trim(self::foot($contact->foot)." {$surface}").($how === [] ? '' : ', '.implode(', ', $how));
    }

    private static function feint(Feint $feint): string
    {
        return self::foot($feint->foot).' '.match ($feint->name) {
            'step-over' => 'steps over the ball',
            'shoulder' => 'side, drop the shoulder',
            'shot' => 'swings as if to shoot',
            default => str_replace('-', ' ', $feint->name),
        };
    }

    private static function foot(?FootMark $foot): string
    {
        return match ($foot) {
            FootMark::Left => 'left',
            FootMark::Right => 'right',
            FootMark::Unknown => 'either foot,',
            default => '',
        };
    }

    private static function standing(FootMark $foot): ?Foot
    {
        return match ($foot) {
            FootMark::Left => Foot::Right,
            FootMark::Right => Foot::Left,
            default => null,
        };
    }
}
