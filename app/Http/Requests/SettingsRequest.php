<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Settings\Setting;
use Illuminate\Foundation\Http\FormRequest;

/** Rules and sentences come from the settings themselves. */
abstract class SettingsRequest extends FormRequest
{
    /** @return list<Setting> */
    abstract protected function settings(): array;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $rules = [];
        foreach ($this->settings() as $setting) {
            $rules[$setting->key] = ['present', ...$setting->rules];
        }

        return $rules;
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        $messages = [];
        foreach ($this->settings() as $setting) {
            $messages["{$setting->key}.*"] = $setting->refusal;
        }

        return $messages;
    }
}
