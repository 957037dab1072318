<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\PlanRequest;
use App\Models\Squad;
use App\OpenApi\Post;
use App\Queries\PlanEvaluationQuery;
use Illuminate\Http\JsonResponse;

class PlanPreviewController extends Controller
{
    #[Post('/squads/{squad}/preview', 'What a running order in hand comes to; nothing is kept.', answers: 'Evaluation', takes: 'PlanDraft')]
    public function __invoke(PlanRequest $request, Squad $squad, PlanEvaluationQuery $evaluations): JsonResponse
    {
        $draft = $request->draft();

        return JsonResponse::fromJsonString($evaluations->told(
            $squad,
            $draft,
            $request->day(),
            $this->user($request)->id,
            $request->filled('playersOf') ? $request->string('playersOf')->toString() : null,
        ));
    }
}
