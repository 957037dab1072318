<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\BuildRequest;
use App\Http\Resources\ProposalsResource;
use App\Models\Squad;
use App\OpenApi\Post;
use App\Queries\ProposalsQuery;
use Illuminate\Http\JsonResponse;

class ProposalsController extends Controller
{
    #[
        Post(
            '/squads/{squad}/proposals',
            'Up to three sessions to take or leave, with the reasons of every block; nothing is kept.',
            answers: 'Proposals',
            takes: 'BuildDraft',
        ),
    ]
    public function __invoke(BuildRequest $request, Squad $squad, ProposalsQuery $query): JsonResponse
    {
        ['answer' => $answer, 'versions' => $versions] = $query->of(
            $squad,
            $request->draft(),
            $request->asked(),
            $request->day(),
            $this->user($request)->id,
        );

        return new JsonResponse(ProposalsResource::of($answer, $versions));
    }
}
