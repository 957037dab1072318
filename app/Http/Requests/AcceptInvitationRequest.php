<?php

declare(strict_types=1);

namespace App\Http\Requests;

class AcceptInvitationRequest extends NewPasswordRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['name' => ['required', 'string', 'max:120']] + parent::rules();
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['name.*' => 'Enter the name your squad calls you by.'] + parent::messages();
    }
}
