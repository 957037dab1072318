<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Squad;
use App\OpenApi\Shape;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Exception\InvalidRecord;
use FleetSparrow\Core\Record\MarkValue;
use FleetSparrow\Core\Record\TargetSchool;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

#[Shape('DrillTarget', ['school' => 'string?', 'number' => 'number?'])]
class DrillTargetRequest extends FormRequest
{
    public function authorize(): Response
    {
        $squad = $this->route('squad');

        return $squad instanceof Squad ? Gate::inspect('plan', $squad) : Response::denyAsNotFound();
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'school' => ['present', 'nullable', 'string', Rule::enum(TargetSchool::class)],
            'number' => ['present', 'nullable', 'numeric'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['school.*' => 'Choose how the number to beat is set.', 'number.*' => 'Enter a number.'];
    }

    /**
     * @return array{school: TargetSchool|null, number: float|null}
     *
     * @throws ValidationException If nothing is counted in the drill, or no number of it can be so.
     */
    public function target(Drill $drill): array
    {
        $school = TargetSchool::tryFrom($this->string('school')->toString());
        $number = $school === TargetSchool::Fixed && $this->filled('number') ? $this->float('number') : null;
        if ($school !== null && $drill->rule === null) {
            throw ValidationException::withMessages(['school' => ['Nothing is counted in this drill.']]);
        }
        $kind = $drill->rule?->kind;
        try {
            return [
                'school' => $school,
                'number' => $number === null || $kind === null ? null : MarkValue::of($kind, $number)->value,
            ];
        } catch (InvalidRecord $fault) {
            throw ValidationException::withMessages(['number' => [$fault->getMessage()]]);
        }
    }
}
