<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\KeepPlan;
use App\Http\Requests\PlanRequest;
use App\Http\Resources\SessionResource;
use App\Http\StaleVersion;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\OpenApi\Put;
use App\Queries\PlanEvaluationQuery;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Plan\Warning;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

class TrainingSessionController extends Controller
{
    private const SHOWN = ['blocks.drillVersion', 'attendances', 'overrides.by', 'squad.players'];

    #[Get('/sessions/{session}', 'A session with its running order, as the plan view edits it.', answers: 'Session')]
    public function show(Request $request, TrainingSession $session): JsonResponse
    {
        Gate::authorize('view', $session->squad);

        return $this->answer($request, $session, 200);
    }

    #[Post('/squads/{squad}/sessions', 'Adds a session.', answers: 'Session', takes: 'PlanToKeep', status: 201)]
    public function store(PlanRequest $request, Squad $squad, KeepPlan $action, PlanEvaluationQuery $evaluations): JsonResponse
    {
        $session = new TrainingSession(['squad_id' => $squad->id]);

        return $this->answer($request, $action->keep($session, $this->header($request), $request->draft(), $this->user($request), $this->barred($request, $squad, $evaluations)), 201);
    }

    #[Put('/sessions/{session}', 'Keeps a changed plan, unless it was changed elsewhere: then 412 with the plan as it stands.', answers: 'Session', takes: 'PlanToKeep', headers: ['If-Match' => 'The version that was changed, in quotes.'])]
    public function update(PlanRequest $request, TrainingSession $session, KeepPlan $action, PlanEvaluationQuery $evaluations): JsonResponse
    {
        $expected = trim((string) $request->headers->get('If-Match'), '"');
        abort_if($expected === '', 428);
        if ($expected !== (string) $session->version) {
            throw new StaleVersion(SessionResource::of($session->load(self::SHOWN), $this->day($request)));
        }

        return $this->answer($request, $action->keep($session, $this->header($request), $request->draft(), $this->user($request), $this->barred($request, $session->squad, $evaluations)), 200);
    }

    /**
     * What a caution forbids in the plan; nothing while nobody is coming, for then nobody is asked for anything.
     *
     * @return list<array{blockId: string|null, warning: Warning}>
     */
    private function barred(PlanRequest $request, Squad $squad, PlanEvaluationQuery $evaluations): array
    {
        try {
            return $evaluations->evaluate($squad, $request->draft(), $request->day(), $this->user($request)->id)->barred();
        } catch (InvalidPlan $refusal) {
            return in_array($refusal->reason(), ['plan.nobody', 'plan.too-many'], true) ? [] : throw $refusal;
        }
    }

    private function answer(Request $request, TrainingSession $session, int $status): JsonResponse
    {
        $session->load(self::SHOWN);

        return new JsonResponse(SessionResource::of($session, $this->day($request)), $status, ['ETag' => "\"{$session->version}\""]);
    }

    /** @return array<string, mixed> */
    private function header(PlanRequest $request): array
    {
        return [
            'title' => $request->string('title')->toString(),
            'place' => $request->string('place')->toString(),
            'starts_at_utc' => $this->day($request)->instant($request->string('startsAt')->toString()),
            'slot_minutes' => $request->integer('slotMinutes'),
        ];
    }
}
