<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Touch;

use FleetSparrow\Core\Exception\ScriptError;

/** Reads a touch script. Grammar: docs/formulas.md, "Touch script". Blank space between items may be any length. */
final class Parser
{
    private const FEET = 'abLR?-';

    private int $at = 0;

    private int $depth = 0;

    public function __construct(private readonly string $text)
    {
    }

    /**
     * @return non-empty-list<Item>
     *
     * @throws ScriptError
     */
    public function items(): array
    {
        return $this->sequence();
    }

    /** @return non-empty-list<Item> */
    private function sequence(): array
    {
        $items = [];
        $this->skipBlank();
        do {
            $items[] = $this->item();
            $blank = $this->skipBlank();
            $ended = $this->at >= strlen($this->text) || ($this->depth > 0 && $this->peek() === ')');
            if (! $ended && $this->peek() === ')') {
                throw $this->unexpected('unbalanced', 'a "(" before this ")"');
            }
            if (! $ended && ! $blank) {
                throw $this->unexpected('separator', 'a blank');
            }
        } while (! $ended);

        return $items;
    }

    private function item(): Item
    {
        return match ($this->peek()) {
            '(' => $this->group(),
            '>' => $this->turn(),
            '*' => $this->event(null),
            default => $this->footed(),
        };
    }

    private function group(): Group
    {
        if ($this->depth >= 8) {
            throw $this->unexpected('too-deep', 'at most eight groups inside each other');
        }
        $this->at++;
        $this->depth++;
        $items = $this->sequence();
        $this->expect(')', 'unbalanced', '")" to close the group');
        $this->depth--;
        $this->expect('x', 'group-count', '"x" and how often the group is done');
        if ($this->accept('+')) {
            return new Group($items, 1, null);
        }
        $column = $this->at;
        $least = $this->number('group-count', 'a number or "+"');
        $most = $this->accept('-') ? $this->number('group-count', 'the highest number of times') : $least;
        if ($least < 1 || $most < $least || $most > 1000) {
            throw ScriptError::at(
                $column + 1,
                'group-count',
                'a count from 1 to 1000, the lower one first',
                substr($this->text, $column, $this->at - $column),
            );
        }

        return new Group($items, $least, $most);
    }

    private function turn(): Turn
    {
        $this->at++;
        $toward = $this->peek() !== '' && str_contains('abLR', $this->peek()) ? $this->foot() : null;
        $column = $this->at;
        $degrees = $this->number('turn', 'the turn in degrees');
        if ($degrees > 720) {
            throw ScriptError::at($column + 1, 'turn', 'at most 720 degrees', (string) $degrees);
        }

        return new Turn($toward, $degrees);
    }

    private function footed(): Item
    {
        if ($this->peek() === '' || strpos(self::FEET, $this->peek()) === false) {
            throw $this->unexpected('item', 'a foot (a, b, L, R, ? or -), a turn, an event or a group');
        }
        $column = $this->at;
        $foot = $this->foot();

        return match ($this->peek()) {
            '.' => $this->contact($foot, $column),
            '~' => $this->feint($foot),
            '*' => $this->event($foot),
            default => throw $this->unexpected('after-foot', '".", "~" or "*" after the foot'),
        };
    }

    private function contact(FootMark $foot, int $column): Contact
    {
        $this->at++;
        $wordAt = $this->at;
        $word = $this->accept('?') ? '?' : $this->word();
        $surface = Surface::tryFrom($word) ?? throw ScriptError::at(
            $wordAt + 1,
            'unknown-surface',
            'a surface ('.self::names(Surface::cases()).')',
            $word,
        );
        if ($surface->hasNoFoot() !== ($foot === FootMark::None)) {
            throw ScriptError::at(
                $column + 1,
                'foot-and-surface',
                $surface->hasNoFoot() ? '"-" before chest or head' : 'a foot before this surface',
                $foot->value,
            );
        }

        return new Contact(
            $foot,
            $surface,
            $this->accept('^'),
            $this->accept('/') ? $this->way() : null,
            $this->accept('!') ? $this->purpose() : null,
        );
    }

    private function way(): Way
    {
        $column = $this->at;
        $word = $this->word();

        return Way::tryFrom($word) ?? throw ScriptError::at($column + 1, 'unknown-way', 'a way ('.self::names(Way::cases()).')', $word);
    }

    private function purpose(): Purpose
    {
        $column = $this->at;
        $word = $this->word();

        return Purpose::tryFrom($word) ?? throw ScriptError::at(
            $column + 1,
            'unknown-purpose',
            'a purpose ('.self::names(Purpose::cases()).')',
            $word,
        );
    }

    private function feint(FootMark $foot): Feint
    {
        $this->at++;

        return new Feint($foot, $this->name());
    }

    private function event(?FootMark $foot): Event
    {
        $this->at++;

        return new Event($foot, $this->name());
    }

    private function name(): string
    {
        $name = $this->word();

        return $name === '' || str_ends_with($name, '-') ? throw $this->unexpected('name', 'a name in lower case with hyphens') : $name;
    }

    private function foot(): FootMark
    {
        return FootMark::from($this->text[$this->at++]);
    }

    private function word(): string
    {
        $length = strspn($this->text, 'abcdefghijklmnopqrstuvwxyz-', $this->at);
        if ($length > 0 && $this->text[$this->at] === '-') {
            $length = 0;
        }
        $word = substr($this->text, $this->at, $length);
        $this->at += $length;

        return $word;
    }

    private function number(string $reason, string $expected): int
    {
        $length = strspn($this->text, '0123456789', $this->at);
        if ($length === 0 || $length > 6) {
            throw $this->unexpected($reason, $expected);
        }
        $number = (int) substr($this->text, $this->at, $length);
        $this->at += $length;

        return $number;
    }

    private function peek(): string
    {
        return $this->text[$this->at] ?? '';
    }

    private function accept(string $character): bool
    {
        if ($this->peek() !== $character) {
            return false;
        }
        $this->at++;

        return true;
    }

    private function expect(string $character, string $reason, string $expected): void
    {
        if (! $this->accept($character)) {
            throw $this->unexpected($reason, $expected);
        }
    }

    private function skipBlank(): bool
    {
        $length = strspn($this->text, " \t\r\n", $this->at);
        $this->at += $length;

        return $length > 0;
    }

    private function unexpected(string $reason, string $expected): ScriptError
    {
        preg_match('/\G[^\s]{0,12}/', $this->text, $found, 0, $this->at);

        return ScriptError::at($this->at + 1, $reason, $expected, $found[0] ?? '');
    }

    /** @param  array<\BackedEnum>  $cases */
    private static function names(array $cases): string
    {
        return implode(', ', array_map(static fn (\BackedEnum $case): string => (string) $case->value, $cases));
    }
}
