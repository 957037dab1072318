<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\People\SetPassword;

/** Somebody's own password, the old one with it. */
class PasswordRequest extends NewPasswordRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['currentPassword' => ['required', 'string', 'max:1000']] + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['currentPassword.*' => SetPassword::WRONG] + parent::messages();
    }
}
