<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\DrillVersion;
use App\Models\OwnDrill;
use App\Models\Player;
use App\Models\TrainingSession;
use App\Tenancy\ClubContext;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** Drills of a squad's own, in and out of files, and where players stand on ladders. */
final class DrillsTest extends FeatureTestCase
{
    public function test_a_copy_is_tried_kept_changed_and_its_versions_stay(): void
    {
        $fields = $this->fieldsOf('zigzag-in-out', ['name' => 'Zigzag by the shed']);
        $fields['layout']['spacing']['value'] = 5;

        $this->actingAs($this->coach)->postJson($this->path('drill-trials'), ['fields' => $fields, 'from' => 'zigzag-in-out'])->assertOk()
            ->assertJsonPath('line', ['startsNew' => true, 'reasons' => ['Spacing was 4 yd, is 5 yd.']])
            ->assertJsonPath('drill.drawing.pathLength.text', '20 yd')
            ->assertJsonPath('worked.players', 4)
            ->assertJsonPath('faults', []);
        self::assertSame(0, DrillVersion::query()->whereNotNull('own_drill_id')->count());

        $kept = $this->postJson($this->path('drills'), ['fields' => $fields, 'from' => 'zigzag-in-out'])
            ->assertCreated()
            ->assertJsonPath('own.version', 1)
            ->assertJsonPath('own.copiedFrom', 'zigzag-in-out')
            ->assertJsonPath('drill.isOwn', true);
        $slug = (string) $kept->json('drill.slug');
        $changed = $this->putJson(
            $this->path("drills/{$slug}"),
            ['fields' => ['summary' => 'Wind from the left.'] + $fields, 'from' => null],
            ['If-Match' => '"1"'],
        )
            ->assertOk()
            ->assertJsonPath('own.version', 2)
            ->assertJsonPath('drill.summary', 'Wind from the left.');
        self::assertNotSame($kept->json('drill.versionId'), $changed->json('drill.versionId'));
        self::assertSame(2, DrillVersion::query()->where('slug', $slug)->count());

        $this->putJson($this->path("drills/{$slug}"), ['fields' => $fields, 'from' => null], ['If-Match' => '"1"'])
            ->assertStatus(412)
            ->assertJsonPath('current.drill.summary', 'Wind from the left.');
        $this->putJson($this->path("drills/{$slug}"), ['fields' => $fields, 'from' => null])->assertStatus(428);
    }

    public function test_words_mended_keep_the_line_and_scaling_names_its_factors(): void
    {
        $fields = $this->fieldsOf('zigzag-in-out', ['name' => 'Ours', 'points' => ['Eyes up.', 'Slow in.']]);
        $this->actingAs($this->coach)
            ->postJson($this->path('drill-trials'), ['fields' => $fields, 'from' => 'zigzag-in-out'])
            ->assertOk()
            ->assertJsonPath('line', ['startsNew' => false, 'reasons' => []]);
        // 0.8 times 4 yd for U9 and younger.
        $this->postJson($this->path('drill-trials'), ['fields' => $fields, 'from' => 'zigzag-in-out', 'scaleTo' => 'U8'])
            ->assertOk()
            ->assertJsonPath('fields.layout.spacing.value', 3.2)
            ->assertJsonPath('line.reasons.0', 'Spacing was 4 yd, is 3.2 yd.');
    }

    public function test_faults_come_back_at_their_fields_and_nothing_is_kept(): void
    {
        $fields = $this->fieldsOf('zigzag-in-out', ['name' => '', 'script' => 'a.elbow']);
        $fields['layout']['markers'] = 500;

        $paths = array_column(
            $this->actingAs($this->coach)
                ->postJson($this->path('drill-trials'), ['fields' => $fields, 'from' => null])
                ->assertOk()
                ->json('faults'),
            'path',
        );
        self::assertSame(['name', 'layout.markers', 'script'], $paths);
        $refused = array_column(
            $this->postJson($this->path('drills'), ['fields' => $fields, 'from' => null])->assertStatus(422)->json('fields'),
            'path',
        );
        self::assertSame(['fields.name', 'fields.layout.markers', 'fields.script'], $refused);
        $this->postJson($this->path('drills'), ['fields' => $this->fieldsOf('sole-taps', ['name' => 'INSIDE taps']), 'from' => null])
            ->assertStatus(422)
            ->assertJsonPath(
                'fields.0',
                ['path' => 'fields.name', 'message' => '"Inside taps" is in the book already. Give this one a name of its own.'],
            );
        self::assertSame(0, OwnDrill::query()->count());
    }

