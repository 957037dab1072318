<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Squad;
use FleetSparrow\Core\Book\DrillFilter;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Layout\Equipment;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Touch\Surface;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** What a coach asks the book for: words, and what there is today. Lengths in the squad's unit. */
class DrillSearchRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('view', $this->squad());
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'family' => ['nullable', Rule::enum(Family::class)],
            'move' => ['nullable', 'string', 'max:80'],
            'surface' => ['nullable', Rule::enum(Surface::class)],
            'feet' => ['nullable', Rule::in(['one', 'both'])],
            'kit' => ['nullable', 'string', 'regex:/\A(none|(ball|wall|goal|target)(,(ball|wall|goal|target))*)\z/'],
            'markers' => ['nullable', 'integer', 'min:0', 'max:999'],
            'width' => ['nullable', 'numeric', 'min:1', 'max:500'],
            'depth' => ['nullable', 'numeric', 'min:1', 'max:500'],
            'people' => ['nullable', Rule::in(['alone', 'pair', 'group'])],
            'wall' => ['nullable', Rule::in(['yes', 'no'])],
            'minutes' => ['nullable', 'numeric', 'min:1', 'max:120'],
            'age' => ['nullable', Rule::in(AgeGroup::names())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'width.*' => 'Enter how wide the ground is, from 1 to 500.',
            'depth.*' => 'Enter how deep the ground is, from 1 to 500.',
            'minutes.*' => 'Enter minutes from 1 to 120.',
            'markers.*' => 'Enter how many markers there are, up to 999.',
            '*' => 'Choose one of the list.',
        ];
    }

    public function filter(): DrillFilter
    {
        $unit = $this->squad()->length_unit->tenthsOfMillimetre() / 10;
        $text = fn (string $name): ?string => $this->filled($name) ? $this->string($name)->toString() : null;
        $length = fn (string $name): ?int => $this->filled($name) ? (int) round($this->float($name) * $unit) : null;
        $kit = $text('kit');
        // One length given is a square corner.
        [$width, $depth] = [$length('width'), $length('depth')];

        return new DrillFilter(
            family: $this->enum('family', Family::class),
            move: $text('move'),
            surface: $text('surface'),
            feet: $text('feet'),
            equipment: $kit === null ? null : array_values(array_intersect(explode(',', $kit), array_column(Equipment::cases(), 'value'))),
            markers: $this->filled('markers') ? $this->integer('markers') : null,
            widthMillimetres: $width ?? $depth,
            depthMillimetres: $depth ?? $width,
            people: $text('people'),
            wall: match ($text('wall')) {
                'yes' => true,
                'no' => false,
                default => null,
            },
            minutes: $this->filled('minutes') ? $this->float('minutes') : null,
            ageGroup: $this->filled('age') ? AgeGroup::of($this->string('age')->toString()) : null,
        );
    }

    private function squad(): Squad
    {
        $squad = $this->route('squad');
        assert($squad instanceof Squad);

        return $squad;
    }
}
