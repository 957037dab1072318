<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Player;
use App\OpenApi\Shape;
use App\Queries\RoutineQuery;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Home\HomePlace;
use FleetSparrow\Core\Home\HomeSchool;
use FleetSparrow\Core\Home\HomeSpace;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

#[Shape('RoutineWishes', [
    'minutes' => 'int', 'days' => 'int', 'space' => "'hallway'|'small-square'|'square'|'lane'", 'wall' => "'yes'|'no'",
    'helper' => "'yes'|'no'", 'quiet' => "'yes'|'no'", 'school' => "'both-feet'|'other-foot-day'|'records'|'good-ones'",
])]
class RoutineRequest extends FormRequest
{
    private const USUAL = [
        'minutes' => 15, 'days' => 3, 'space' => 'square', 'wall' => 'no', 'helper' => 'no', 'quiet' => 'no', 'school' => 'both-feet',
    ];

    public function authorize(): Response
    {
        return Gate::inspect($this->isMethod('GET') ? 'view' : 'plan', $this->player()->squad);
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'minutes' => ['nullable', 'integer'],
            'days' => ['nullable', 'integer'],
            'space' => ['nullable', Rule::enum(HomeSpace::class)],
            'wall' => ['nullable', 'in:yes,no'],
            'helper' => ['nullable', 'in:yes,no'],
            'quiet' => ['nullable', 'in:yes,no'],
            'school' => ['nullable', Rule::enum(HomeSchool::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'minutes.*' => 'Ten to twenty minutes a day: short and often.',
            'days.*' => 'One to seven days a week.',
            'space.*' => 'Choose how much room there is.',
            'school.*' => 'Choose what the week is for.',
            '*' => 'Say yes or no.',
        ];
    }

    /** @return array{minutes: int, days: int, space: string, wall: string, helper: string, quiet: string, school: string} */
    public function wishes(): array
    {
        $asked = array_filter($this->only(array_keys(self::USUAL)), static fn (mixed $one): bool => $one !== null);
        $wishes = $asked + (RoutineQuery::kept($this->player())['wishes'] ?? []) + self::USUAL;

        return [
            'minutes' => (int) $wishes['minutes'],
            'days' => (int) $wishes['days'],
            'space' => (string) $wishes['space'],
            'wall' => (string) $wishes['wall'],
            'helper' => (string) $wishes['helper'],
            'quiet' => (string) $wishes['quiet'],
            'school' => (string) $wishes['school'],
        ];
    }

    /** @throws ValidationException If the minutes or days are none a child should have. */
    public function place(): HomePlace
    {
        $wishes = $this->wishes();
        try {
            return HomePlace::of(
                minutes: $wishes['minutes'],
                days: $wishes['days'],
                space: HomeSpace::from($wishes['space']),
                hasWall: $wishes['wall'] === 'yes',
                hasHelper: $wishes['helper'] === 'yes',
                isQuiet: $wishes['quiet'] === 'yes',
            );
        } catch (CoreException $refusal) {
            throw ValidationException::withMessages([$refusal->path() => $refusal->getMessage()]);
        }
    }

    public function school(): HomeSchool
    {
        return HomeSchool::from($this->wishes()['school']);
    }

    private function player(): Player
    {
        $player = $this->route('player');
        assert($player instanceof Player);

        return $player;
    }
}
