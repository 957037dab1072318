<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Evaluation;

use FleetSparrow\Core\Organisation\Crew;
use FleetSparrow\Core\Organisation\Duty;
use FleetSparrow\Core\Organisation\DutyKind;
use FleetSparrow\Core\Organisation\Role;
use FleetSparrow\Core\Organisation\Seat;
use FleetSparrow\Core\Organisation\Way\Game;
use FleetSparrow\Core\Plan\Block;
use FleetSparrow\Core\Plan\BlockKind;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Plan\PlanPlayer;
use FleetSparrow\Core\Shared\Cure;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Statistics\LogNormals;
use FleetSparrow\Core\Statistics\Quantiles;
use FleetSparrow\Core\Timeline\BlockEvaluation;
use FleetSparrow\Core\Timeline\Roster;
use FleetSparrow\Core\Timeline\Segment;
use FleetSparrow\Core\Timeline\SegmentKind;
use FleetSparrow\Core\Timeline\Spell;
use FleetSparrow\Core\Touch\Script;
use FleetSparrow\Core\Touch\Tally;

/**
 * Works out a block of so many minutes: water, a talk, or a game of everybody who may play. Whoever only serves today counts and
 * fetches meanwhile; one alone plays against a grown-up.
 */
final readonly class MinutesBlock
{
    public function __construct(private Block $block, private PlanContext $context)
    {
    }

    public function evaluation(): BlockEvaluation
    {
        $seconds = $this->block->minutes * 60.0;
        $isGame = $this->block->kind === BlockKind::Game;
        $seats = [];
        $playing = count(array_filter($this->context->players, static fn (PlanPlayer $one): bool => $one->today->mayPlay()));
        $share = (new Game)->fieldShare(new Crew(max(2, $playing)));
        foreach ($this->context->players as $player) {
            $seats[$player->id] = match (true) {
                $this->block->kind === BlockKind::Water => new Seat(Role::Drinks),
                ! $isGame => new Seat(Role::Listens),
                $player->today->mayPlay() => new Seat(Role::Plays, ball: $share),
                default => new Seat(Role::Counts),
            };
        }
        $kind = SegmentKind::ofBlock($this->block->kind);
        $times = Roster::of([new Spell($kind, $seconds, false, $seats)], array_keys($seats));
        $played = Tally::of(Script::fromText('?.?'))->times($seconds * $share * Game::CONTACTS_A_SECOND);
        $nothing = Tally::zero();

        return new BlockEvaluation(
            blockId: $this->block->id,
            judged: LogNormals::of($this->context->memo, $seconds, $this->context->rules->partVariation),
            work: Quantiles::fixed(0.0),
            partSeconds: ['other' => $seconds],
            touches: array_map(static fn (Seat $seat): Tally => $seat->role === Role::Plays ? $played : $nothing, $seats),
            atWork: $times,
            stations: 0,
            turns: 1,
            markers: 0,
            segments: [
                new Segment("{$this->block->id}-1", $this->block->id, $kind, $seconds, false, seats: $seats),
            ],
            how: [
                sprintf('%g min as planned, give or take a quarter.', $this->block->minutes),
                ...($playing > 0 && $isGame ? [self::shared($seconds * $share, max(2, $playing))] : []),
            ],
            warnings: $isGame ? self::warnings($playing) : [],
            laying: null,
            duties: array_map(
                static fn (int $player): Duty => new Duty($player, DutyKind::Counts),
                array_keys(array_filter($seats, static fn (Seat $seat): bool => $seat->role === Role::Counts)),
            ),
        );
    }

    private static function shared(float $ball, int $playing): string
    {
        return sprintf(
            'The ball is in play for %d%% of it and shared by %d: %.0f s each, a touch a second of that.',
            100 * Game::IN_PLAY,
            $playing,
            $ball,
        );
    }

    /** @return list<Warning> */
    private static function warnings(int $playing): array
    {
        return match ($playing) {
            0 => [new Warning('Nobody who is here may play today.', Cure::takeOut(), 'nobody')],
            1 => [new Warning('One alone has nobody to play: reckoned with a grown-up who plays along.', Cure::takeOut(), 'nobody')],
            default => [],
        };
    }
}
