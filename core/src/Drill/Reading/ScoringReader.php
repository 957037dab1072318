<?php

declare(strict_types=1);

namespace FleetSparrow\Core\Drill\Reading;

use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Exception\InvalidRecord;
use FleetSparrow\Core\Record\ClockStart;
use FleetSparrow\Core\Record\ClockStop;
use FleetSparrow\Core\Record\Condition;
use FleetSparrow\Core\Record\CountUnit;
use FleetSparrow\Core\Record\FaultCost;
use FleetSparrow\Core\Record\FaultKind;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\MarkValue;
use FleetSparrow\Core\Record\OwedSets;
use FleetSparrow\Core\Record\Penalty;
use FleetSparrow\Core\Record\Protocol;
use FleetSparrow\Core\Record\ScoringRule;
use FleetSparrow\Core\Record\VoidReason;
use FleetSparrow\Core\Shared\AgeGroup;

/** Reads how a number comes about. */
final class ScoringReader
{
    public const FIELDS = [
        'kind', 'starts', 'stops', 'countsIf', 'voids', 'fault', 'words', 'inHalves', 'protocol', 'counts', 'owed', 'fixed',
    ];

    /** @throws InvalidDrill|InvalidRecord If a field says something that cannot be counted. */
    public static function read(BookFields $read): ScoringRule
    {
        $fault = $read->has('fault') ? $read->object('fault') : null;
        $kind = $read->choice('kind', MarkKind::class);
        if (($kind === MarkKind::ProtocolScore) !== $read->has('protocol')) {
            throw $read->refusal('protocol', 'A protocol score needs its "protocol", and nothing else has one.');
        }

        return new ScoringRule(
            kind: $kind,
            starts: $read->choice('starts', ClockStart::class),
            stops: $read->choice('stops', ClockStop::class),
            countsIf: self::codes($read, 'countsIf', Condition::class),
            voids: self::codes($read, 'voids', VoidReason::class),
            fault: $fault?->choice('what', FaultKind::class),
            faultCost: $fault?->choice('costs', FaultCost::class) ?? FaultCost::Ignored,
            faultSeconds: $fault?->number('seconds', 0.0, 60.0, 0.0) ?? 0.0,
            words: $read->text('words', mayBeEmpty: true),
            inHalves: $read->flag('inHalves'),
            protocol: $read->has('protocol') ? self::protocol($read->object('protocol')) : null,
            counts: $read->choice('counts', CountUnit::class, CountUnit::Rep),
            owed: $read->choice('owed', OwedSets::class, OwedSets::Best),
            fixed: self::fixed($read, $kind),
        );
    }

    /** @return array<int, float> age group → the one number for it */
    private static function fixed(BookFields $read, MarkKind $kind): array
    {
        $fixed = [];
        foreach ($read->entries('fixed') as $one) {
            $age = AgeGroup::of($one->text('ageGroup', most: 3));
            $fixed[$age->under] = MarkValue::of($kind, $one->number('number', 0.0, 9999.0))->value;
        }

        return $fixed;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  class-string<T>  $enum
     * @return list<T>
     */
    private static function codes(BookFields $read, string $name, string $enum): array
    {
        $codes = [];
        foreach ($read->list($name) as $i => $code) {
            $one = is_string($code) ? $enum::tryFrom($code) : null;
            $codes[] = $one ?? throw $read->refusal(
                "{$name}.{$i}",
                "\"{$name}\" lists some of ".implode(', ', array_column($enum::cases(), 'value')).'.',
            );
        }

        return $codes;
    }

    private static function protocol(BookFields $read): Protocol
    {
        return Protocol::of(
            array_map(
                static fn (BookFields $one): Penalty => new Penalty(
                    $one->slug(),
                    $one->text('words'),
                    $one->number('seconds', -60.0, 60.0),
                ),
                $read->entries('penalties'),
            ),
            $read->has('limitSeconds') ? $read->number('limitSeconds', 1.0, 3600.0) : null,
            $read->number('perSecondOver', 0.0, 60.0, 0.0),
            $read->flag('countsPartSeconds'),
        );
    }
}
