<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Advice\BlockReasons;
use FleetSparrow\Core\Advice\BlockWarnings;
use FleetSparrow\Core\Clock\ClockRules;
use FleetSparrow\Core\Clock\LaidOut;
use FleetSparrow\Core\Dose\Dose;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\CircuitDose;
use FleetSparrow\Core\Drill\Drill;
use FleetSparrow\Core\Layout\Kit;
use FleetSparrow\Core\Layout\Layout;
use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Duty;
use FleetSparrow\Core\Organisation\DutyKind;
use FleetSparrow\Core\Organisation\GoPattern;
use FleetSparrow\Core\Organisation\GoTables;
use FleetSparrow\Core\Organisation\GroupDraw;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\SeatedCrew;
use FleetSparrow\Core\Organisation\Station;
use FleetSparrow\Core\Organisation\Stationing;
use FleetSparrow\Core\Organisation\Way\Game;
use FleetSparrow\Core\Organisation\Ways;
use FleetSparrow\Core\Organisation\WorkingWay;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\OwnPaces;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Memo;
use FleetSparrow\Core\Statistics\LogNormals;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\CircuitSpells;
use FleetSparrow\Core\Timeline\CircuitTimes;
use FleetSparrow\Core\Timeline\GoLimit;
use FleetSparrow\Core\Timeline\OwnTimes;
use FleetSparrow\Core\Timeline\PlayerTime;
use FleetSparrow\Core\Timeline\Roster;
use FleetSparrow\Core\Timeline\RunSheet;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Timeline\SideNames;
use FleetSparrow\Core\Timeline\Spell;
use FleetSparrow\Core\Timeline\Touching;
use FleetSparrow\Core\Timeline\WorkSpells;
use FleetSparrow\Core\Timeline\WorkTime;
use FleetSparrow\Core\Timeline\Writing;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;

/** Works out one block: who works when, how long each part takes, and what each player touches. */
final class BlockEvaluator
{
    /** @param  bool  $isBrief  times and touches only, without the stretches, the reasons and the warnings: for trying many variants */
    public function __construct(
        private readonly PlanContext $context,
        private readonly GroupDraw $draw,
        private readonly bool $isBrief = false,
        private readonly LaidOut $laid = new LaidOut,
    ) {
    }

    /**
     * @param  Layout|null  $before  what still stands on the ground
     * @param  int  $stationsBefore  how many of it
     * @param  non-empty-list<PlanPlayer>|null  $players  some of those coming; null for all
     */
    public function evaluate(Block $block, ?Layout $before, int $stationsBefore, ?array $players = null): BlockEvaluation
    {
        return $block->drill === null || $block->dose === null
            ? $this->minutes($block)
            : $this->drill($block, $block->drill, $block->dose, $before, $stationsBefore, $players ?? $this->context->players);
    }

    private function minutes(Block $block): BlockEvaluation
    {
        $seconds = $block->minutes * 60.0;
        $ids = array_map(static fn (PlanPlayer $player): int => $player->id, $this->context->players);
        [$touches, $time] = [Tally::zero(), new PlayerTime];
        if ($block->kind === BlockKind::Game) {
            $share = (new Game)->fieldShare(new Crew(count($ids)));
            $time = new PlayerTime($seconds * $share);
            $touches = Tally::of(Script::fromText('?.?'))->times($seconds * $share * Game::CONTACTS_A_SECOND);
        }

        return new BlockEvaluation(
            blockId: $block->id,
            judged: LogNormals::of($this->context->memo, $seconds, $this->context->rules->partVariation),
            work: Quantiles::fixed(0.0),
            partSeconds: ['other' => $seconds],
            touches: array_fill_keys($ids, $touches),
            times: array_fill_keys($ids, $time),
            stations: 0,
            turns: 1,
            markers: 0,
            segments: [new Segment("{$block->id}-1", $block->id, SegmentKind::ofBlock($block->kind), $seconds, false)],
            how: [sprintf('%g min as planned, give or take a quarter.', $block->minutes)],
            warnings: [],
            setUp: null,
        );
    }

