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
            key: $key,
            column: $column,
            label: $label,
            sentence: $sentence,
            kind: 'choice',
            options: $options,
            default: $options[$default],
            rules: ['required', 'in:'.implode(',', array_keys($options))],
            refusal: 'Choose one of the list.',
        );
    }

    public static function text(string $key, string $column, string $label, string $sentence, int $most): self
    {
        return new self(
            key: $key,
            column: $column,
            label: $label,
            sentence: $sentence,
            kind: 'text',
            options: [],
            default: 'none',
            rules: ['required', 'string', "max:{$most}"],
            refusal: "Enter a name of at most {$most} letters.",
        );
    }

    public static function date(string $key, string $column, string $label, string $sentence): self
    {
        return new self(
            key: $key,
            column: $column,
            label: $label,
            sentence: $sentence,
            kind: 'date',
            options: [],
            default: 'not said',
            rules: ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01'],
            refusal: 'Enter a day such as 2026-08-24.',
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
            key: $key,
            column: $column,
            label: $label,
            sentence: $sentence,
            kind: 'number',
            options: [],
            default: $default,
            rules: ['nullable', $whole ? 'integer' : 'numeric', 'min:0', "max:{$most}"],
            refusal: 'Enter '.($whole ? 'a whole number' : 'a number')." from 0 to {$most}, or leave it empty.",
        );
    }
}
