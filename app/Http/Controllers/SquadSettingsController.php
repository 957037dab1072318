<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SquadSettingsRequest;
use App\Http\Resources\SettingsResource;
use App\Models\Squad;
use App\OpenApi\Get;
use App\OpenApi\Put;
use App\Support\SquadHistory;
use App\Support\SquadSettings;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

class SquadSettingsController extends Controller
{
    #[Get('/squads/{squad}/settings', 'What a squad has chosen, each with its default and a sentence.', answers: 'Settings')]
    public function show(Squad $squad): JsonResponse
    {
        Gate::authorize('settings', $squad);

        return new JsonResponse(SettingsResource::of(SquadSettings::all(), SquadSettings::values($squad), SquadSettings::follows($squad)));
    }

    #[Put('/squads/{squad}/settings', 'Keeps what a squad has chosen.', answers: 'Settings', takes: 'SettingValues')]
    public function update(SquadSettingsRequest $request, Squad $squad, SquadHistory $history): JsonResponse
    {
        $squad->update(SquadSettings::columns($squad, $request->validated()));
        $history->changed($squad->id);

        return $this->show($squad);
    }
}
