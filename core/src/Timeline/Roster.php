<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Timeline;

/** How each player spends some spells: a fold over their seats. */
final class Roster
{
    /**
     * @param  list<Spell>  $spells
     * @param  list<int>  $players
     * @return array<int, PlayerTime>
     */
    public static function of(array $spells, array $players): array
    {
        $times = [];
        foreach ($players as $player) {
            $times[$player] = self::one($spells, $player);
        }

        return $times;
    }

    /** @param  list<Spell>  $spells */
    private static function one(array $spells, int $player): PlayerTime
    {
        [$ball, $footwork, $serving, $waiting, $longest, $stretch, $leads] = [0.0, 0.0, 0.0, 0.0, 0.0, 0.0, null];
        foreach ($spells as $spell) {
            $seat = $spell->seats[$player] ?? null;
            if ($seat === null) {
                continue;
            }
            $waits = $spell->seconds * $seat->waiting;
            $ball += $spell->seconds * $seat->ball;
            $footwork += $spell->seconds * $seat->footwork;
            $serving += $spell->seconds * $seat->serving;
            $waiting += $waits;
            // Where turns are shared nobody waits longer at a time than from one own turn to the next.
            $atOnce = $seat->gapSeconds > 0.0 ? min($waits, $seat->gapSeconds * $seat->wait) : $waits;
            $isAll = $waits >= $spell->seconds - 1e-9;
            $leads ??= $isAll ? null : $stretch;
            $stretch = $isAll ? $stretch + $waits : $atOnce;
            $longest = max($longest, $stretch);
        }

        return new PlayerTime(
            ballSeconds: $ball,
            servingSeconds: $serving,
            waitingSeconds: $waiting,
            longestWaitSeconds: $longest,
            leads: $leads ?? $stretch,
            trails: $stretch,
            footworkSeconds: $footwork,
        );
    }
}
