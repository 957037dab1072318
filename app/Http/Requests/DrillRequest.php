<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Squad;
use App\OpenApi\Shape;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Layout\LayoutKinds;
use FleetSparrow\Core\Layout\LayoutParameter;
use FleetSparrow\Core\Shared\AgeGroup;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** A drill in hand: the fields of a drill file, and the slug of the drill it is compared with or copied from. */
#[Shape('DrillInHand', ['fields' => 'object', 'from' => 'string?', 'scaleTo?' => 'string?'])]
class DrillRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('plan', $this->squad());
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'fields' => ['required', 'array'],
            'from' => ['nullable', 'string', 'max:80'],
            'scaleTo' => ['nullable', Rule::in(AgeGroup::names())],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['fields.*' => 'A drill is a list of fields.', 'scaleTo.*' => 'An age group is one of U6 to U18.'];
    }

    /** @return array<string, mixed> as they came, but for what was left empty and what a layout of this kind has no use for */
    public function drillFields(): array
    {
        /** @var array<string, mixed> $fields */
        $fields = array_filter((array) $this->validated('fields'), fn (mixed $value): bool => $value !== null);
        $layout = $fields['layout'] ?? null;
        $parameters = is_array($layout) && is_string($layout['kind'] ?? null)
            ? LayoutKinds::standard()->tryParameters($layout['kind'])
            : null;
        if ($parameters !== null) {
            $names = array_map(static fn (LayoutParameter $one): string => $one->name, $parameters);
            $fields['layout'] = array_intersect_key($layout, array_flip(['kind', ...$names]));
        }

        return $fields;
    }

    /**
     * The core's drill; each of its faults becomes a message at `fields.` and the field's path.
     *
     * @throws ValidationException
     */
    public function drill(): Drill
    {
        try {
            return DrillFactory::fromFields($this->drillFields());
        } catch (InvalidDrill $fault) {
            $messages = [];
            foreach ($fault->faults as $one) {
                $messages["fields.{$one->path}"][] = $one->message;
            }
            throw ValidationException::withMessages($messages === [] ? ['fields' => [$fault->getMessage()]] : $messages);
        }
    }

    public function squad(): Squad
    {
        $squad = $this->route('squad');
        assert($squad instanceof Squad);

        return $squad;
    }
}
