<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Drill\KeepOwnDrill;
use App\Exchange\Export\DrillFile as Exported;
use App\Exchange\Import\DrillFile as Imported;
use App\Models\Squad;
use App\OpenApi\Get;
use App\OpenApi\Post;
use App\OpenApi\Shape;
use App\Queries\DrillBookQuery;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

#[Shape('DrillFile', ['format' => "'fleet-sparrow/drill'", 'version' => 'int', 'drills' => 'object[]'])]
#[Shape('DrillsTaken', ['taken' => 'DrillTaken[]'])]
#[Shape('DrillTaken', ['slug' => 'string', 'name' => 'string'])]
class DrillFileController extends Controller
{
    #[Get('/squads/{squad}/drills/{slug}/file', 'The drill as a file of the open format.', answers: 'DrillFile')]
    public function show(Squad $squad, string $slug, DrillBookQuery $book): Response
    {
        Gate::authorize('view', $squad);
        $version = $book->version($squad, $slug) ?? abort(404);

        return new Response(
            Exported::of([$version]),
            200,
            ['Content-Type' => 'application/json', 'Content-Disposition' => "attachment; filename=\"{$version->slug}.json\""],
        );
    }

    #[
        Post(
            '/squads/{squad}/drill-files',
            'Takes the drills of a file as the squad\'s own: all of them, or none with every fault by its path.',
            answers: 'DrillsTaken',
            takes: 'DrillFile',
            status: 201,
        ),
    ]
    public function store(Request $request, Squad $squad, KeepOwnDrill $action): JsonResponse
    {
        Gate::authorize('plan', $squad);
        // The text as it came: what the framework trims and empties on the way would not come back the same.
        $drills = Imported::read($request->getContent());
        $taken = DB::transaction(function () use ($drills, $squad, $action): array {
            $taken = [];
            foreach ($drills as $i => $fields) {
                try {
                    $version = $action->keep($squad, $fields, null, is_string($fields['slug'] ?? null) ? $fields['slug'] : null);
                } catch (ValidationException $fault) {
                    throw ValidationException::withMessages(["drills.{$i}.name" => array_merge(...array_values($fault->errors()))]);
                }
                $taken[] = ['slug' => $version->slug, 'name' => $version->name];
            }

            return $taken;
        });

        return new JsonResponse(['taken' => $taken], 201);
    }
}
