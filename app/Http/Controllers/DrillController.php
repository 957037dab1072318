<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\DrillResource;
use App\Models\DrillVersion;
use App\Models\Squad;
use App\OpenApi\Get;
use FleetSparrow\Core\Drill\BookSearch;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Drill\Family;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

class DrillController extends Controller
{
    #[Get('/squads/{squad}/drills', 'Drills found by words, measured in the squad\'s unit; the whole book when nothing is asked.', answers: 'Drills', query: ['find?' => 'string'])]
    public function index(Request $request, Squad $squad): JsonResponse
    {
        Gate::authorize('view', $squad);
        $request->validate(['find' => ['nullable', 'string', 'max:120']], ['find.*' => 'Ask with at most 120 letters.']);
        $versions = DrillVersion::query()->where('is_current', true)->orderBy('name')->get()
            ->sortBy(fn (DrillVersion $version): int => (int) array_search($version->family, array_column(Family::cases(), 'value'), true))->keyBy('slug');
        $asked = $request->string('find')->trim()->toString();
        $slugs = $asked === '' ? $versions->keys()->all() : BookSearch::ofDrills($versions->map(fn (DrillVersion $version): Drill => $version->drill()))->find($asked);

        return new JsonResponse(['drills' => array_map(fn (string $slug): array => DrillResource::of($versions[$slug], $squad->length_unit), $slugs)]);
    }
}
