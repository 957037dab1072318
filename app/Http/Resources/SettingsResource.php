<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\OpenApi\Shape;
use App\Settings\Setting;

#[Shape('SettingOption', ['value' => 'string', 'label' => 'string'])]
#[
    Shape(
        'Setting',
        [
            'key' => 'string',
            'label' => 'string',
            'sentence' => 'string',
            'kind' => "'choice'|'text'|'date'|'number'",
            'options' => 'SettingOption[]',
            'default' => 'string',
            'value' => 'any',
        ],
    ),
]
#[Shape('Settings', ['version' => 'int', 'settings' => 'Setting[]', 'follows' => 'string[]'])]
#[Shape('SettingValues', [])]
final class SettingsResource
{
    /**
     * @param  list<Setting>  $settings
     * @param  array<string, mixed>  $values  by key
     * @param  int  $version  of what was chosen, for `If-Match`
     * @param  list<string>  $follows  what follows from the choices, a sentence each
     * @return array<string, mixed>
     */
    public static function of(array $settings, array $values, int $version, array $follows = []): array
    {
        return [
            'version' => $version,
            'settings' => array_map(fn (Setting $setting): array => [
                'key' => $setting->key,
                'label' => $setting->label,
                'sentence' => $setting->sentence,
                'kind' => $setting->kind,
                'options' => array_map(
                    fn (string $value, string $label): array => ['value' => $value, 'label' => $label],
                    array_map(strval(...), array_keys($setting->options)),
                    array_values($setting->options),
                ),
                'default' => $setting->default,
                'value' => $values[$setting->key],
            ], $settings),
            'follows' => $follows,
        ];
    }
}
