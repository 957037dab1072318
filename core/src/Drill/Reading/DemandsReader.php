<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill\Reading;

use FleetSparrow\Core\Drill\Ball;
use FleetSparrow\Core\Drill\CallFoot;
use FleetSparrow\Core\Drill\Calling;
use FleetSparrow\Core\Drill\CallKind;
use FleetSparrow\Core\Drill\CallRule;
use FleetSparrow\Core\Drill\Demands;
use FleetSparrow\Core\Drill\LevelFactor;
use FleetSparrow\Core\Drill\Opposition;
use FleetSparrow\Core\Drill\Organisation;
use FleetSparrow\Core\Drill\Pattern;
use FleetSparrow\Core\Drill\ServerCard;
use FleetSparrow\Core\Drill\Service;
use FleetSparrow\Core\Drill\SideSetBy;
use FleetSparrow\Core\Drill\TargetNaming;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\ServiceManner;
use FleetSparrow\Core\Shared\TouchLimit;

/** Reads who is needed, what is asked of the player, and what is called. */
final class DemandsReader
{
    public const ORGANISATION = [
        'workers',
        'playerServers',
        'service',
        'manner',
        'pattern',
        'coachServes',
        'serverMoves',
        'needsCounter',
        'keepers',
        'keeperMinutes',
        'card',
    ];

    /** @throws InvalidDrill If a field says something that cannot be done. */
    public static function organisation(BookFields $read): Organisation
    {
        $card = $read->has('card') ? $read->object('card') : null;
        $service = $read->choice('service', Service::class);
        $servers = max(0, $read->whole('playerServers', 0, 4));
        if ($servers > 0 && $card === null) {
            throw $read->refusal('card', 'A server needs a card: how to give it, what to call, what to count, when to stop.');
        }

        return new Organisation(
            workers: max(1, $read->whole('workers', 1, 6)),
            playerServers: $servers,
            service: $service,
            manner: $read->has('manner') ? $read->choice('manner', ServiceManner::class) : null,
            pattern: $read->choice('pattern', Pattern::class, $servers > 0 ? Pattern::Swap : Pattern::Own),
            coachServes: $read->flag('coachServes'),
            serverMoves: $read->flag('serverMoves'),
            needsCounter: $read->flag('needsCounter'),
            keepers: max(0, $read->whole('keepers', 0, 2, 0)),
            card: $card === null
                ? null
                : new ServerCard($card->text('give'), $card->text('call', true), $card->text('count', true), $card->text('stop', true)),
            keeperMinutes: $read->number('keeperMinutes', 0.0, 60.0, 0.0),
        );
    }

    /** @throws InvalidDrill If a field says something that cannot be done. */
    public static function demands(BookFields $read): Demands
    {
        return new Demands(
            touches: $read->has('touches') ? self::touches($read->object('touches')) : null,
            sideSetBy: $read->choice('sideSetBy', SideSetBy::class, SideSetBy::Dose),
            ball: $read->choice('ball', Ball::class, Ball::Usual),
            calling: $read->has('calling') ? self::calling($read->object('calling')) : null,
            targetRoles: $read->texts('targetRoles', most: 9),
            targetNaming: $read->choice('targetsNamedBy', TargetNaming::class, TargetNaming::Order),
            needs: $read->texts('needs', most: 12),
            fromAge: self::ageGroup($read, 'fromAge'),
            levels: array_map(
                static fn (BookFields $level): LevelFactor => LevelFactor::of(
                    self::ageGroup($level, 'ageGroup'),
                    $level->number('dose', 0.25, 2.0),
                    $level->number('distance', 0.25, 2.0),
                    $level->number('target', 0.25, 2.0),
                ),
                $read->entries('levels'),
            ),
            opposition: $read->choice('opposition', Opposition::class, Opposition::None),
            keepsTheme: $read->flag('keepsTheme'),
        );
    }

    private static function ageGroup(BookFields $read, string $name): AgeGroup
    {
        return AgeGroup::tryOf($read->text($name)) ?? throw $read->refusal($name, 'An age group is one of U6 to U18.');
    }

    /** @throws InvalidDrill If the limit contradicts itself. */
    public static function touches(BookFields $read): TouchLimit
    {
        $number = static fn (string $name): ?int => $read->has($name) ? $read->whole($name, 1, 20) : null;

        return TouchLimit::of($number('least'), $number('most'), $number('whileLearning'));
    }

    private static function calling(BookFields $read): Calling
    {
        return Calling::of(
            kind: $read->choice('kind', CallKind::class),
            everySeconds: $read->number('everySeconds', 1.0, 60.0),
            spread: $read->number('spread', 0.0, 0.9, 0.2),
            leadSeconds: $read->number('leadSeconds', 0.0, 10.0, 1.0),
            inOrder: $read->whole('inOrder', 1, 5, 1),
            again: $read->flag('again'),
            twoWay: $read->flag('twoWay'),
            rules: array_map(static fn (BookFields $rule): CallRule => new CallRule(
                $rule->text('place', most: 40),
                $rule->has('touches') ? self::touches($rule->object('touches')) : null,
                $rule->choice('foot', CallFoot::class, CallFoot::Any),
                $rule->flag('openBody'),
                $rule->flag('move'),
            ), $read->entries('rules')),
            commands: $read->texts('commands', most: Calling::MOST_COMMANDS),
        );
    }
}
