<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Auth\EmailAddress;
use App\Models\Squad;
use App\Models\User;
use App\OpenApi\Shape;
use App\Tenancy\Role;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\Validator;

#[Shape('InvitationFields', ['email' => 'string', 'role' => "'lead'|'coach'|'assistant'", 'squadId' => 'int?'])]
class InvitationRequest extends FormRequest
{
    public function authorize(): Response
    {
        $user = $this->user();

        return $user instanceof User ? Gate::inspect('manage', $user->club) : Response::deny();
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'email' => ['required', 'string', 'email', 'max:190'],
            'role' => ['required', Rule::enum(Role::class)],
            'squadId' => ['nullable', 'integer', 'required_unless:role,lead'],
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            // What is no address and no role is not looked up.
            if ($validator->errors()->isNotEmpty()) {
                return;
            }
            if ($this->role() !== Role::Lead && $this->squad() === null) {
                $validator->errors()->add('squadId', 'Choose one of the club\'s squads.');
            }
            $owner = User::query()->where('email', $this->email())->first();
            if ($owner !== null && $owner->club_id !== $this->user()?->getAttribute('club_id')) {
                // Said without saying whose: only that this address will not do.
                $validator->errors()->add('email', 'This address cannot be invited. Use another.');
            }
        }];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'email.*' => 'Enter the e-mail address of the person.',
            'role.*' => 'Choose lead, coach or assistant.',
            'squadId.*' => 'Choose one of the club\'s squads.',
        ];
    }

    public function email(): string
    {
        return EmailAddress::canonical($this->string('email')->toString());
    }

    public function role(): Role
    {
        return Role::from($this->string('role')->toString());
    }

    public function squad(): ?Squad
    {
        return $this->role() === Role::Lead ? null : Squad::query()->find($this->integer('squadId'));
    }
}
