<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Squad;
use App\OpenApi\Get;
use App\OpenApi\Shape;
use App\Queries\LastTimeQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

#[Shape('LastNumber', ['playerId' => 'int', 'side' => "'R'|'L'|'both'|'alternating'", 'value' => 'number', 'unit' => 'string'])]
#[
    Shape(
        'LastDone',
        ['sessionId' => 'int', 'title' => 'string', 'on' => 'date', 'players' => 'int', 'dose' => 'Dose?', 'numbers' => 'LastNumber[]'],
    ),
]
#[Shape('LastTime', ['last' => 'LastDone?'])]
class LastTimeController extends Controller
{
    #[
        Get(
            '/squads/{squad}/drills/{slug}/last-time',
            'What was done of a drill when the squad last did it: when, how much, by how many, and the numbers.',
            answers: 'LastTime',
            query: ['before?' => 'date'],
        ),
    ]
    public function __invoke(Request $request, Squad $squad, string $slug, LastTimeQuery $query): JsonResponse
    {
        Gate::authorize('view', $squad);
        $request->validate(['before' => ['bail', 'nullable', 'string', 'date_format:Y-m-d', 'after:2000-01-01', 'before:2100-01-01']]);
        $day = $this->day($request);
        $last = $query->of(
            $squad,
            $slug,
            $day->instant(($request->filled('before') ? $request->string('before')->toString() : $day->today()->iso()).'T00:00'),
        );

        return new JsonResponse(['last' => $last === null ? null : [
            'sessionId' => $last['session']->id,
            'title' => $last['session']->title,
            'on' => $day->on($last['session']->starts_at_utc)->iso(),
            'players' => $last['players'],
            'dose' => $last['block']->dose,
            'numbers' => $last['numbers'],
        ]]);
    }
}
