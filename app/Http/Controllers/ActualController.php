<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\TrainingSession;
use App\OpenApi\Get;
use App\OpenApi\Shape;
use App\Queries\ActualQuery;
use FleetSparrow\Core\Run\BlockActual;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

#[Shape('BlockActual', [
    'blockId' => 'string', 'plannedSeconds' => 'number', 'actualSeconds' => 'number', 'wasSkipped' => 'bool', 'words' => 'string',
    'calls' => 'CallsMade?',
])]
#[Shape('CallsMade', ['called' => 'int', 'hit' => 'int', 'slow' => 'int'])]
#[Shape('SessionActual', ['plannedSeconds' => 'number', 'actualSeconds' => 'number', 'blocks' => 'BlockActual[]'])]
class ActualController extends Controller
{
    #[Get(
        '/sessions/{session}/actual',
        'How a session went beside how it was planned; no blocks where its run kept no times.',
        answers: 'SessionActual',
    )]
    public function __invoke(TrainingSession $session): JsonResponse
    {
        Gate::authorize('view', $session->squad);
        $calls = ActualQuery::calls($session);
        $blocks = array_values(array_map(static fn (BlockActual $one): array => [
            'blockId' => $one->blockId,
            'plannedSeconds' => round($one->plannedSeconds),
            'actualSeconds' => round($one->actualSeconds),
            'wasSkipped' => $one->wasSkipped,
            'words' => $one->words(),
            'calls' => $calls[$one->blockId] ?? null,
        ], ActualQuery::of($session)));

        return new JsonResponse([
            'plannedSeconds' => array_sum(array_column($blocks, 'plannedSeconds')),
            'actualSeconds' => array_sum(array_column($blocks, 'actualSeconds')),
            'blocks' => $blocks,
        ]);
    }
}
