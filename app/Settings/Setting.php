<?php

declare(strict_types=1);

namespace App\Settings;

/** One thing a squad or club chooses: what it is called, what it is until somebody chooses, and one sentence on what it does. */
final readonly class Setting
{
    /**
     * @param  string  $kind  choice, text, date or number
     * @param  array<array-key, string>  $options  value → label, for a choice
     * @param  string  $default  in words
     * @param  list<mixed>  $rules  of the validator
     */
    private function __construct(
        public string $key,
        public string $column,
        public string $label,
        public string $sentence,
        public string $kind,
        public array $options,
        public string $default,
        public array $rules,
        public string $refusal,
    ) {
    }

    /** @param  array<array-key, string>  $options */
    public static function choice(string $key, string $column, string $label, string $sentence, array $options, string $default): self
    {
        return new self(
            $key,
            $column,
            $label,
            $sentence,
            'choice',
            $options,
            $options[$default],
            ['required', 'in:'.implode(',', array_keys($options))],
            'Choose one of the list.',
        );
    }

    public static function text(string $key, string $column, string $label, string $sentence, int $most): self
    {
        return new self(
            $key,
            $column,
            $label,
            $sentence,
            'text',
            [],
            'none',
            ['required', 'string', "max:{$most}"],
            "Enter a name of at most {$most} letters.",
        );
    }

    public static function date(string $key, string $column, string $label, string $sentence): self
    {
        return new self(
            $key,
            $column,
            $label,
            $sentence,
            'date',
            [],
            'not said',
            ['nullable', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01'],
            'Enter a day such as 2026-08-24.',
        );
    }

    public static function number(
        string $key,
        string $column,
        string $label,
        string $sentence,
        int $most,
        bool $whole = true,
        string $default = 'not said',
    ): self {
        return new self(
            $key,
            $column,
            $label,
            $sentence,
            'number',
            [],
            $default,
            ['nullable', $whole ? 'integer' : 'numeric', 'min:0', "max:{$most}"],
            'Enter '.($whole ? 'a whole number' : 'a number')." from 0 to {$most}, or leave it empty.",
        );
    }
}
