<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\DrillSchema;
use App\OpenApi\DoseTypes;
use FleetSparrow\Core\Dose\Alone;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Dose\Pace;
use FleetSparrow\Core\Drill\Reading\DrillFactory;
use FleetSparrow\Core\Exception\InvalidDrill;
use FleetSparrow\Core\Layout\LayoutKinds;
use FleetSparrow\Core\Tests\Drills;
use Opis\JsonSchema\Validator;
use Tests\TestCase;

/** One more dose and one more layout are a class each: reading, limits, the schema, the types and the form follow. */
final class NewKindsTest extends TestCase
{
    private const DOSE = ['kind' => 'beat', 'beats' => 60, 'perMinute' => 80, 'sets' => 2, 'restSeconds' => 15, 'sides' => 'each'];

    private const LAYOUT = ['kind' => 'ring', 'radius' => ['value' => 3, 'unit' => 'm'], 'markers' => 6];

    public function test_a_drill_with_both_is_read_and_worked_out(): void
    {
        $drill = DrillFactory::fromFields($this->fields(), $this->layouts(), $this->doses());
        self::assertCount(6, $drill->layout->markers());
        // 60 beats at 80 a minute are 45 s; two sets of each foot with three rests between.
        self::assertSame(4 * 45.0 + 3 * 15.0, Alone::meanSeconds($drill->doseFrom(null), Pace::of(1.0, 0.8, 5.0)));
    }

    public function test_a_fault_in_either_is_said_at_its_field(): void
    {
        $wrong = ['layout' => ['markers' => 2] + self::LAYOUT, 'dose' => ['perMinute' => 200] + self::DOSE] + $this->fields();
        try {
            DrillFactory::fromFields($wrong, $this->layouts(), $this->doses());
            self::fail('Two markers at 200 a minute are taken.');
        } catch (InvalidDrill $fault) {
            self::assertSame(['layout.markers', 'dose.perMinute'], array_column($fault->faults, 'path'));
        }
    }

    public function test_the_schema_holds_what_they_declare(): void
    {
        $schema = json_decode(json_encode(DrillSchema::document($this->layouts(), $this->doses()), JSON_THROW_ON_ERROR));
        $validates = function (array $fields) use ($schema): bool {
            $file = ['format' => 'fleet-sparrow/drill', 'version' => max($schema->properties->version->enum), 'drills' => [$fields]];

            return (new Validator)->validate(json_decode(json_encode($file, JSON_THROW_ON_ERROR)), $schema)->isValid();
        };
        self::assertTrue($validates($this->fields()));
        self::assertFalse($validates(['dose' => ['beats' => 401] + self::DOSE] + $this->fields()));
        self::assertFalse($validates(['layout' => ['markers' => 13] + self::LAYOUT] + $this->fields()));
        self::assertFalse($validates(['layout' => self::LAYOUT + ['height' => 1]] + $this->fields()));
    }

    public function test_the_form_and_its_types_get_the_new_dose(): void
    {
        $text = DoseTypes::text($this->doses());
        self::assertStringContainsString('{"kind":"beat","words":"to a beat"', $text);
        self::assertStringContainsString('{"name":"perMinute","label":"Beats a minute","type":"whole","least":40', $text);
        self::assertStringNotContainsString('"beat"', DoseTypes::text());
    }

    /** @return array<string, mixed> */
    private function fields(): array
    {
        return ['layout' => self::LAYOUT, 'dose' => self::DOSE] + Drills::fields();
    }

    private function layouts(): LayoutKinds
    {
        return LayoutKinds::standard()->with('ring', RingLayout::class);
    }

    private function doses(): DoseKinds
    {
        return DoseKinds::standard()->with(BeatDose::class);
    }
}
