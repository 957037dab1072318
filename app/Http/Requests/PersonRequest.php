<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Squad;
use App\Models\User;
use App\OpenApi\Shape;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Validator;

#[Shape('PersonFields', ['isLead' => 'bool', 'roles' => 'SquadRole[]'])]
class PersonRequest extends FormRequest
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
            'isLead' => ['required', 'boolean'],
            'roles' => ['present', 'array', 'max:100'],
            'roles.*.squadId' => ['required', 'integer', 'distinct'],
            'roles.*.role' => ['required', 'in:coach,assistant'],
        ];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if (
                $validator->errors()->isEmpty()
                && Squad::query()->whereKey(array_keys($this->roles()))->count() !== count($this->roles())
            ) {
                $validator->errors()->add('roles', 'Choose from the club\'s own squads.');
            }
        }];
    }

    /** @return array<int, string> squad id → role */
    public function roles(): array
    {
        /** @var list<array{squadId: int, role: string}> $roles */
        $roles = $this->input('roles', []);

        return array_column($roles, 'role', 'squadId');
    }
}
