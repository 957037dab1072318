<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Squad\KeepPlayer;
use App\Http\Resources\PlayerResource;
use App\Models\Squad;
use App\OpenApi\Post;
use App\OpenApi\Shape;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

#[Shape('Bibs', ['bibs' => 'int[]'])]
#[Shape('Guests', ['players' => 'Player[]'])]
class GuestController extends Controller
{
    #[
        Post(
            '/squads/{squad}/guests',
            'Players who are a bib number until their names are known; whoever wears one of the bibs already is that player.',
            answers: 'Guests',
            takes: 'Bibs',
        ),
    ]
    public function store(Request $request, Squad $squad, KeepPlayer $action): JsonResponse
    {
        Gate::authorize('run', $squad);
        $request->validate(
            ['bibs' => ['required', 'array', 'max:20'], 'bibs.*' => ['integer', 'min:1', 'max:99', 'distinct']],
            [
                'bibs.required' => 'Say which bibs.',
                'bibs.max' => 'At most 20 guests at once.',
                'bibs.*' => 'A bib number is between 1 and 99, and each is worn once.',
            ],
        );
        /** @var non-empty-list<int> $bibs */
        $bibs = array_map(intval(...), array_values($request->array('bibs')));
        $players = $action->guests($squad, $bibs, $this->user($request));

        return new JsonResponse(['players' => array_map(PlayerResource::of(...), $players)]);
    }
}