    /** @param  non-empty-list<PlanPlayer>  $players */
    private function drill(Block $block, Drill $drill, Dose $dose, ?Layout $before, int $stationsBefore, array $players): BlockEvaluation
    {
        [$rules, $memo] = [$this->context->rules, $this->context->memo];
        $stationing = $this->draw->stationing($block, $drill, $players);
        $duties = $this->draw->duties($block, $drill, $players, $stationing);
        $places = self::seated($stationing, $duties);
        $standing = array_map(static fn (PlanPlayer $player): int => $player->id, $stationing->standing);
        $pace = $drill->pace($block->tempo);
        $own = OwnPaces::of($drill, $pace, $players);
        $way = Ways::of($drill, $pace->secondsPerRep);
        $paces = self::paces($way, $places, $own, $dose);
        $limit = GoLimit::seconds($dose, $pace, $memo);
        [$spells, $work] = $dose instanceof CircuitDose
            ? $this->circuit($drill, $dose, $way, $places, $standing)
            : $this->goes($drill, $way, $places, $standing, $paces, $dose, $limit);

        $laying = $this->laid->of($drill->layout, $stationing->inUse(), $before, $stationsBefore);
        $known = in_array($drill->slug, $this->context->knownDrills, true);
        $plain = [
            'setUp' => $laying->touched() * $rules->markerSeconds,
            'explain' => $known ? $rules->explainKnownSeconds : $rules->explainNewSeconds,
        ];
        $parts = [
            'setUp' => $plain['setUp'] * $rules->setUp->factor,
            'explain' => $plain['explain'] * $rules->explain->factor,
            'work' => $work->mean(),
            'changeOver' => 0.0,
            'write' => Writing::extraSeconds($spells, $rules->writeSeconds),
        ];
        $byId = array_combine(array_map(static fn (PlanPlayer $one): int => $one->id, $players), $players);
        $touching = new Touching($drill, $dose, $limit, $byId, $paces, $memo);
        $evaluation = new BlockEvaluation(
            blockId: $block->id,
            judged: self::judged($parts, $rules, $memo),
            work: $work,
            partSeconds: $parts,
            touches: $touching->of($spells),
            times: Roster::of($spells, array_keys($own->byPlayer)),
            stations: $stationing->inUse(),
            turns: max([1, ...array_map(static fn (SeatedCrew $at): int => $way->shifts($at->crew), $places)]),
            markers: $laying->markers,
            segments: $this->isBrief ? [] : $this->segments($block, $dose, $spells, $touching, $byId, $parts, $plain),
            how: $this->isBrief ? [] : BlockReasons::of(
                drill: $drill,
                dose: $dose,
                pace: $pace,
                rules: $rules,
                laying: $laying,
                known: $known,
                way: $way,
                places: $places,
                own: $own,
                limitSeconds: $limit,
            ),
            warnings: [],
            owed: array_merge([], ...array_map(
                static fn (Spell $spell): array => RunSheet::owed($block->id, $spell, $dose, $byId),
                $spells,
            )),
            setUp: $laying,
            groups: $drill->organisation->playersPerStation() === 1 && $stationing->inUse() === count($stationing->groups)
                ? []
                : $stationing->places(),
            duties: $this->isBrief ? [] : $duties,
            layout: $drill->layout,
            kit: $this->isBrief ? null : Kit::of($drill->layout, $stationing->inUse(), array_sum(array_map(
                static fn (SeatedCrew $at): int => $way->balls($at->crew),
                $places,
            ))),
        );

        return $this->isBrief
            ? $evaluation
            : $evaluation->warned(...BlockWarnings::of($block, $drill, $evaluation, $stationing, $way, $places, $this->context));
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
        $times = new OwnTimes($dose, $limit, $this->context->memo);
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
        [$shifts, $serving] = [[], []];
        foreach ($places as $seated) {
            foreach ($way->goes($seated->crew, new GoPattern(['both'], 1, 0.0, 1.0)) as $go) {
                foreach ($go->seats as $slot => $seat) {
                    if ($seat->role === Role::Works) {
                        $shifts[$go->shift][] = $seated->players[$slot];
                    } elseif ($seat->role->isService()) {
                        $serving[$go->shift][] = $seated->players[$slot];
                    }
                }
            }
        }
        ksort($shifts);
        $shifts = array_values($shifts);
        $times = new CircuitTimes($dose, $this->context->memo);

        return $shifts === []
            ? [[], Quantiles::fixed(0.0)]
            : [
                CircuitSpells::of($dose, $times, $shifts, $serving, $standing, $drill->rule !== null),
                WorkTime::ofCircuit($times, $shifts),
            ];
    }

    /** @param  array<string, float>  $parts  mean seconds by part */
    private static function judged(array $parts, ClockRules $rules, Memo $memo): Quantiles
    {
        return LogNormals::sum($memo, [
            [$parts['setUp'], $rules->setUp->variation],
            [$parts['explain'], $rules->explain->variation],
            [$parts['changeOver'], $rules->changeOver->variation],
            [$parts['write'], $rules->partVariation],
        ]);
    }

    /**
     * @param  list<Spell>  $spells
     * @param  array<int, PlanPlayer>  $byId
     * @param  array<string, float>  $parts  mean seconds by part
     * @param  array{setUp: float, explain: float}  $plain  before the coach's own times are known
     * @return list<Segment>
     */
    private function segments(
        Block $block,
        Dose $dose,
        array $spells,
        Touching $touching,
        array $byId,
        array $parts,
        array $plain,
    ): array {
        $segments = [];
        $all = static fn (Role $role): array => array_fill_keys(array_keys($byId), new Seat($role));
        foreach ([
            [SegmentKind::SetUp, 'setUp', Role::LaysOut],
            [SegmentKind::Explain, 'explain', Role::Listens],
        ] as [$kind, $part, $role]) {
            if ($parts[$part] > 0.0 || $part === 'explain') {
                $segments[] = new Segment(
                    id: "{$block->id}-".(count($segments) + 1),
                    blockId: $block->id,
                    kind: $kind,
                    seconds: $parts[$part],
                    endsByClock: false,
                    plainSeconds: $plain[$part],
                    seats: $all($role),
                );
            }
        }
        $work = RunSheet::of($block->id, $spells, $dose, $touching, $byId, count($segments) + 1);
        $segments = [...$segments, ...$work];
        $last = $work === [] ? null : $work[count($work) - 1];

        return $parts['write'] <= 0.0 || $last === null ? $segments : [...$segments, new Segment(
            id: "{$block->id}-".(count($segments) + 1),
            blockId: $block->id,
            kind: SegmentKind::Write,
            seconds: $parts['write'],
            endsByClock: false,
            side: $last->side,
            set: $last->set,
            turn: $last->turn,
            working: $last->working,
            seats: $all(Role::WritesDown),
        )];
    }
}
