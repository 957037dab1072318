<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ClubSettingsRequest;
use App\Http\Resources\SettingsResource;
use App\OpenApi\Get;
use App\OpenApi\Put;
use App\Support\ClubSettings;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;

class ClubController extends Controller
{
    #[Get('/club/settings', 'The club\'s settings, each with its default and a sentence.', answers: 'Settings')]
    public function show(Request $request): JsonResponse
    {
        $club = $this->user($request)->club;
        Gate::authorize('manage', $club);

        return new JsonResponse(SettingsResource::of(ClubSettings::all(), ClubSettings::values($club)));
    }

    #[Put('/club/settings', 'Keeps the club\'s settings.', answers: 'Settings', takes: 'SettingValues')]
    public function update(ClubSettingsRequest $request): JsonResponse
    {
        $club = $this->user($request)->club;
        $club->update(ClubSettings::columns($request->validated()));

        return new JsonResponse(SettingsResource::of(ClubSettings::all(), ClubSettings::values($club)));
    }
}
