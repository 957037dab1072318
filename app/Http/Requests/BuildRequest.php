<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Squad;
use App\OpenApi\Shape;
use App\Rules\LocalStart;
use App\Rules\RowsOf;
use App\Rules\WholeNumbers;
use FleetSparrow\Core\Builder\Lock;
use FleetSparrow\Core\Builder\Wish;
use FleetSparrow\Core\Drill\Family;
use Illuminate\Validation\Rule;

/** What a coach asks to have proposed. A slot that cannot be is answered with the nearest that can. */
#[Shape('Lock', ['drill' => 'string?', 'family' => 'string?'])]
#[Shape('BuildDraft', [
    'theme?' => 'string?', 'wish?' => "'anything'|'weaker-foot'|'shared-layout'|'join-two'|'rainy-corner'", 'locks?' => 'Lock[]',
    'bans?' => 'string[]', 'seen?' => 'string[][]', 'joinedSessionIds?' => 'int[]', 'seed?' => 'int',
    'slotMinutes' => 'int', 'comingPlayerIds' => 'int[]', 'startsAt?' => 'string', 'helpers?' => 'int',
    'laidBefore?' => 'bool', 'may?' => 'PlayerMay[]',
    'isHot?' => 'bool', 'temperatureCelsius?' => 'number?', 'humidityPercent?' => 'number?',
])]
class BuildRequest extends PlanRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'slotMinutes' => ['required', 'integer', 'min:-1000', 'max:10000'],
            'blocks' => ['array', 'max:0'],
            'startsAt' => ['bail', 'nullable', 'string', new LocalStart],
            'theme' => ['nullable', Rule::enum(Family::class)],
            'wish' => [Rule::enum(Wish::class)],
            'locks' => ['array', 'max:20', new RowsOf(['drill' => 'string?', 'family' => 'string?'])],
            'bans' => ['array', 'max:300'],
            'bans.*' => ['string', 'max:80'],
            'seen' => ['array', 'max:60'],
            'seen.*' => ['array', 'max:30'],
            'seen.*.*' => ['string', 'max:80'],
            'joinedSessionIds' => ['array', 'max:2', new WholeNumbers],
            'seed' => ['integer', 'min:0', 'max:1000000'],
        ] + array_diff_key(parent::rules(), ['overrides' => true, 'title' => true, 'place' => true]);
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'slotMinutes.*' => 'Enter the minutes there are.',
            'theme' => 'Choose one of the nine families, or none.',
            'wish' => 'Choose one of the list.',
        ] + parent::messages();
    }

    public function squad(): Squad
    {
        $squad = $this->route('squad');
        assert($squad instanceof Squad);

        return $squad;
    }

    /**
     * @return array{theme: Family|null, wish: Wish, locks: list<Lock>, bans: list<string>, seen: list<list<string>>,
     *     joinedSessionIds: list<int>, seed: int}
     */
    public function asked(): array
    {
        $locks = [];
        foreach ($this->array('locks') as $lock) {
            if (is_array($lock) && is_string($lock['drill'] ?? null)) {
                $locks[] = Lock::drill($lock['drill']);
            } elseif (is_array($lock) && is_string($lock['family'] ?? null)) {
                $locks[] = Lock::family($lock['family']);
            }
        }
        /** @var list<string> $bans */
        $bans = array_values($this->array('bans'));
        /** @var list<list<string>> $seen */
        $seen = array_map(array_values(...), array_values($this->array('seen')));
        /** @var list<int> $joined */
        $joined = array_map(intval(...), array_values($this->array('joinedSessionIds')));

        return [
            'theme' => $this->enum('theme', Family::class),
            'wish' => $this->enum('wish', Wish::class) ?? Wish::Anything,
            'locks' => $locks,
            'bans' => $bans,
            'seen' => $seen,
            'joinedSessionIds' => $joined,
            'seed' => $this->integer('seed', 1),
        ];
    }
}
