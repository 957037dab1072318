<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\OpenApi\Get;
use App\OpenApi\Shape;
use BackedEnum;
use FleetSparrow\Core\Drill\Ball;
use FleetSparrow\Core\Drill\Family;
use FleetSparrow\Core\Drill\Opposition;
use FleetSparrow\Core\Drill\Pattern;
use FleetSparrow\Core\Drill\Service;
use FleetSparrow\Core\Drill\SideSetBy;
use FleetSparrow\Core\Layout\LayoutKinds;
use FleetSparrow\Core\Record\ClockStart;
use FleetSparrow\Core\Record\ClockStop;
use FleetSparrow\Core\Record\Condition;
use FleetSparrow\Core\Record\CountUnit;
use FleetSparrow\Core\Record\FaultCost;
use FleetSparrow\Core\Record\FaultKind;
use FleetSparrow\Core\Record\MarkKind;
use FleetSparrow\Core\Record\OwedSets;
use FleetSparrow\Core\Record\VoidReason;
use FleetSparrow\Core\Shared\AgeGroup;
use FleetSparrow\Core\Shared\ServiceManner;
use FleetSparrow\Core\Touch\Surface;
use Illuminate\Http\JsonResponse;

#[Shape('DrillChoice', ['value' => 'string', 'words' => 'string'])]
#[Shape('DrillChoices', ['choices' => 'DrillChoice[]{}'])]
class DrillChoicesController extends Controller
{
    #[
        Get(
            '/drill-choices',
            'What may be chosen for each field of a drill, in words: the lists the core reads by.',
            answers: 'DrillChoices',
        ),
    ]
    public function __invoke(): JsonResponse
    {
        return new JsonResponse(['choices' => [
            'family' => self::plain(array_column(Family::cases(), 'value')),
            'layout' => self::plain(array_keys(LayoutKinds::standard()->parameters())),
            'surface' => self::plain(array_column(Surface::cases(), 'value')),
            'service' => self::plain(array_column(Service::cases(), 'value')),
            'measure' => self::plain(array_column(MarkKind::cases(), 'value')),
            'fromAge' => self::plain(AgeGroup::names()),
            'manner' => self::worded(ServiceManner::cases(), fn (ServiceManner $one): string => $one->words()),
            'pattern' => self::worded(Pattern::cases(), fn (Pattern $one): string => $one->words()),
            'ball' => self::worded(Ball::cases(), fn (Ball $one): string => $one->words()),
            'sideSetBy' => self::worded(SideSetBy::cases(), fn (SideSetBy $one): string => $one->words()),
            'opposition' => self::worded(Opposition::cases(), fn (Opposition $one): string => $one->words()),
            'starts' => self::worded(ClockStart::cases(), fn (ClockStart $one): string => $one->words()),
            'stops' => self::worded(ClockStop::cases(), fn (ClockStop $one): string => $one->words()),
            'counts' => self::worded(CountUnit::cases(), fn (CountUnit $one): string => $one->words()),
            'owed' => self::worded(OwedSets::cases(), fn (OwedSets $one): string => $one->words()),
            'countsIf' => self::worded(Condition::cases(), fn (Condition $one): string => $one->sentence()),
            'voids' => self::worded(VoidReason::cases(), fn (VoidReason $one): string => $one->sentence()),
            'fault' => self::worded(FaultKind::cases(), fn (FaultKind $one): string => $one->words()),
            'faultCost' => self::worded(
                FaultCost::cases(),
                fn (FaultCost $one): string => $one === FaultCost::AddsSeconds ? 'costs seconds' : $one->words(0.0),
            ),
        ]]);
    }

    /**
     * @param  list<string>  $values
     * @return list<array{value: string, words: string}>
     */
    private static function plain(array $values): array
    {
        return array_map(
            fn (string $value): array => [
                'value' => $value,
                'words' => $value === '1v1-moves' ? '1v1 moves' : str_replace('-', ' ', $value),
            ],
            $values,
        );
    }

    /**
     * @template T of BackedEnum
     *
     * @param  list<T>  $cases
     * @param  callable(T): string  $words
     * @return list<array{value: string, words: string}>
     */
    private static function worded(array $cases, callable $words): array
    {
        return array_map(fn (BackedEnum $one): array => ['value' => (string) $one->value, 'words' => $words($one)], $cases);
    }
}
