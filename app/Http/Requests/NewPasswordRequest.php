<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\People\SetPassword;
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
        // bcrypt reads 72 bytes; what lies beyond would count for nothing without anybody being told.
        return ['password' => ['required', 'string', 'min:'.SetPassword::LEAST_LETTERS, 'max:72']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'password.required' => 'Choose a password.',
            'password.min' => 'At least '.SetPassword::LEAST_LETTERS.' letters. Three plain words are easy to keep in mind.',
            'password.max' => 'At most 72 letters.',
        ];
    }
}
