<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepSettings;
use App\Http\Requests\ClubSettingsRequest;
use App\Http\Resources\SettingsResource;
use App\Models\Club;
use App\OpenApi\Get;
use App\OpenApi\Put;
use App\Settings\ClubSettings;
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

        return new JsonResponse(self::settings($club));
    }

    #[
        Put(
            '/club/settings',
            'Keeps the club\'s settings.',
            answers: 'Settings',
            takes: 'SettingValues',
            headers: ['If-Match' => 'The version that was changed, in quotes.'],
        ),
    ]
    public function update(ClubSettingsRequest $request, KeepSettings $action): JsonResponse
    {
        $club = $this->user($request)->club;
        $version = $this->changedVersion($request);
        $club = $this->unlessStale(
            fn (): Club => $action->ofClub($club, ClubSettings::columns($request->validated()), $version, $this->user($request)),
            fn (): array => self::settings($club->refresh()),
        );

        return new JsonResponse(self::settings($club));
    }

    /** @return array<string, mixed> */
    private static function settings(Club $club): array
    {
        return SettingsResource::of(ClubSettings::all(), ClubSettings::values($club), $club->version);
    }
}
