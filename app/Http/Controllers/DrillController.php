<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Resources\DrillResource;
use App\Models\DrillVersion;
use App\Models\Squad;
use App\OpenApi\Get;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

class DrillController extends Controller
{
    #[Get('/squads/{squad}/drills', 'The book as it stands, measured in the squad\'s unit.', answers: 'Drills')]
    public function index(Squad $squad): JsonResponse
    {
        Gate::authorize('view', $squad);
        $versions = DrillVersion::query()->where('is_current', true)->orderBy('family')->orderBy('name')->get();

        return new JsonResponse(['drills' => $versions->map(fn (DrillVersion $version): array => DrillResource::of($version, $squad->length_unit))->all()]);
    }
}
