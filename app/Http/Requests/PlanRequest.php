<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Squad;
use App\Models\TrainingSession;
use App\Models\User;
use App\OpenApi\Shape;
use App\Planning\PlanDraft;
use App\Rules\BlockShapes;
use App\Rules\LocalStart;
use App\Rules\RowsOf;
use App\Rules\WholeNumbers;
use FleetSparrow\Core\Plan\Availability;
use FleetSparrow\Core\Shared\CalendarDate;
use Illuminate\Auth\Access\Response;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Facades\Gate;

/** A running order as the client holds it: for the preview, and, with title, place and start, for keeping. */
#[Shape('PlayerMay', ['playerId' => 'int', 'may' => "'everything'|'serves-only'|'no-striking'|'no-heading'"])]
#[Shape('Override', ['blockId' => 'string?', 'code' => 'string', 'reason' => 'string'])]
#[
    Shape(
        'PlanDraft',
        [
            'slotMinutes' => 'int',
            'blocks' => 'PlanBlock[]',
            'comingPlayerIds' => 'int[]',
            'startsAt?' => 'string',
            'helpers?' => 'int',
            'laidBefore?' => 'bool',
            'may?' => 'PlayerMay[]',
            'isHot?' => 'bool',
            'temperatureCelsius?' => 'number?',
            'humidityPercent?' => 'number?',
            'overrides?' => 'Override[]',
            'playersOf?' => 'string?',
        ],
    ),
]
#[Shape('PlanToKeep', ['title' => 'string', 'place?' => 'string?', 'clientUuid?' => 'string?'], extends: 'PlanDraft')]
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
            'helpers' => ['integer', 'min:0', 'max:20'],
            'laidBefore' => ['boolean'],
            'playersOf' => ['nullable', 'string', 'max:40'],
            'may' => ['array', 'max:250', new RowsOf(['playerId' => 'int', 'may' => array_column(Availability::cases(), 'value')])],
            'isHot' => ['boolean'],
            'temperatureCelsius' => ['nullable', 'numeric'],
            'humidityPercent' => ['nullable', 'numeric'],
            'overrides' => ['array', 'max:60', new RowsOf(['blockId' => 'string?', 'code' => 'string', 'reason' => 'string'])],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'title.required' => 'Give the session a name.',
            'startsAt' => 'Enter a day and a time.',
            'startsAt.*' => 'Enter a day and a time.',
            'slotMinutes.*' => 'The slot must be between 10 and 240 minutes.',
            'blocks.max' => 'A session holds at most 30 blocks.',
            'helpers.*' => 'Helpers must be a whole number from 0 to 20.',
            'temperatureCelsius.*' => 'Enter the temperature in °C.',
            'humidityPercent.*' => 'Enter the humidity in per cent.',
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
        /** @var array{
         *     slotMinutes: int|string,
         *     blocks?: array<array-key, array<string, mixed>>,
         *     comingPlayerIds: array<array-key, int>,
         *     helpers?: int|string,
         *     laidBefore?: bool,
         *     may?: array<array-key, array{playerId: int, may: string}>,
         *     isHot?: bool,
         *     temperatureCelsius?: float|int|string|null,
         *     humidityPercent?: float|int|string|null,
         *     overrides?: array<array-key, array{blockId: string|null, code: string, reason: string}>,
         * } $fields
         */
        $fields = $this->validated();

        return new PlanDraft(
            slotMinutes: (int) $fields['slotMinutes'],
            blocks: array_values($fields['blocks'] ?? []),
            comingPlayerIds: array_map(intval(...), array_values($fields['comingPlayerIds'])),
            helpers: min(20, max(0, (int) ($fields['helpers'] ?? 0))),
            may: array_column(
                array_filter($fields['may'] ?? [], fn (array $one): bool => $one['may'] !== Availability::Everything->value),
                'may',
                'playerId',
            ),
            heat: [
                'isHot' => $this->boolean('isHot'),
                'temperatureCelsius' => self::number($fields['temperatureCelsius'] ?? null),
                'humidityPercent' => self::number($fields['humidityPercent'] ?? null),
            ],
            overrides: array_values($fields['overrides'] ?? []),
            isLaidBefore: ! $this->has('laidBefore') || $this->boolean('laidBefore'),
        );
    }

    /** The session's day; today, for a plan that has none yet. */
    public function day(): CalendarDate
    {
        if ($this->filled('startsAt')) {
            return CalendarDate::fromIso(substr($this->string('startsAt')->toString(), 0, 10));
        }
        $user = $this->user();
        assert($user instanceof User);

        return $user->club->day()->today();
    }

    private static function number(float|int|string|null $value): ?float
    {
        return is_numeric($value) ? (float) $value : null;
    }

    /** @return array<string, list<mixed>> */
    private function headerRules(): array
    {
        return $this->is('*/preview') ? ['startsAt' => ['bail', 'nullable', 'string', new LocalStart]] : [
            'title' => ['required', 'string', 'max:120'],
            'place' => ['nullable', 'string', 'max:120'],
            'startsAt' => ['bail', 'required', 'string', new LocalStart],
            'clientUuid' => ['nullable', 'string', 'uuid'],
        ];
    }
}
