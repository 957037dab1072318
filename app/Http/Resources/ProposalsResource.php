<?php

declare(strict_types=1);

namespace App\Http\Resources;

use App\Exchange\Export\ProposalsJson;
use App\Models\DrillVersion;
use App\OpenApi\Shape;
use FleetSparrow\Core\Builder\BuildAnswer;
use Illuminate\Support\Collection;

/** Proposed sessions, each block with the version of its drill, so that a coach can take it as it stands. */
#[Shape('Reason', ['term' => 'string', 'words' => 'string', 'value' => 'number', 'points' => 'number'])]
#[
    Shape(
        'ProposedBlock',
        [
            'id' => 'string',
            'kind' => "'drill'|'water'|'talk'|'game'",
            'title' => 'string',
            'minutes' => 'number?',
            'drill' => 'string?',
            'drillVersionId?' => 'int?',
            'dose' => 'Dose?',
            'tempo' => "'learn'|'steady'|'match'?",
            'stations' => 'int?',
            'counted' => 'string?',
            'phase' => 'string?',
            'reasons' => 'Reason[]',
        ],
    ),
]
#[Shape('Proposal', ['worth' => 'number', 'notes' => 'string[]', 'blocks' => 'ProposedBlock[]', 'evaluation' => 'Evaluation'])]
#[Shape('Refusal', ['wish' => 'string', 'reason' => 'string', 'instead' => 'string'])]
#[Shape('LeftOut', ['drill' => 'string', 'why' => 'string'])]
#[Shape('Proposals', ['theme' => 'string', 'slotMinutes' => 'int', 'proposals' => 'Proposal[]', 'refusals' => 'Refusal[]',
    'leftOut' => 'LeftOut[]'])]
final class ProposalsResource
{
    /**
     * @param  Collection<string, DrillVersion>  $versions  by slug
     * @return array<string, mixed>
     */
    public static function of(BuildAnswer $answer, Collection $versions): array
    {
        $json = ProposalsJson::of($answer);
        foreach ($json['proposals'] as &$proposal) {
            foreach ($proposal['blocks'] as &$block) {
                $block['drillVersionId'] = $block['drill'] === null ? null : $versions->get($block['drill'])?->id;
            }
        }

        return $json;
    }
}
