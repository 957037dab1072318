<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Player;
use App\Models\Squad;
use App\OpenApi\Shape;
use App\Planning\RoutineWishes;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Home\HomeKit;
use FleetSparrow\Core\Home\HomeSchool;
use FleetSparrow\Core\Home\HomeSpace;
use FleetSparrow\Core\Home\HomeWall;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

#[Shape('RoutineWishes', [
    'minutes' => 'int', 'days' => 'int', 'space' => "'hallway'|'small-square'|'square'|'lane'", 'wall' => "'no'|'couch'|'yes'",
    'helper' => "'yes'|'no'", 'quiet' => "'yes'|'no'", 'kit' => "'things'|'ball'|'nothing'",
    'school' => "'both-feet'|'other-foot-day'|'records'|'good-ones'", 'with' => 'string', 'without' => 'string',
])]
class RoutineRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect($this->isMethod('GET') ? 'view' : 'plan', $this->squad());
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'minutes' => ['nullable', 'integer'],
            'days' => ['nullable', 'integer'],
            'space' => ['nullable', Rule::enum(HomeSpace::class)],
            'wall' => ['nullable', Rule::enum(HomeWall::class)],
            'helper' => ['nullable', 'in:yes,no'],
            'quiet' => ['nullable', 'in:yes,no'],
            'kit' => ['nullable', Rule::enum(HomeKit::class)],
            'school' => ['nullable', Rule::enum(HomeSchool::class)],
            'with' => ['nullable', 'string', 'max:600'],
            'without' => ['nullable', 'string', 'max:600'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'minutes.*' => 'Ten to twenty minutes a day: short and often.',
            'days.*' => 'One to seven days a week.',
            'space.*' => 'Choose how much room there is.',
            'wall.*' => 'Choose whether there is a wall, a couch or none.',
            'kit.*' => 'Choose what there is to practise with.',
            'school.*' => 'Choose what the week is for.',
            'with.*' => 'That is more than fits a week.',
            'without.*' => 'That is more than there is to take out.',
            '*' => 'Say yes or no.',
        ];
    }

    /**
     * What is wished; what is not said is as it was kept.
     *
     * @return array<string, mixed>
     *
     * @throws ValidationException If the minutes or days are none a child should have.
     */
    public function wishes(): array
    {
        $asked = $this->validated();
        try {
            RoutineWishes::of($asked)->place();
        } catch (CoreException $refusal) {
            throw ValidationException::withMessages([$refusal->path() => $refusal->getMessage()]);
        }

        return $asked;
    }

    private function squad(): Squad
    {
        $player = $this->route('player');
        $squad = $player instanceof Player ? $player->squad : $this->route('squad');
        assert($squad instanceof Squad);

        return $squad;
    }
}
