<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Auth\HomeCode;
use App\Auth\Links;
use App\Models\HomeLink;
use App\OpenApi\Shape;
use App\Tenancy\ClubDay;

#[Shape('HomeLink', ['code' => 'string?', 'path' => 'string?', 'until' => 'date', 'seenOn' => 'date?'])]
#[Shape('HomeLinkPage', ['link' => 'HomeLink?'])]
final class HomeLinkResource
{
    /** @return array<string, mixed>|null null where none is open */
    public static function of(?HomeLink $link, ClubDay $day): ?array
    {
        if ($link === null || ! $link->isOpen()) {
            return null;
        }
        $code = HomeCode::ofLink($link);

        return [
            'code' => $code === null ? null : HomeCode::shown($code),
            'path' => $code === null ? null : Links::atHome(HomeCode::shown($code)),
            'until' => $day->on($link->expires_at_utc)->iso(),
            'seenOn' => $link->seen_on?->format('Y-m-d'),
        ];
    }
}
