<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\User;
use App\Settings\ClubSettings;
use Illuminate\Auth\Access\Response;
use Illuminate\Support\Facades\Gate;

class ClubSettingsRequest extends SettingsRequest
{
    public function authorize(): Response
    {
        $user = $this->user();

        return $user instanceof User ? Gate::inspect('manage', $user->club) : Response::deny();
    }

    protected function settings(): array
    {
        return ClubSettings::all();
    }
}
