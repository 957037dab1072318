<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use App\OpenApi\Shape;
use FleetSparrow\Core\Shared\AgeGroup;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

#[Shape('SquadFields', ['name' => 'string', 'ageGroup' => 'string'])]
#[Shape('SquadMade', ['id' => 'int'])]
class SquadRequest extends FormRequest
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
            'name' => [
                'required',
                'string',
                'max:120',
                Rule::unique('squads', 'name')->where('club_id', $this->user()?->getAttribute('club_id')),
            ],
            'ageGroup' => ['required', Rule::in(AgeGroup::names())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.unique' => 'The club has a squad of that name.',
            'name.*' => 'Give the squad a name.',
            'ageGroup.*' => 'Choose an age group from U6 to U18.',
        ];
    }
}
