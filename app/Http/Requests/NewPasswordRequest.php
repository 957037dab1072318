<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\People\SetPassword;
use App\Rules\Password;
use Illuminate\Foundation\Http\FormRequest;

class NewPasswordRequest extends FormRequest
{
    public function authorize(): bool
    {
        return true;
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['password' => ['required', 'string', 'min:'.SetPassword::LEAST_LETTERS, new Password]];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'password.required' => 'Choose a password.',
            'password.min' => 'At least '.SetPassword::LEAST_LETTERS.' letters. Three plain words are easy to keep in mind.',
        ];
    }
}
