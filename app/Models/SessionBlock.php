<?php

declare(strict_types=1);

namespace App\Models;

use App\Models\Concerns\BelongsToClub;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\Counted;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * @property int $id
 * @property string $block_key
 * @property int $position
 * @property BlockKind $kind
 * @property string $title
 * @property string|null $minutes
 * @property int|null $drill_version_id
 * @property array<string, int|float|string>|null $dose
 * @property Tempo|null $tempo
 * @property int|null $stations
 * @property int|null $links  of a build-up, how many are done; null for all
 * @property string|null $together  blocks in a row with the same name run at the same time
 * @property string|null $counted  which number is written down, or "nothing"; null for what the drill says
 * @property bool $do_stations_wait  such a round moves on when all are done, not on the whistle
 * @property bool $was_skipped  in the run: it counts as not done
 * @property DrillVersion|null $drillVersion
 */
class SessionBlock extends Model
{
    use BelongsToClub;

    protected $fillable = [
        'training_session_id',
        'block_key',
        'position',
        'kind',
        'title',
        'minutes',
        'drill_version_id',
        'dose',
        'tempo',
        'stations',
        'links',
        'together',
        'do_stations_wait',
        'counted',
    ];

    /** @return array<string, string> */
    protected function casts(): array
    {
        return [
            'kind' => BlockKind::class,
            'tempo' => Tempo::class,
            'dose' => 'array',
            'do_stations_wait' => 'boolean',
            'was_skipped' => 'boolean',
        ];
    }

    /** What the core plans, without what stands around it; null where it is no drill. */
    public function coreBlock(): ?Block
    {
        $drill = $this->drillVersion?->drill();

        return $drill === null || ($this->dose === null && $drill->dose === null) ? null : Block::ofDrill(
            id: $this->block_key,
            drill: $drill,
            dose: $drill->doseFrom($this->dose),
            tempo: $this->tempo ?? Tempo::Steady,
            stations: $this->stations,
            links: $this->links,
            counted: Counted::named($this->counted),
        );
    }

    /** @return BelongsTo<DrillVersion, $this> */
    public function drillVersion(): BelongsTo
    {
        return $this->belongsTo(DrillVersion::class);
    }
}
