<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Squad;
use App\Models\TrainingSession;
use App\OpenApi\Shape;
use App\Rules\BlockShapes;
use App\Rules\WholeNumbers;
use App\Support\PlanDraft;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** A running order as the client holds it: for the preview, and, with title, place and start, for keeping. */
#[Shape('PlanDraft', ['slotMinutes' => 'int', 'blocks' => 'PlanBlock[]', 'comingPlayerIds' => 'int[]'])]
#[Shape('PlanToKeep', ['title' => 'string', 'place?' => 'string?', 'startsAt' => 'string'], extends: 'PlanDraft')]
class PlanRequest extends FormRequest
{
    public function authorize(): Response
    {
        return Gate::inspect('plan', $this->squad());
    }

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return $this->headerRules() + [
            'slotMinutes' => ['required', 'integer', 'min:10', 'max:240'],
            'blocks' => ['present', 'array', 'max:30', new BlockShapes],
            'comingPlayerIds' => ['present', 'array', 'max:250', new WholeNumbers],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Give the session a name.',
            'startsAt.*' => 'Enter a day and a time.',
            'slotMinutes.*' => 'The slot must be between 10 and 240 minutes.',
            'blocks.max' => 'A session holds at most 30 blocks.',
            'comingPlayerIds.max' => 'One small-group session takes at most 40 players: split the group.',
        ];
    }

    public function squad(): Squad
    {
        $session = $this->route('session');
        $squad = $session instanceof TrainingSession ? $session->squad : $this->route('squad');
        assert($squad instanceof Squad);

        return $squad;
    }

    public function draft(): PlanDraft
    {
        /** @var list<array<string, mixed>> $blocks */
        $blocks = array_values($this->validated('blocks'));
        /** @var list<int> $coming */
        $coming = array_map(intval(...), array_values($this->validated('comingPlayerIds')));

        return new PlanDraft((int) $this->validated('slotMinutes'), $blocks, $coming);
    }

    /** @return array<string, list<mixed>> */
    private function headerRules(): array
    {
        return $this->is('*/preview') ? [] : [
            'title' => ['required', 'string', 'max:120'],
            'place' => ['nullable', 'string', 'max:120'],
            'startsAt' => ['required', 'date_format:Y-m-d\TH:i'],
        ];
    }
}
