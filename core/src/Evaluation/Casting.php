<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Organisation\Duty;
use FleetSparrow\Core\Organisation\DutyKind;
use FleetSparrow\Core\Organisation\Go;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\GoTables;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\SeatedCrew;
use FleetSparrow\Core\Organisation\Station;
use FleetSparrow\Core\Organisation\Stationing;
use FleetSparrow\Core\Organisation\Ways;
use FleetSparrow\Core\Organisation\WorkingWay;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\OwnPaces;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\CircuitShift;
use FleetSparrow\Core\Timeline\CircuitSpells;
use FleetSparrow\Core\Timeline\CircuitTimes;
use FleetSparrow\Core\Timeline\GoLimit;
use FleetSparrow\Core\Timeline\OwnTimes;
use FleetSparrow\Core\Timeline\SideNames;
use FleetSparrow\Core\Timeline\Spell;
use FleetSparrow\Core\Timeline\WorkSpells;
use FleetSparrow\Core\Timeline\WorkTime;

/** Casts a block: draws its groups, seats them, and has them work go by go. */
final readonly class Casting
{
    public function __construct(private GroupDraw $draw, private Memo $memo)
    {
    }

    /** @param  non-empty-list<PlanPlayer>  $players */
    public function of(Block $block, Drill $drill, Dose $dose, array $players): Cast
    {
        $stationing = $this->draw->stationing($block, $drill, $players);
        $duties = $this->draw->duties($block, $drill, $players, $stationing);
        $places = self::seated($stationing, $duties);
        $standing = array_map(static fn (PlanPlayer $player): int => $player->id, $stationing->standing);
        $pace = $drill->pace($block->tempo);
        $own = OwnPaces::of($drill, $pace, $players);
        $way = Ways::of($drill, $pace->secondsPerRep);
        $paces = self::paces($way, $places, $own, $dose);
        $limit = GoLimit::seconds($dose, $pace, $this->memo);
        [$spells, $work] = $dose instanceof CircuitDose
            ? $this->circuit($drill, $dose, $way, $places, $standing)
            : $this->goes($drill, $way, $places, $standing, $paces, $dose, $limit);

        return new Cast(
            drill: $drill,
            dose: $dose,
            players: array_combine(array_map(static fn (PlanPlayer $one): int => $one->id, $players), $players),
            stationing: $stationing,
            duties: $duties,
            way: $way,
            places: $places,
            pace: $pace,
            own: $own,
            paces: $paces,
            limitSeconds: $limit,
            spells: $drill->usesBall ? $spells : array_map(static fn (Spell $spell): Spell => $spell->withoutBall(), $spells),
            work: $work,
        );
    }

    /**
     * @param  list<Duty>  $duties
     * @return list<SeatedCrew> goalkeepers on the first slots
     */
    private static function seated(Stationing $stationing, array $duties): array
    {
        $keepers = array_map(
            static fn (Duty $duty): int => $duty->playerId,
            array_values(array_filter($duties, static fn (Duty $duty): bool => $duty->kind === DutyKind::Keeper)),
        );

        return array_map(
            static fn (Station $station): SeatedCrew => SeatedCrew::of($keepers === [] ? $station : $station->withFirst($keepers)),
            $stationing->places(),
        );
    }

    /**
     * What a rep takes each while they work, in the way and the company they are in.
     *
     * @param  list<SeatedCrew>  $places
     * @return array<int, Pace>
     */
    private static function paces(WorkingWay $way, array $places, OwnPaces $own, Dose $dose): array
    {
        $paces = $own->byPlayer;
        foreach ($places as $seated) {
            foreach (array_slice($seated->players, 0, $seated->crew->workers) as $player) {
                $seconds = $way->secondsPerRep($seated->crew, $paces[$player]->secondsPerRep, $dose->clockedSetSeconds());
                $paces[$player] = $paces[$player]->withSecondsPerRep($seconds);
            }
        }

        return $paces;
    }

    /**
     * @param  list<SeatedCrew>  $places
     * @param  list<int>  $standing
     * @param  array<int, Pace>  $paces
     * @return array{list<Spell>, Quantiles}
     */
    private function goes(
        Drill $drill,
        WorkingWay $way,
        array $places,
        array $standing,
        array $paces,
        Dose $dose,
        ?float $limit,
    ): array {
        if ($places === []) {
            return [[], Quantiles::fixed(0.0)];
        }
        $times = new OwnTimes($dose, $limit, $this->memo);
        $clocked = $dose->clockedSetSeconds();
        $own = [];
        foreach ($clocked === null ? $places : [] as $seated) {
            foreach (array_slice($seated->players, 0, $seated->crew->workers) as $player) {
                $own[$player] = $times->mean($paces[$player]) / $dose->goes();
            }
        }
        $pattern = new GoPattern(
            SideNames::of($dose),
            max(1, $dose->sets()),
            $dose->restSeconds(),
            $clocked ?? array_sum($own) / max(1, count($own)),
            $drill->rule?->owed,
        );
        $tables = new GoTables($way, $pattern);
        $work = WorkTime::of($tables, $places, $paces, $times);
        $goSeconds = $pattern->goSeconds;
        if ($clocked === null) {
            // As long as the slowest takes: who is done before waits.
            $most = $tables->longest($places);
            $goSeconds = max(0.0, $work->mean() - WorkTime::gaps($most)) / max(1.0, WorkTime::whole($most));
        }

        return [WorkSpells::of($tables, $places, $standing, $goSeconds, $own), $work];
    }

    /**
     * @param  list<SeatedCrew>  $places
     * @param  list<int>  $standing
     * @return array{list<Spell>, Quantiles}
     */
    private function circuit(Drill $drill, CircuitDose $dose, WorkingWay $way, array $places, array $standing): array
    {
        $goes = array_map(
            static fn (SeatedCrew $seated): array => $way->goes($seated->crew, new GoPattern(['both'], 1, 0.0, 1.0)),
            $places,
        );
        $shifts = [];
        for ($shift = 0; $shift < max([0, ...array_map(count(...), $goes)]); $shift++) {
            $shifts[] = self::shift($shift, $places, $goes);
        }
        $times = new CircuitTimes($dose, $this->memo);

        return $shifts === []
            ? [[], Quantiles::fixed(0.0)]
            : [
                CircuitSpells::of($dose, $times, $shifts, $standing, $drill->rule !== null),
                WorkTime::ofCircuit($times, array_map(static fn (CircuitShift $one): int => count($one->workers), $shifts)),
            ];
    }

    /**
     * Where there are fewer turns than elsewhere they begin again; who is alone there waits.
     *
     * @param  list<SeatedCrew>  $places
     * @param  list<list<Go>>  $goes  place → turns
     */
    private static function shift(int $shift, array $places, array $goes): CircuitShift
    {
        [$workers, $serving, $again] = [[], [], []];
        foreach ($places as $i => $seated) {
            $isExtra = $shift >= count($goes[$i]);
            if ($isExtra && $seated->crew->people() === 1) {
                continue;
            }
            foreach ($goes[$i][$shift % count($goes[$i])]->seats as $slot => $seat) {
                $player = $seated->players[$slot];
                match (true) {
                    $seat->role === Role::Works && $isExtra => $again[] = $player,
                    $seat->role === Role::Works => $workers[] = $player,
                    $seat->role->isService() => $serving[] = $player,
                    default => null,
                };
            }
        }

        return new CircuitShift($workers, $serving, $again);
    }
}
