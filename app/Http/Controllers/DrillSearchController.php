<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\DrillSearchRequest;
use App\Http\Resources\DrillSummary;
use App\Models\Squad;
use App\OpenApi\Get;
use App\Queries\DrillBookQuery;
use Illuminate\Http\JsonResponse;

class DrillSearchController extends Controller
{
    #[Get('/squads/{squad}/drill-search', 'Drills for what there is today; all of them when nothing is asked. '
        .'Lengths in the squad\'s unit.', answers: 'DrillsFound', query: [
            'family?' => 'string', 'move?' => 'string', 'surface?' => 'string', 'feet?' => 'string',
            'kit?' => 'string', 'markers?' => 'int', 'width?' => 'number', 'depth?' => 'number', 'people?' => 'string', 'wall?' => 'string',
            'minutes?' => 'number', 'age?' => 'string',
        ])]
    public function __invoke(DrillSearchRequest $request, Squad $squad, DrillBookQuery $book): JsonResponse
    {
        return new JsonResponse(
            [
                'found' => array_map(
                    DrillSummary::of(...),
                    $book->index($squad)->fitting($request->filter()),
                ),
            ],
        );
    }
}
