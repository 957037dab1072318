<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\TrailResource;
use App\Models\AuditEntry;
use App\OpenApi\Get;
use App\OpenApi\Shape;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

#[Shape('ClubTrail', ['entries' => 'ClubTrailEntry[]', 'next' => 'int?'])]
class TrailController extends Controller
{
    private const AT_ONCE = 50;

    #[
        Get(
            '/club/trail',
            'Who did what in the club, newest first: to accounts, settings, sessions and players. `next` asks for what is older.',
            answers: 'ClubTrail',
            query: ['before?' => 'int'],
        ),
    ]
    public function __invoke(Request $request): JsonResponse
    {
        Gate::authorize('manage', $this->user($request)->club);
        $request->validate(
            ['before' => ['nullable', 'integer', 'min:1', 'max:9000000000000000']],
            ['before.*' => 'This must be a whole number.'],
        );
        $entries = AuditEntry::query()->with(['user', 'player', 'squad'])->orderByDesc('id')->limit(self::AT_ONCE + 1)
            ->when($request->filled('before'), fn ($query) => $query->where('id', '<', $request->integer('before')))->get();
        $shown = $entries->take(self::AT_ONCE);

        return new JsonResponse([
            'entries' => $shown->map(TrailResource::inClub(...))->values()->all(),
            'next' => $entries->count() > self::AT_ONCE ? $shown->last()?->id : null,
        ]);
    }
}
