<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\DrillRequest;
use App\Http\Resources\DrillTrialResource;
use App\Models\Squad;
use App\OpenApi\Post;
use App\Queries\DrillBookQuery;
use App\Queries\DrillTrial;
use FleetSparrow\Core\Drill\DrillScaling;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Shared\AgeGroup;
use Illuminate\Http\JsonResponse;

class DrillTrialController extends Controller
{
    #[
        Post(
            '/squads/{squad}/drill-trials',
            'What a drill in hand comes to: its drawing, time, touches, room, and whether it starts a new record line. '
            .'Nothing is kept; every fault by its path.',
            answers: 'DrillTrial',
            takes: 'DrillInHand',
        ),
    ]
    public function __invoke(DrillRequest $request, Squad $squad, DrillBookQuery $book, DrillTrial $trial): JsonResponse
    {
        $fields = $request->drillFields();
        try {
            $drill = DrillFactory::fromFields($fields);
            $factor = $request->filled('scaleTo')
                ? DrillScaling::factor($drill, AgeGroup::of($request->string('scaleTo')->toString()))
                : null;
            if ($factor !== null) {
                $fields = DrillScaling::fields($fields, $factor);
                $drill = DrillFactory::fromFields($fields);
            }
        } catch (InvalidDrill $fault) {
            return new JsonResponse(DrillTrialResource::refused($fields, $fault));
        }
        $from = $request->filled('from') ? $book->version($squad, $request->string('from')->toString()) : null;

        return new JsonResponse(
            DrillTrialResource::of($fields, $drill, $squad, $trial->worked($squad, $drill), $trial->line($squad, $drill, $from)),
        );
    }
}
