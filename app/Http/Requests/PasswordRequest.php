<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Somebody's own password, the old one with it. */
class PasswordRequest extends NewPasswordRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['currentPassword' => ['required', 'string', 'current_password']] + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['currentPassword.*' => 'This is not your password of today.'] + parent::messages();
    }
}
