<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Auth\AuditTrail;
use App\Http\Requests\DrillTargetRequest;
use App\Http\Resources\DrillPageResource;
use App\Models\Squad;
use App\OpenApi\Put;
use App\Planning\SquadHistory;
use App\Queries\DrillBookQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\DB;

class DrillTargetController extends Controller
{
    #[
        Put(
            '/squads/{squad}/drills/{slug}/target',
            'How the squad sets the number to beat of this drill; without a school as it usually does.',
            answers: 'DrillPage',
            takes: 'DrillTarget',
        ),
    ]
    public function __invoke(
        DrillTargetRequest $request,
        Squad $squad,
        string $slug,
        DrillBookQuery $book,
        AuditTrail $trail,
        SquadHistory $history,
    ): JsonResponse {
        $version = $book->version($squad, $slug) ?? abort(404);
        ['school' => $school, 'number' => $number] = $request->target($version->drill());
        DB::transaction(function () use ($request, $squad, $slug, $school, $number, $version, $trail, $history): void {
            $row = ['squad_id' => $squad->id, 'drill_slug' => $slug];
            $before = DB::table('drill_targets')->where($row)->first();
            if ($school === null) {
                DB::table('drill_targets')->where($row)->delete();
            } else {
                DB::table('drill_targets')->upsert(
                    [$row + ['club_id' => $squad->club_id, 'school' => $school->value, 'number' => $number]],
                    ['squad_id', 'drill_slug'],
                    ['school', 'number'],
                );
            }
            $history->changed($squad->id);
            $words = static fn (?string $how, mixed $with): string => trim(($how ?? 'as usual').($with === null ? '' : " {$with}"));
            $trail->noteOf($this->user($request), 'drill.target', $version->name, $squad->id, [
                'target' => [$words($before->school ?? null, $before->number ?? null), $words($school?->value, $number)],
            ]);
        });

        return new JsonResponse(DrillPageResource::of($version, $squad));
    }
}
