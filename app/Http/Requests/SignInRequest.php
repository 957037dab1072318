<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Auth\EmailAddress;
use Illuminate\Foundation\Http\FormRequest;

class SignInRequest extends FormRequest
{
    public function authorize(): bool
    {
        return true;
    }

    public function email(): string
    {
        return EmailAddress::canonical($this->string('email')->toString());
    }

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['email' => ['required', 'string', 'email', 'max:190'], 'password' => ['required', 'string', 'max:1000']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.required' => 'Enter your e-mail address.',
            'email.email' => 'This is not an e-mail address.',
            'password.required' => 'Enter your password.',
        ];
    }
}
