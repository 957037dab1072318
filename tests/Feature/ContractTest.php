<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\Import\DrillFile;
use App\OpenApi\Description;
use FleetSparrow\Core\Dose\DoseKinds;
use FleetSparrow\Core\Exception\CoreException;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Attributes\DataProvider;

/** What the API says of itself is committed, current and true. */
final class ContractTest extends FeatureTestCase
{
    public function test_the_committed_description_is_what_the_code_says(): void
    {
        foreach (Description::files() as $file => $content) {
            self::assertSame($content, (string) file_get_contents(base_path($file)), "{$file} is out of date. Run ./sparrow contract.");
        }
    }

    /** The same letters as `vite.contract.ts` reads from the same file: what a built page takes without checking. */
    public function test_an_answer_names_the_committed_description_and_a_page_does_not(): void
    {
        $description = (string) file_get_contents(base_path('docs/openapi.json'));
        $name = substr(hash('sha256', $description), 0, 12);

        $this->actingAs($this->coach)->getJson('/api/v1/me')->assertOk()->assertHeader('X-Contract', $name);
        $this->get('/today')->assertOk()->assertHeaderMissing('X-Contract');
    }

    public function test_every_route_is_described_and_nothing_else(): void
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/v1/') && $route->uri() !== 'api/v1/{path}') {
                $routes[] = strtolower($route->methods()[0]).' '.substr($route->uri(), strlen('api/v1'));
            }
        }
        $described = [];
        foreach (Description::document()['paths'] as $path => $calls) {
            foreach (array_keys($calls) as $method) {
                $described[] = "{$method} {$path}";
            }
        }
        sort($routes);
        sort($described);

        self::assertSame($routes, $described);
    }

    public function test_every_shape_named_is_there_and_every_shape_is_used(): void
    {
        $document = Description::document();
        preg_match_all('~#/components/schemas/(\w+)~', json_encode($document, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES), $named);
        $shapes = array_keys($document['components']['schemas']);

        self::assertSame([], array_values(array_diff(array_unique($named[1]), $shapes)));
        self::assertSame([], array_values(array_diff($shapes, $named[1])));
    }

    /**
     * A season with something in it: three evenings, one that has ended before them, and a number from paper.
     *
     * @return array<string, array{string, TestResponse}>
     */
    private function seasonAnswers(int $player): array
    {
        $this->trainOn('2026-02-03', coming: [0, 1], values: [12, 9]);
        $squad = "/api/v1/squads/{$this->squad->id}";
        $ended = $this->actingAs($this->coach)->postJson("{$squad}/seasons", ['name' => 'Winter', 'endsOn' => '2026-02-28']);
        $ended->assertCreated();
        $this->trainOn('2026-03-03', coming: [0, 1, 2, 3], values: [30, 9, 10, 14]);
        $this->trainOn('2026-03-05', coming: [0, 1, 2], values: [30, 10, 9]);
        $paper = $this->postJson("{$squad}/paper-days", ['on' => '2026-03-05', 'playerIds' => [$player]])->assertOk();

        return [
            'season-ended' => ['POST api/v1/squads/{squad}/seasons', $ended],
            'paper-day' => ['POST api/v1/squads/{squad}/paper-days', $paper],
            'squad' => ['GET api/v1/squads/{squad}', $this->getJson($squad)->assertOk()],
            'player' => ['GET api/v1/players/{player}', $this->getJson("/api/v1/players/{$player}")->assertOk()],
            'season' => ['GET api/v1/squads/{squad}/season', $this->getJson("{$squad}/season")->assertOk()],
            'routine' => ['GET api/v1/players/{player}/routine', $this->getJson("/api/v1/players/{$player}/routine")->assertOk()],
            ...$this->homeAnswers($player),
            'what-if' => ['GET api/v1/squads/{squad}/what-if', $this->getJson("{$squad}/what-if")->assertOk()],
        ];
    }

    /**
     * Home practice: a week for everybody, a page for each, something that was practised and waits.
     *
     * @return array<string, array{string, TestResponse}>
     */
    private function homeAnswers(int $player): array
    {
        $squad = "/api/v1/squads/{$this->squad->id}";
        $this->putJson("{$squad}/home-routines", ['minutes' => 12, 'days' => 2, 'with' => 'pull-back-out-v'])->assertOk();
        $link = $this->putJson("/api/v1/players/{$player}/home-link")->assertOk();
        $as = ['Authorization' => "Bearer {$link->json('link.code')}"];
        $page = $this->getJson('/api/v1/at-home', $as)->assertOk();
        $item = $page->json('days.0.items.0');
        $practised = $this->postJson('/api/v1/at-home/practice', ['phoneToday' => '2026-03-10', 'phone' => 'a', 'practised' => [[
            'uuid' => '00000000-0000-4000-8000-000000000021', 'drill' => $item['drill'], 'on' => '2026-03-09', 'felt' => 'right',
            'numbers' => [['lineKey' => $item['asks'][0]['line']['key'], 'value' => 17]],
        ], []]], $as)->assertOk();
        // As the samples have it, whatever the key of this installation is.
        $link->setContent((string) preg_replace('/[0-9A-Z]{4}(-[0-9A-Z]{4}){3}/', 'K3F9-2M7Q-XW4T-8R6C', (string) $link->getContent()));
        $sheets = $this->actingAs($this->coach)->getJson("{$squad}/home-sheets")->assertOk();
        $sheets->setContent((string) preg_replace('/[0-9A-Z]{4}(-[0-9A-Z]{4}){3}/', 'K3F9-2M7Q-XW4T-8R6C', (string) $sheets->getContent()));

        return [
            'at-home' => ['GET api/v1/at-home', $page],
            'practised' => ['POST api/v1/at-home/practice', $practised],
            'home-link' => ['PUT api/v1/players/{player}/home-link', $link],
            'home' => ['GET api/v1/squads/{squad}/home', $this->getJson("{$squad}/home")->assertOk()],
            'home-sheets' => ['GET api/v1/squads/{squad}/home-sheets', $sheets],
        ];
    }

    public function test_answers_are_as_described_and_as_their_samples(): void
    {
        $sessionId = $this->keptSession();
        $player = $this->players[0]->id;
        $line = $this->lineKey($sessionId, $player);
        $answers = [
            'marks' => [
                'POST api/v1/marks',
                $this->send([$this->mark($sessionId, $line, 1, ['value' => 14]), $this->mark($sessionId, $line, 2, ['value' => 5000])]),
            ],
        ];
        $this->send([$this->mark($sessionId, $line, 3, ['value' => 12])], $this->assistant);
        $answers['position-told'] = [
            'PUT api/v1/sessions/{session}/position',
            $this->actingAs($this->coach)->putJson("/api/v1/sessions/{$sessionId}/position", [
                'device' => '00000000-0000-4000-8000-000000000001', 'segmentId' => 'x', 'state' => 'running', 'remainingMs' => 4200,
            ])->assertOk(),
        ];
        $answers['looks'] = [
            'POST api/v1/sessions/{session}/looks',
            $this->actingAs($this->coach)->postJson("/api/v1/sessions/{$sessionId}/looks", ['looks' => [[
                'uuid' => '00000000-0000-4000-8000-000000000001', 'playerId' => $player, 'drillSlug' => 'drag-back-turn',
                'isAccurate' => true,
                'lookedAt' => '2026-03-10T11:00:00.000Z',
            ]]])->assertOk(),
        ];
        $answers['reminders'] = [
            'POST api/v1/sessions/{session}/reminders',
            $this->actingAs($this->coach)->postJson("/api/v1/sessions/{$sessionId}/reminders", ['events' => [[
                'uuid' => '00000000-0000-4000-8000-000000000001', 'playerId' => $player, 'kind' => 'said', 'words' => 'Far foot',
                'notedAt' => '2026-03-10T11:00:00.000Z',
            ], []]])->assertOk(),
        ];
        $this->actingAs($this->coach)->putJson("/api/v1/players/{$player}/note", ['note' => 'Likes to go left.'])->assertOk();
        $this->actingAs($this->lead)
            ->postJson('/api/v1/club/invitations', ['email' => 'new@quay.example', 'role' => 'coach', 'squadId' => $this->squad->id])
            ->assertCreated();
        foreach ([
            'me' => 'me', 'sign-ins' => 'sign-ins', 'people' => 'club/people', 'club-settings' => 'club/settings',
            'squad-settings' => 'squads/{squad}/settings', 'today' => 'squads/{squad}/today',
            'drills' => 'squads/{squad}/drills',
            'note' => 'players/{player}/note', 'line' => 'players/{player}/lines/{lineKey}',
            'session' => 'sessions/{session}', 'drills-found' => 'squads/{squad}/drill-search', 'drill-choices' => 'drill-choices',
            'search-index' => 'squads/{squad}/search-index',
            'drill' => 'squads/{squad}/drills/sixteen-passes', 'circuit' => 'squads/{squad}/drills/one-marker-one-server',
            'ladders' => 'squads/{squad}/ladders', 'reset' => 'squads/{squad}/reset?from=zigzag-in-out&to=sole-taps',
            'moves' => 'moves', 'move' => 'moves/{slug}', 'run-pack' => 'sessions/{session}/run',
            'actual' => 'sessions/{session}/actual', 'position' => 'sessions/{session}/position',
        ] as $name => $uri) {
            $answers[$name] = [
                'GET api/v1/'.preg_replace(['~drills/[a-z-]+$~', '~\?.*~'], ['drills/{slug}', ''], $uri),
                $this->getJson(
                    '/api/v1/'.strtr(
                        $uri,
                        [
                            '{squad}' => $this->squad->id,
                            '{player}' => $player,
                            '{session}' => $sessionId,
                            '{lineKey}' => $line,
                            '{slug}' => 'drag-back',
                        ],
                    ),
                )->assertOk(),
            ];
        }
        $answers += $this->seasonAnswers($player);
        $plan = $this->plan(
            [
                $this->drillBlock('drag-back-turn'),
                [
                    'id' => 'w',
                    'kind' => 'water',
                    'title' => 'Water',
                    'minutes' => 2,
                    'drillVersionId' => null,
                    'dose' => null,
                    'tempo' => null,
                    'stations' => null,
                    'links' => null,
                ],
            ],
        );
        $answers['guests'] = [
            'POST api/v1/squads/{squad}/guests',
            $this->actingAs($this->coach)->postJson("/api/v1/squads/{$this->squad->id}/guests", ['bibs' => [21]])->assertOk(),
        ];
        $answers['evaluation'] = [
            'POST api/v1/squads/{squad}/preview',
            $this->postJson("/api/v1/squads/{$this->squad->id}/preview", $plan)->assertOk(),
        ];
        $answers['proposals'] = [
            'POST api/v1/squads/{squad}/proposals',
            $this->postJson(
                "/api/v1/squads/{$this->squad->id}/proposals",
                [
                    'theme' => 'turning',
                    'slotMinutes' => 30,
                    'locks' => [['drill' => 'no-such-drill', 'family' => null]],
                    'comingPlayerIds' => $plan['comingPlayerIds'],
                ],
            )->assertOk(),
        ];
        $answers['last-time'] = [
            'GET api/v1/squads/{squad}/drills/{slug}/last-time',
            $this->getJson("/api/v1/squads/{$this->squad->id}/drills/drag-back-turn/last-time")->assertOk(),
        ];
        $fields = ['name' => 'Wider'] + $this->versionOf('zigzag-in-out')->content;
        $fields['layout']['spacing']['value'] = 5;
        $answers['drill-trial'] = [
            'POST api/v1/squads/{squad}/drill-trials',
            $this->postJson("/api/v1/squads/{$this->squad->id}/drill-trials", ['fields' => $fields, 'from' => 'zigzag-in-out'])->assertOk(),
        ];
        $answers['own-drill'] = [
            'POST api/v1/squads/{squad}/drills',
            $this->postJson("/api/v1/squads/{$this->squad->id}/drills", ['fields' => $fields, 'from' => 'zigzag-in-out'])->assertCreated(),
        ];
        $answers['score'] = [
            'POST api/v1/squads/{squad}/drills/{slug}/score',
            $this->postJson(
                "/api/v1/squads/{$this->squad->id}/drills/sixteen-passes/score",
                ['seconds' => 47.9, 'counts' => ['handling' => 1]],
            )->assertOk(),
        ];
        $answers['stale-plan'] = [
            'PUT api/v1/sessions/{session}',
            $this->putJson("/api/v1/sessions/{$sessionId}", $plan, ['If-Match' => '"9"'])->assertStatus(412),
        ];
        $answers['invalid-plan'] = [
            'PUT api/v1/sessions/{session}',
            $this->putJson(
                "/api/v1/sessions/{$sessionId}",
                ['title' => '', 'slotMinutes' => 0] + $plan,
                ['If-Match' => '"1"'],
            )->assertStatus(422),
        ];
        foreach ($answers as $name => [$route, $answer]) {
            Contract::assertAnswer($answer, $route);
            Contract::assertSample($answer, $name);
        }
        $this->writeExamples(
            [
                'marks' => [
                    'marks' => [
                        $this->mark($sessionId, $line, 1),
                        $this->mark(
                            $sessionId,
                            $line,
                            2,
                            ['value' => 12, 'supersedesUuids' => [$this->mark($sessionId, $line, 1)['uuid']]],
                        ),
                    ],
                ],
                'proposals' => (array) json_decode((string) $answers['proposals'][1]->getContent(), false, 512, JSON_THROW_ON_ERROR),
                'evaluation' => (array) json_decode((string) $answers['evaluation'][1]->getContent(), false, 512, JSON_THROW_ON_ERROR),
                'run-pack' => (array) json_decode((string) $answers['run-pack'][1]->getContent(), false, 512, JSON_THROW_ON_ERROR),
                'drill' => [
                    'drills' => array_map(
                        fn (string $slug): array => $this->versionOf($slug)->content,
                        ['zigzag-in-out', 'twelve-windows', 'combo-chest-behind', 'sixteen-passes'],
                    ),
                ],
            ],
        );
    }

    /** @return array<string, array{string}> */
    public static function formats(): array
    {
        return array_combine(
            array_keys(Description::FORMATS),
            array_map(fn (string $format): array => [$format], array_keys(Description::FORMATS)),
        );
    }

    #[DataProvider('formats')]
    public function test_the_example_of_a_format_holds_to_its_schema_and_a_broken_one_does_not(string $format): void
    {
        $schema = json_decode((string) file_get_contents(base_path("docs/formats/{$format}.schema.json")), false, 512, JSON_THROW_ON_ERROR);
        $example = json_decode(
            (string) file_get_contents(base_path("docs/formats/{$format}.example.json")),
            false,
            512,
            JSON_THROW_ON_ERROR,
        );
        Contract::assertSchema($example, $schema, $format);

        $validator = new \Opis\JsonSchema\Validator;
        $newer = clone $example;
        $newer->version++;
        self::assertFalse($validator->validate($newer, $schema)->isValid(), 'a newer version');
        $field = ['marks' => 'marks', 'proposals' => 'proposals'][$format] ?? 'blocks';
        $without = clone $example;
        unset($without->{$field});
        self::assertFalse($validator->validate($without, $schema)->isValid(), "without {$field}");
    }

    public function test_the_book_and_the_example_hold_to_the_schema_of_drills_and_a_broken_one_does_not(): void
    {
        $schema = json_decode((string) file_get_contents(base_path('docs/formats/drill.schema.json')), false, 512, JSON_THROW_ON_ERROR);
        $example = json_decode((string) file_get_contents(base_path('docs/formats/drill.example.json')), false, 512, JSON_THROW_ON_ERROR);
        Contract::assertSchema($example, $schema, 'the example');
        foreach (glob(base_path('book/drills/*.json')) ?: [] as $file) {
            $book = json_decode((string) file_get_contents($file), false, 512, JSON_THROW_ON_ERROR);
            Contract::assertSchema(
                (object) ['format' => 'fleet-sparrow/drill', 'version' => 1, 'drills' => $book->drills],
                $schema,
                basename($file),
            );
        }
        $validator = new \Opis\JsonSchema\Validator;
        foreach (['version' => 3, 'format' => 'fleet-sparrow/plan', 'drills' => []] as $field => $wrong) {
            self::assertFalse($validator->validate((object) ([$field => $wrong] + (array) $example), $schema)->isValid(), $field);
        }
        foreach ([
            'layout' => (object) ['kind' => 'pitch'],
            'family' => 'tactics',
            'points' => [],
            'goodChance' => 2,
            'cuation' => 'x',
        ] as $field => $wrong) {
            $drill = (object) ([$field => $wrong] + (array) $example->drills[0]);
            self::assertFalse($validator->validate((object) (['drills' => [$drill]] + (array) $example), $schema)->isValid(), $field);
        }
    }

    /** @return array<string, array{string}> */
    public static function doses(): array
    {
        return array_combine(
            array_keys(DoseKinds::standard()->classes),
            array_map(fn (string $kind): array => [$kind], array_keys(DoseKinds::standard()->classes)),
        );
    }

    #[DataProvider('doses')]
    public function test_a_doses_limits_are_the_same_in_the_schema_and_in_the_core(string $kind): void
    {
        $schema = json_decode((string) file_get_contents(base_path('docs/formats/drill.schema.json')), false, 512, JSON_THROW_ON_ERROR);
        $dose = (object) ['$schema' => $schema->{'$schema'}, '$ref' => '#/$defs/dose', '$defs' => $schema->{'$defs'}];
        $asks = DoseKinds::standard()->classes[$kind]::declared()->fields;
        $good = ['kind' => $kind];
        foreach ($asks as $field) {
            $value = match ($field->type) {
                'sides' => 'each',
                'tempos' => null,
                'whole', 'yes' => (int) $field->least,
                default => $field->least,
            };
            $good += $value === null ? [] : [$field->name => $value];
        }
        $agree = function (array $fields, bool $isTaken, string $what) use ($dose): void {
            try {
                DoseKinds::standard()->read($fields);
                $byCore = true;
            } catch (CoreException) {
                $byCore = false;
            }
            $bySchema = (new Validator)->validate((object) $fields, $dose)->isValid();
            self::assertSame([$isTaken, $isTaken], [$byCore, $bySchema], $what);
        };
        $agree($good, true, 'the least of everything');
        foreach ($asks as $field) {
            if (! in_array($field->type, ['whole', 'seconds', 'minutes'], true)) {
                continue;
            }
            $number = fn (float $value): int|float => $field->type === 'whole' ? (int) $value : $value;
            foreach ([[$field->most, true], [$field->least - 1, false], [$field->most + 1, false]] as [$value, $isTaken]) {
                $agree([$field->name => $number($value)] + $good, $isTaken, "{$field->name} {$value}");
            }
            $agree(array_diff_key($good, [$field->name => 0]), false, "without {$field->name}");
        }
    }

    /** @param  array<string, array<string, mixed>>  $examples  format → content */
    private function writeExamples(array $examples): void
    {
        if (getenv('SPARROW_WRITE_CONTRACT') !== '1') {
            return;
        }
        $versions = Description::FORMAT_VERSIONS + ['drill' => DrillFile::VERSION];
        foreach ($examples as $format => $content) {
            $example = ['format' => "fleet-sparrow/{$format}", 'version' => $versions[$format]] + $content;
            file_put_contents(
                base_path("docs/formats/{$format}.example.json"),
                json_encode($example, JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n",
            );
        }
    }
}
