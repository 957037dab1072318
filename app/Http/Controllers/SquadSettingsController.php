<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\KeepSettings;
use App\Http\Requests\SquadSettingsRequest;
use App\Http\Resources\SettingsResource;
use App\Models\Squad;
use App\OpenApi\Get;
use App\OpenApi\Put;
use App\Settings\SquadSettings;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Gate;

class SquadSettingsController extends Controller
{
    #[Get('/squads/{squad}/settings', 'What a squad has chosen, each with its default and a sentence.', answers: 'Settings')]
    public function show(Squad $squad): JsonResponse
    {
        Gate::authorize('settings', $squad);

        return new JsonResponse(self::settings($squad));
    }

    #[
        Put(
            '/squads/{squad}/settings',
            'Keeps what a squad has chosen.',
            answers: 'Settings',
            takes: 'SettingValues',
            headers: ['If-Match' => 'The version that was changed, in quotes.'],
        ),
    ]
    public function update(SquadSettingsRequest $request, Squad $squad, KeepSettings $action): JsonResponse
    {
        $version = $this->changedVersion($request);
        $squad = $this->unlessStale(
            fn (): Squad => $action->ofSquad(
                $squad,
                SquadSettings::columns($squad, $request->validated()),
                $version,
                $this->user($request),
            ),
            fn (): array => self::settings($squad->refresh()),
        );

        return new JsonResponse(self::settings($squad));
    }

    /** @return array<string, mixed> */
    private static function settings(Squad $squad): array
    {
        return SettingsResource::of(SquadSettings::all(), SquadSettings::values($squad), $squad->version, SquadSettings::follows($squad));
    }
}
