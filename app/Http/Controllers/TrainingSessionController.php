<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Plan\DeleteSession;
use App\Actions\Plan\KeepPlan;
use App\Http\Requests\PlanRequest;
use App\Http\Resources\SessionResource;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\OpenApi\Delete;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\OpenApi\Put;
use App\OpenApi\Shape;
use App\Queries\PlanEvaluationQuery;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Shared\Warning;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;

#[Shape('Holdings', ['marks' => 'int', 'players' => 'int', 'wasRun' => 'bool', 'hasRecap' => 'bool'])]
#[Shape('SessionToDelete', ['marks' => 'int'])]
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
        $uuid = $request->filled('clientUuid') ? $request->string('clientUuid')->toString() : null;
        $session = new TrainingSession(['squad_id' => $squad->id, 'client_uuid' => $uuid]);
        try {
            return $this->added($request, $squad, $uuid)
                ?? $this->answer(
                    $request,
                    $action->keep(
                        $session,
                        $this->header($request),
                        $request->draft(),
                        $this->user($request),
                        $this->barred($request, $squad, $evaluations),
                    ),
                    201,
                );
        } catch (UniqueConstraintViolationException $twice) {
            // Sent twice in one breath: the other was quicker.
            return $this->added($request, $squad, $uuid) ?? throw $twice;
        }
    }

    /** The session that was added under a client's name before, for an answer that was lost. */
    private function added(PlanRequest $request, Squad $squad, ?string $uuid): ?JsonResponse
    {
        $before = $uuid === null ? null : $squad->trainingSessions()->where('client_uuid', $uuid)->first();

        return $before === null ? null : $this->answer($request, $before, 201);
    }

    #[
        Put(
            '/sessions/{session}',
            'Keeps a changed plan, unless it was changed elsewhere: then 412 with the plan as it stands.',
            answers: 'Session',
            takes: 'PlanToKeep',
            headers: ['If-Match' => 'The version that was changed, in quotes.'],
        ),
    ]
    public function update(PlanRequest $request, TrainingSession $session, KeepPlan $action, PlanEvaluationQuery $evaluations): JsonResponse
    {
        $version = $this->changedVersion($request);
        $barred = $this->barred($request, $session->squad, $evaluations);
        $kept = $this->unlessStale(
            fn (): TrainingSession => $action->keep(
                $session,
                $this->header($request),
                $request->draft(),
                $this->user($request),
                $barred,
                $version,
            ),
            fn (): array => SessionResource::of($session->refresh()->load(self::SHOWN), $this->day($request)),
        );

        return $this->answer($request, $kept, 200);
    }

    #[Get('/sessions/{session}/holdings', 'What would go with a session if it were deleted.', answers: 'Holdings')]
    public function holdings(TrainingSession $session, DeleteSession $action): JsonResponse
    {
        Gate::authorize('plan', $session->squad);

        return new JsonResponse($action->hangsOn($session));
    }

    #[
        Delete(
            '/sessions/{session}',
            'Deletes a session with every number taken in it; `marks` says how many those are.',
            takes: 'SessionToDelete',
            status: 204,
            headers: ['If-Match' => 'The version that was looked at, in quotes.'],
        ),
    ]
    public function destroy(Request $request, TrainingSession $session, DeleteSession $action): Response
    {
        Gate::authorize('plan', $session->squad);
        $request->validate(['marks' => ['required', 'integer', 'min:0', 'max:1000000']], ['marks.*' => 'Say how many numbers go with it.']);
        $this->unlessStale(
            fn () => $action->delete($session, $this->changedVersion($request), $request->integer('marks'), $this->user($request)),
            fn (): array => SessionResource::of($session->refresh()->load(self::SHOWN), $this->day($request)),
        );

        return response()->noContent();
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
