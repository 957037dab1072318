<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Player;
use App\Models\Squad;
use App\OpenApi\Shape;
use FleetSparrow\Core\Shared\StrongFoot;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

#[Shape('PlayerFields', ['name' => 'string', 'bib' => 'int?', 'strongFoot' => "'R'|'L'|'both'", 'birthYear' => 'int?'])]
class PlayerRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('plan', $this->squad());
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        $year = (int) now()->format('Y');

        return [
            'name' => [
                'required',
                'string',
                'max:60',
                Rule::unique('players', 'name')->where('squad_id', $this->squad()->id)->ignore($this->route('player')),
            ],
            'bib' => ['nullable', 'integer', 'min:1', 'max:99'],
            'strongFoot' => ['required', Rule::enum(StrongFoot::class)],
            'birthYear' => ['nullable', 'integer', 'min:'.($year - 20), 'max:'.($year - 4)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Enter a first name, or a bib word until you know it.',
            'name.max' => 'At most 60 letters: a first name is enough.',
            'name.unique' => 'This squad has a player of that name. Add an initial.',
            'bib.*' => 'A bib number is between 1 and 99.',
            'strongFoot.*' => 'Choose right, left or both.',
            'birthYear.*' => 'Enter a year such as 2014. The full date is never needed.',
        ];
    }

    /** @return array<string, mixed> */
    public function columns(): array
    {
        return [
            'name' => trim($this->string('name')->toString()),
            'bib' => $this->input('bib'),
            'strong_foot' => $this->enum('strongFoot', StrongFoot::class),
            'birth_year' => $this->input('birthYear'),
        ];
    }

    private function squad(): Squad
    {
        $player = $this->route('player');
        $squad = $player instanceof Player ? $player->squad : $this->route('squad');
        assert($squad instanceof Squad);

        return $squad;
    }
}
