<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Advice;

use FleetSparrow\Core\Caution\LoadJump;
use FleetSparrow\Core\Plan\PlanContext;
use FleetSparrow\Core\Shared\Earlier;
use FleetSparrow\Core\Shared\StrongFoot;
use FleetSparrow\Core\Shared\Warning;
use FleetSparrow\Core\Touch\FootMark;
use FleetSparrow\Core\Touch\Purpose;
use FleetSparrow\Core\Touch\Tally;
use FleetSparrow\Core\Touch\TallyReader;

/** What a coach should know of the session as a whole. */
final class SessionWarnings
{
    /** Shots with the weaker leg in one session above which its technique, not its power, is trained (default). */
    private const WEAKER_STRIKES = 30.0;

    /**
     * @param  array<int, Tally>  $touches  player id → touches of the session
     * @return list<Warning>
     */
    public static function of(array $touches, PlanContext $context): array
    {
        $heat = $context->weather->sentence();

        return [
            ...($heat === null ? [] : [new Warning($heat, null, 'heat', $context->weather->isTooHot())]),
            ...self::load($touches, $context->past->touches, 'touches', static fn (Tally $tally): float => $tally->contacts()),
            ...self::load(
                $touches,
                $context->past->strikes,
                'strikes',
                static fn (Tally $tally): float => $tally->contactsFor(Purpose::Shot),
            ),
            ...self::weakerStrikes($touches, $context),
        ];
    }

    /**
     * @param  array<int, Tally>  $touches
     * @param  array<int, list<Earlier>>  $earlier  player → sessions before
     * @param  'touches'|'strikes'  $what
     * @param  callable(Tally): float  $amount
     * @return list<Warning>
     */
    private static function load(array $touches, array $earlier, string $what, callable $amount): array
    {
        [$over, $most, $read] = [0, 0.0, new TallyReader($amount(...))];
        foreach ($touches as $player => $tally) {
            $planned = $read->of($tally);
            $ratio = $planned <= 0.0 ? null : LoadJump::ratio($planned, $earlier[$player] ?? []);
            if ($ratio !== null && $ratio > LoadJump::CAUTION_OVER) {
                $over++;
                $most = max($most, $ratio);
            }
        }
        if ($over === 0) {
            return [];
        }

        return [new Warning(sprintf(
            '%s this week with this session: %d %s at over %.1f times their mean of the four weeks before, %.1f at most. '
                .'A debated measure: take it as a reason to ask how legs feel.',
            ucfirst($what), $over, $over === 1 ? 'player is' : 'players are', LoadJump::CAUTION_OVER, $most,
        ), null, 'load')];
    }

    /**
     * @param  array<int, Tally>  $touches
     * @return list<Warning>
     */
    private static function weakerStrikes(array $touches, PlanContext $context): array
    {
        $most = 0.0;
        $read = array_map(
            static fn (FootMark $weaker): TallyReader => new TallyReader(
                static fn (Tally $tally): float => $tally->contactsOfFor($weaker, Purpose::Shot),
            ),
            [StrongFoot::Right->value => FootMark::Left, StrongFoot::Left->value => FootMark::Right],
        );
        foreach ($context->players as $player) {
            $ofWeaker = $read[$player->strongFoot->value] ?? null;
            $tally = $touches[$player->id] ?? null;
            if ($ofWeaker !== null && $tally !== null) {
                $most = max($most, $ofWeaker->of($tally));
            }
        }

        return $most <= self::WEAKER_STRIKES ? [] : [new Warning(
            sprintf(
                '%d shots with the other leg for one player. Over %d: technique, not power, and stop on pain.',
                (int) round($most),
                (int) self::WEAKER_STRIKES,
            ), null, 'weaker-striking',
        )];
    }
}
