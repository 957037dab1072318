<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Squad;
use App\Settings\SquadSettings;
use Illuminate\Auth\Access\Response;
use Illuminate\Support\Facades\Gate;

class SquadSettingsRequest extends SettingsRequest
{
    public function authorize(): Response
    {
        $squad = $this->route('squad');
        assert($squad instanceof Squad);

        return Gate::inspect('settings', $squad);
    }

    protected function settings(): array
    {
        return SquadSettings::all();
    }
}
