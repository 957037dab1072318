<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill;

use FleetSparrow\Core\Record\CountUnit;
use FleetSparrow\Core\Record\OwedSets;

/** What a drill asks for beside its script and dose, in short sentences: the same on a screen, a sheet and a phone. */
final class DrillWords
{
    /** @return list<string> */
    public static function asks(Drill $drill): array
    {
        $demands = $drill->demands;

        return [
            ...($demands->touches === null ? [] : [ucfirst($demands->touches->words()).'.']),
            ...($demands->sideSetBy === SideSetBy::Dose ? [] : ['The foot is set by '.$demands->sideSetBy->words().'.']),
            ...($demands->ball === Ball::Usual ? [] : ['With '.$demands->ball->words().'.']),
            ...($demands->opposition === Opposition::None ? [] : ['In the way: '.$demands->opposition->words().'.']),
            ...self::targets($demands),
            ...($demands->calling === null ? [] : self::calls($demands->calling)),
            ...($drill->rule?->inHalves === true ? ['Counted in halves: is the second as good as the first?'] : []),
            ...(in_array($drill->rule?->counts, [null, CountUnit::Rep], true) ? [] : ["Counted: {$drill->rule->counts->words()}."]),
            ...($drill->rule?->owed === OwedSets::Every ? ['A number of every set is written down.'] : []),
            ...($demands->keepsTheme ? ['The game keeps the touch rule of the day.'] : []),
        ];
    }

    /** @return list<string> */
    public static function people(Organisation $organisation): array
    {
        $served = match (true) {
            $organisation->service === Service::None => [],
            $organisation->service === Service::Wall => ['Off a wall.'],
            default => [
                sprintf(
                    'The ball is %s%s%s.',
                    $organisation->service->value,
                    $organisation->manner === null ? '' : ", {$organisation->manner->words()}",
                    $organisation->serverMoves ? ', by a server on the move' : '',
                ),
            ],
        };

        return [
            sprintf('%d %s, %s.', $organisation->workers, $organisation->workers === 1 ? 'works' : 'work', $organisation->pattern->words()),
            ...($organisation->playerServers > 0 ? [
                sprintf('%d %s.', $organisation->playerServers, $organisation->playerServers === 1 ? 'serves' : 'serve'),
            ] : []),
            ...$served,
            ...($organisation->coachServes ? ['A coach or helper feeds, and does not swap.'] : []),
            ...($organisation->needsCounter ? ['Somebody watches and counts.'] : []),
            ...($organisation->keepers > 0 ? ["Goalkeepers: {$organisation->keepers} at a time, by shirt number"
                .($organisation->keeperMinutes > 0.0 ? ", new ones every {$organisation->keeperMinutes} min." : '.')] : []),
        ];
    }

    /** @return list<string> */
    private static function targets(Demands $demands): array
    {
        if ($demands->targetRoles === []) {
            return [];
        }
        $roles = array_map(
            static fn (int $i, string $role): string => ($i + 1)." is {$role}",
            array_keys($demands->targetRoles),
            $demands->targetRoles,
        );

        return ['Targets: '.implode(', ', $roles).'; named by '.$demands->targetNaming->words().'.'];
    }

    /** @return list<string> */
    private static function calls(Calling $calling): array
    {
        $spread = $calling->spread > 0.0 ? sprintf(', give or take %g s', round($calling->spread * $calling->everySeconds, 1)) : '';
        $sentences = [
            sprintf(
                'Called: %s about every %g s%s, %g s before the ball%s%s.',
                $calling->kind->words(),
                $calling->everySeconds,
                $spread,
                $calling->leadSeconds,
                $calling->inOrder > 1 ? ", up to {$calling->inOrder} in order" : '',
                $calling->again ? '' : ', never the same twice running',
            ),
        ];
        if ($calling->twoWay) {
            $sentences[] = 'The player reads what stands behind and calls it back.';
        }
        if ($calling->commands !== []) {
            $sentences[] = 'With each call one of: '.implode(', ', $calling->commands).'.';
        }
        foreach ($calling->rules as $rule) {
            $sentences[] = self::callRule($rule);
        }

        return $sentences;
    }

    /** "Behind: at most 3 touches, far foot, open body, a move." */
    public static function callRule(CallRule $rule): string
    {
        $asks = array_filter(
            [
                $rule->touches?->words(),
                $rule->foot === CallFoot::Any ? null : "{$rule->foot->value} foot",
                $rule->openBody ? 'open body' : null,
                $rule->move ? 'a move' : null,
            ],
            static fn (?string $words): bool => $words !== null,
        );

        return ucfirst($rule->place).': '.implode(', ', $asks).'.';
    }
}
