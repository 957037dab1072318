<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\OpenApi\Shape;
use FleetSparrow\Core\Run\LookCount;

#[Shape('TouchesSeen', ['short' => 'int', 'right' => 'int', 'away' => 'int', 'far' => 'int', 'near' => 'int'])]
#[Shape('PassesSeen', ['looked' => 'int', 'accurate' => 'int', 'pace' => 'int', 'clean' => 'int', 'all' => 'int'])]
#[Shape('LookCount', [
    'drillSlug' => 'string', 'drillName' => 'string', 'on' => 'date', 'touches' => 'TouchesSeen', 'passes' => 'PassesSeen',
])]
final class LookResource
{
    /**
     * @param  array<string, string>  $names  slug → name of the drill
     * @return array<string, mixed>
     */
    public static function of(LookCount $one, array $names): array
    {
        return [
            'drillSlug' => $one->drillSlug,
            'drillName' => $names[$one->drillSlug] ?? $one->drillSlug,
            'on' => $one->on->iso(),
            'touches' => $one->touches,
            'passes' => $one->passes,
        ];
    }
}
