<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Attendance;
use App\Models\PlanOverride;
use App\Models\SessionBlock;
use App\Models\TrainingSession;
use FleetSparrow\Core\Caution\Weather;
use FleetSparrow\Core\Caution\WetBulbGlobe;
use FleetSparrow\Core\Dose\Tempo;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Exception\CoreException;
use FleetSparrow\Core\Exception\InvalidPlan;
use FleetSparrow\Core\Plan\Availability;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\Counted;
use Illuminate\Validation\ValidationException;

/** A running order in hand, whether from the client or from the database, with what it goes by. */
final readonly class PlanDraft
{
    /**
     * @param  list<array<string, mixed>>  $blocks  as the client writes them
     * @param  list<int>  $comingPlayerIds
     * @param  int<0, 20>  $helpers  grown-ups beside the coach
     * @param  array<int, string>  $may  player → what they may do today, where that is not everything
     * @param  array{isHot: bool, temperatureCelsius: float|null, humidityPercent: float|null}  $heat
     * @param  list<array{blockId: string|null, code: string, reason: string}>  $overrides
     * @param  bool  $isLaidBefore  whether the first layout lies before the start
     */
    public function __construct(
        public int $slotMinutes,
        public array $blocks,
        public array $comingPlayerIds,
        public int $helpers = 0,
        public array $may = [],
        public array $heat = ['isHot' => false, 'temperatureCelsius' => null, 'humidityPercent' => null],
        public array $overrides = [],
        public bool $isLaidBefore = true,
    ) {
    }

    /** @param  list<int>  $comingPlayerIds */
    public static function ofSession(TrainingSession $session, array $comingPlayerIds, bool $withSkipped = true): self
    {
        $blocks = $withSkipped ? $session->blocks : $session->blocks->where('was_skipped', false);

        return new self(
            slotMinutes: $session->slot_minutes,
            blocks: array_values($blocks->map(self::fields(...))->all()),
            comingPlayerIds: $comingPlayerIds,
            helpers: min(20, max(0, $session->helpers)),
            may: $session->attendances->filter(fn (Attendance $one): bool => $one->may !== Availability::Everything)
                ->mapWithKeys(fn (Attendance $one): array => [$one->player_id => $one->may->value])
                ->all(),
            heat: [
                'isHot' => $session->is_hot,
                'temperatureCelsius' => $session->temperature_celsius,
                'humidityPercent' => $session->humidity_percent,
            ],
            overrides: array_values(
                $session->overrides->map(
                    fn (PlanOverride $one): array => ['blockId' => $one->block_key, 'code' => $one->code, 'reason' => $one->reason],
                )->all(),
            ),
            isLaidBefore: $session->is_laid_before,
        );
    }

    /** @param  list<int>  $comingPlayerIds */
    public function withPlayers(array $comingPlayerIds): self
    {
        return new self(
            slotMinutes: $this->slotMinutes,
            blocks: $this->blocks,
            comingPlayerIds: $comingPlayerIds,
            helpers: $this->helpers,
            may: $this->may,
            heat: $this->heat,
            overrides: $this->overrides,
            isLaidBefore: $this->isLaidBefore,
        );
    }

    /** @return list<int> */
    public function drillVersionIds(): array
    {
        $ids = [];
        foreach ($this->blocks as $block) {
            if (is_numeric($block['drillVersionId'] ?? null)) {
                $ids[] = (int) $block['drillVersionId'];
            }
        }

        return array_values(array_unique($ids));
    }

    public function availability(int $playerId): Availability
    {
        return Availability::from($this->may[$playerId] ?? Availability::Everything->value);
    }

    /** @throws ValidationException If the temperature or the humidity cannot be. */
    public function weather(?float $careCelsius, ?float $stopCelsius): Weather
    {
        ['isHot' => $isHot, 'temperatureCelsius' => $temperature, 'humidityPercent' => $humidity] = $this->heat;

        try {
            $figure = $temperature === null || $humidity === null ? null : WetBulbGlobe::celsius($temperature, $humidity);
        } catch (CoreException $fault) {
            throw ValidationException::withMessages([$fault->path() => [$fault->getMessage()]]);
        }

        return Weather::of(
            $isHot,
            $figure,
            $careCelsius ?? Weather::CARE_CELSIUS,
            $stopCelsius ?? Weather::STOP_CELSIUS,
        );
    }

    /**
     * The core's blocks. What the core refuses becomes a message at the field, under `blocks.N.…`.
     *
     * @param  array<int, Drill>  $drills  by version
     * @return list<Block>
     *
     * @throws ValidationException
     */
    public function coreBlocks(array $drills): array
    {
        $blocks = [];
        $faults = [];
        foreach ($this->blocks as $i => $fields) {
            try {
                $blocks[] = self::coreBlock($fields, $drills);
            } catch (CoreException $fault) {
                $faults["blocks.{$i}.{$fault->path()}"] = [$fault->getMessage()];
            }
        }

        return $faults === [] ? $blocks : throw ValidationException::withMessages($faults);
    }

    /**
     * @param  array<string, mixed>  $fields
     * @param  array<int, Drill>  $drills
     */
    private static function coreBlock(array $fields, array $drills): Block
    {
        $id = is_string($fields['id'] ?? null) ? $fields['id'] : '';
        $kind = BlockKind::from(is_string($fields['kind'] ?? null) ? $fields['kind'] : '');
        if ($kind !== BlockKind::Drill) {
            return Block::ofMinutes($id, $kind, is_numeric($fields['minutes'] ?? null) ? (float) $fields['minutes'] : 0.0);
        }
        $versionId = $fields['drillVersionId'] ?? null;
        $drill = is_numeric($versionId) ? $drills[(int) $versionId] ?? null : null;
        if ($drill === null) {
            throw InvalidPlan::at('drillVersionId', 'This drill is not in the book any more. Choose another.');
        }
        $dose = $drill->doseFrom(is_array($fields['dose'] ?? null) ? $fields['dose'] : null);
        $tempo = is_string($fields['tempo'] ?? null) ? Tempo::from($fields['tempo']) : Tempo::Steady;
        $whole = fn (string $field): ?int => is_numeric($fields[$field] ?? null) ? (int) $fields[$field] : null;

        return Block::ofDrill(
            id: $id,
            drill: $drill,
            dose: $dose,
            tempo: $tempo,
            stations: $whole('stations'),
            links: $whole('links'),
            together: is_string($fields['together'] ?? null) ? $fields['together'] : null,
            stationsWait: ($fields['stationsWait'] ?? false) === true,
            counted: is_string($fields['counted'] ?? null) ? Counted::named($fields['counted']) : null,
        );
    }

    /** @return array<string, mixed> */
    private static function fields(SessionBlock $block): array
    {
        return [
            'id' => $block->block_key,
            'kind' => $block->kind->value,
            'title' => $block->title,
            'minutes' => $block->minutes === null ? null : (float) $block->minutes,
            'drillVersionId' => $block->drill_version_id,
            'dose' => $block->dose,
            'tempo' => $block->tempo?->value,
            'stations' => $block->stations,
            'links' => $block->links,
            'together' => $block->together,
            'stationsWait' => $block->do_stations_wait,
            'counted' => $block->counted,
        ];
    }
}