    public function test_a_retired_drill_leaves_the_book_and_stays_in_its_plans(): void
    {
        $own = $this->own('Ours to retire');
        $block = [
            'id' => 'a',
            'kind' => 'drill',
            'title' => 'Ours',
            'minutes' => null,
            'drillVersionId' => $own->json('drill.versionId'),
            'dose' => null,
            'tempo' => 'steady',
            'stations' => null,
        ];
        $session = $this->postJson($this->path('sessions'), $this->plan([$block]))->assertCreated()->json('id');
        $slug = $own->json('drill.slug');

        $this->deleteJson($this->path("drills/{$slug}"))->assertNoContent();
        $this->getJson($this->path("drills/{$slug}"))->assertNotFound();
        $this->deleteJson($this->path("drills/{$slug}"))->assertNotFound();
        self::assertNotContains($slug, array_column($this->getJson($this->path('drill-search'))->json('found'), 'slug'));
        $this->getJson("/api/v1/sessions/{$session}/run")->assertOk()->assertJsonPath('blocks.0.drill.slug', $slug);
        Artisan::call('sparrow:book');
        $this->app->make(ClubContext::class)->actFor($this->squad->club_id);
        self::assertSame(1, DrillVersion::query()->where('slug', $slug)->count());
    }

    public function test_another_squads_own_drill_is_planned_with_while_it_is_shared_and_stays_in_the_plans_it_stands_in(): void
    {
        $own = $this->own('Ours to lend');
        $block = ['id' => 'a', 'kind' => 'drill', 'title' => 'Theirs', 'minutes' => null, 'drillVersionId' => $own->json('drill.versionId'),
            'dose' => null, 'tempo' => 'steady', 'stations' => null];
        $nine = $this->neighbour->squads()->firstOrFail();
        $child = Player::query()->create(['squad_id' => $nine->id, 'name' => 'Ines', 'strong_foot' => 'L']);
        $plan = $this->plan([$block], ['comingPlayerIds' => [$child->id]]);
        $path = "/api/v1/squads/{$nine->id}";
        $share = fn (bool $isShared): TestResponse => $this->actingAs($this->coach)
            ->putJson($this->path("drills/{$own->json('drill.slug')}/sharing"), ['isShared' => $isShared])
            ->assertOk();

        $this->actingAs($this->neighbour)->postJson("{$path}/preview", $plan)->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'blocks.0.drillVersionId');
        $share(true);
        $this->actingAs($this->neighbour)->postJson("{$path}/preview", $plan)->assertOk()->assertJsonPath('blocks.0.id', 'a');
        $session = $this->postJson("{$path}/sessions", $plan)->assertCreated()->json('id');
        $share(false);
        $this->actingAs($this->neighbour)->getJson("/api/v1/sessions/{$session}/run")->assertOk();
        $this->postJson("{$path}/preview", $plan)->assertOk();
        TrainingSession::query()->findOrFail($session)->delete();
        $this->postJson("{$path}/preview", $plan)->assertStatus(422);
    }

    public function test_sharing_reaches_the_club_and_no_further(): void
    {
        $own = $this->own('Ours to share');
        $slug = $own->json('drill.slug');
        $nine = "/api/v1/squads/{$this->neighbour->squads()->firstOrFail()->id}";

        $this->actingAs($this->neighbour)->getJson("{$nine}/drills/{$slug}")->assertNotFound();
        $this->actingAs($this->coach)
            ->putJson($this->path("drills/{$slug}/sharing"), ['isShared' => true])
            ->assertOk()
            ->assertJsonPath('own.isShared', true);
        $this->actingAs($this->neighbour)
            ->getJson("{$nine}/drills/{$slug}")
            ->assertOk()
            ->assertJsonPath('own.mayChange', false)
            ->assertJsonPath('own.squadName', 'Heron Quay U12');
        $this->putJson(
            "{$nine}/drills/{$slug}",
            ['fields' => $own->json('fields'), 'from' => null],
            ['If-Match' => '"1"'],
        )->assertNotFound();
        $this->deleteJson("{$nine}/drills/{$slug}")->assertNotFound();

        $there = "/api/v1/squads/{$this->otherSquad->id}";
        $block = [
            'id' => 'a',
            'kind' => 'drill',
            'title' => 'Theirs',
            'minutes' => null,
            'drillVersionId' => $own->json('drill.versionId'),
            'dose' => null,
            'tempo' => 'steady',
            'stations' => null,
        ];
        // What is kept for one club between previews is not there for another.
        $this->actingAs($this->coach)
            ->postJson($this->path('preview'), ['slotMinutes' => 60, 'blocks' => [$block], 'comingPlayerIds' => [$this->players[0]->id]])
            ->assertOk();
        $this->actingAs($this->stranger)->getJson("{$there}/drills/{$slug}")->assertNotFound();
        $this->postJson("{$there}/preview", ['slotMinutes' => 60, 'blocks' => [$block], 'comingPlayerIds' => [$this->otherPlayer->id]])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'blocks.0.drillVersionId');
    }

    public function test_a_club_s_word_for_its_own_drill_is_not_told_to_another_club(): void
    {
        $own = $this->own(
            'Secret of the shed',
            'drag-back-turn',
            ['layout' => ['kind' => 'box', 'width' => ['value' => 6.5, 'unit' => 'yd'], 'depth' => ['value' => 6.5, 'unit' => 'yd']]],
        );
        $block = [
            'id' => 'a',
            'kind' => 'drill',
            'title' => 'Ours',
            'minutes' => null,
            'drillVersionId' => $own->json('drill.versionId'),
            'dose' => null,
            'tempo' => 'steady',
            'stations' => null,
        ];
        $session = (int) $this->postJson($this->path('sessions'), $this->plan([$block]))->assertCreated()->json('id');
        $key = $this->lineKey($session, $this->players[0]->id);
        $this->send([$this->mark($session, $key, 1)])->assertOk();

        $this->getJson("/api/v1/squads/{$this->squad->id}")->assertJsonPath('lines.0.drillName', 'Secret of the shed');
        self::assertSame(0, DB::table('record_lines')->where('drill_name', 'Secret of the shed')->count());
        self::assertSame(1, DB::table('club_line_names')->where('line_key', $key)->count());
    }

    public function test_a_file_goes_out_and_comes_back_without_loss(): void
    {
        foreach (['sixteen-passes', 'one-marker-one-server', 'build-up-sole-chain', 'colour-and-volley'] as $slug) {
            $file = json_decode(
                (string) $this->actingAs($this->coach)
                    ->get($this->path("drills/{$slug}/file"))
                    ->assertOk()
                    ->assertDownload("{$slug}.json")
                    ->getContent(),
                true,
            );
            $file['drills'][0]['name'] .= ', ours';
            $taken = $this->import((string) json_encode($file))->assertCreated()->json('taken.0.slug');
            $back = json_decode((string) $this->get($this->path("drills/{$taken}/file"))->getContent(), true);

            self::assertSame(['fleet-sparrow/drill', 2], [$back['format'], $back['version']]);
            self::assertEquals(['slug' => $taken] + $file['drills'][0], $back['drills'][0]);
        }
    }

    /** @return array<string, array{string, array<string, string>}> file → path → part of the sentence */
    public static function wrongFiles(): array
    {
        $file = fn (array $change): string => (string) json_encode(
            $change + ['format' => 'fleet-sparrow/drill', 'version' => 1, 'drills' => []],
        );

        return [
            'no JSON' => ['{"format": ', ['file' => 'This is not a JSON file']],
            'another format' => [$file(['format' => 'fleet-sparrow/plan']), ['format' => 'not a drill file']],
            'a newer version' => [$file(['version' => 3]), ['version' => 'version 2 is the newest known here']],
            'no version' => [$file(['version' => null]), ['version' => 'is 1 or 2']],
            'no drills' => [$file([]), ['drills' => '1 to 200']],
            'over a megabyte' => [$file(['drills' => [str_repeat('x', 1_000_000)]]), ['file' => 'at most 1 MB']],
            'nothing' => ['', ['file' => 'not a JSON file']],
        ];
    }

    /** @param  array<string, string>  $faults */
    #[DataProvider('wrongFiles')]
    public function test_a_wrong_file_is_refused_with_the_reason(string $text, array $faults): void
    {
        $refused = $this->actingAs($this->coach)->import($text)->assertStatus(422);
        foreach ($faults as $path => $sentence) {
            self::assertSame($path, $refused->json('fields.0.path'));
            self::assertStringContainsString($sentence, (string) $refused->json('fields.0.message'));
        }
        self::assertSame(0, OwnDrill::query()->count());
    }

    public function test_one_bad_drill_refuses_the_file_whole_with_every_fault_by_path(): void
    {
        $good = $this->fieldsOf('sole-taps', ['name' => 'Good']);
        $bad = $this->fieldsOf('sole-taps', ['name' => 'Bad', 'script' => '(a.in', 'goodChance' => 7]);
        $refused = $this->actingAs($this->coach)
            ->import(
                (string) json_encode(
                    ['format' => 'fleet-sparrow/drill', 'version' => 1, 'drills' => [$good, $bad, ['name' => 'GOOD'] + $good, 'x']],
                ),
            )
            ->assertStatus(422);

        self::assertSame(
            ['drills.1.script', 'drills.1.goodChance', 'drills.2.name', 'drills.3'],
            array_column($refused->json('fields'), 'path'),
        );
        self::assertSame(0, OwnDrill::query()->count());
    }

    public function test_a_protocol_s_score_is_worked_out_with_its_lines(): void
    {
        $path = $this->path('drills/sixteen-passes/score');
        // 47.9 + 4 whole seconds over 43 + 3
        $this->actingAs($this->assistant)
            ->postJson($path, ['seconds' => 47.9, 'counts' => ['handling' => 1]])
            ->assertOk()
            ->assertExactJson(
                [
                    'seconds' => 54.9,
                    'timeSeconds' => 47.9,
                    'penaltySeconds' => 7,
                    'lines' => ['Ball handled: 1 × 3 s = 3 s', 'Over 43 s: 4 × 1 s = 4 s'],
                ],
            );
        $this->postJson($path, ['seconds' => 0, 'counts' => []])->assertStatus(422)->assertJsonPath('fields.0.path', 'seconds');
        $this->postJson($path, ['seconds' => 40, 'counts' => ['handling' => -1]])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'counts.handling');
        $this->postJson($this->path('drills/sole-taps/score'), ['seconds' => 40, 'counts' => []])->assertNotFound();
    }

    public function test_ladders_show_each_player_s_place_in_a_fixed_number_of_queries(): void
    {
        $session = $this->keptSession();
        $key = $this->lineKey($session, $this->players[0]->id);
        $this->send([$this->mark($session, $key, 1, ['value' => 11])]);
        $this->send([$this->mark($session, $this->lineKey($session, $this->players[0]->id, 'L'), 2, ['value' => 10])]);

        DB::enableQueryLog();
        $answer = $this->actingAs($this->coach)->getJson($this->path('ladders'))->assertOk();
        self::assertLessThanOrEqual(12, count(DB::getQueryLog()));
        $turns = collect($answer->json('ladders'))->firstWhere('slug', 'turns-over-the-line');
        // One try met the lowest rung on both sides: placed on the next.
        self::assertSame(
            ['playerId' => $this->players[0]->id, 'rung' => 1, 'advice' => 'up'],
            array_diff_key($turns['places'][0], ['why' => '']),
        );
        self::assertStringContainsString('right: 11, 1 of the last 1 reach 10; left: 10', $turns['places'][0]['why']);
        self::assertSame('begin', $turns['places'][1]['advice']);
        self::assertEquals(
            ['depth' => 0, 'needs' => []],
            array_intersect_key(collect($answer->json('tree'))->firstWhere('slug', 'sole-taps'), ['depth' => 0, 'needs' => 0]),
        );
    }

    public function test_from_one_layout_to_the_next_each_marker_has_its_fate(): void
    {
        $same = $this->path('reset').'?from=drag-back-turn&to=inside-cut-turn';
        $answer = $this->actingAs($this->assistant)->getJson($same)->assertOk()->json();
        self::assertSame([4, 0, 0, 0], [$answer['kept'], $answer['moved'], $answer['added'], $answer['lifted']]);
        $zigzag = $this->getJson($this->path('reset').'?from=drag-back-turn&to=zigzag-in-out')->assertOk()->json();
        self::assertSame(5, $zigzag['kept'] + $zigzag['moved'] + $zigzag['added']);
        self::assertSame(1, $zigzag['added']);
        // On the spot nothing lies: all is laid.
        $spot = $this->getJson($this->path('reset').'?from=sole-taps&to=zigzag-in-out')->assertOk()->json();
        self::assertSame([0, 0, 5, 0, 5], [$spot['kept'], $spot['moved'], $spot['added'], $spot['lifted'], count($spot['markers'])]);
        $this->getJson($this->path('reset').'?from=sole-taps&to=nowhere')->assertStatus(422)->assertJsonPath('fields.0.path', 'to');
    }

    private function path(string $below): string
    {
        return "/api/v1/squads/{$this->squad->id}/{$below}";
    }

    /**
     * @param  array<string, mixed>  $change
     * @return array<string, mixed>
     */
    private function fieldsOf(string $slug, array $change): array
    {
        return $change + $this->versionOf($slug)->content;
    }

    /** @param  array<string, mixed>  $change */
    private function own(string $name, string $slug = 'drag-back-turn', array $change = []): TestResponse
    {
        return $this->actingAs($this->coach)
            ->postJson($this->path('drills'), ['fields' => $this->fieldsOf($slug, ['name' => $name] + $change), 'from' => $slug])
            ->assertCreated();
    }

    private function import(string $text): TestResponse
    {
        return $this->call(
            'POST',
            $this->path('drill-files'),
            [],
            [Config::string('session.cookie') => 'of a test'],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            $text,
        );
    }
}
