<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\DrillVersion;
use App\Models\Mark;
use App\Models\MoveVersion;
use App\Models\Player;
use App\Models\Squad;
use App\Queries\RecordQuery;
use App\Tenancy\ClubContext;
use Illuminate\Foundation\Testing\RefreshDatabaseState;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;

final class BookAndDemoTest extends FeatureTestCase
{
    public function test_loading_the_book_again_changes_nothing(): void
    {
        $before = DrillVersion::ofTheBook()->orderBy('id')->pluck('content_hash', 'id')->all();
        self::assertSame(0, Artisan::call('sparrow:book'));
        self::assertSame($before, DrillVersion::ofTheBook()->where('is_current', true)->orderBy('id')->pluck('content_hash', 'id')->all());
    }

    public function test_a_drill_that_left_the_book_is_retired_and_kept(): void
    {
        $version = DrillVersion::ofTheBook()->create(
            [
                'slug' => 'old-one',
                'family' => 'turning',
                'name' => 'Old one',
                'content_hash' => str_repeat('a', 64),
                'content' => [],
                'is_current' => true,
            ],
        );
        Artisan::call('sparrow:book');
        self::assertFalse($version->fresh()?->getAttribute('is_current'));
    }

    public function test_a_wrong_book_is_refused_whole_with_every_fault_named(): void
    {
        $folder = sys_get_temp_dir().'/book-'.bin2hex(random_bytes(6));
        mkdir("{$folder}/drills", recursive: true);
        mkdir("{$folder}/moves");
        $moves = json_decode((string) file_get_contents(base_path('book/moves/ball-mastery.json')), true)['moves'];
        file_put_contents(
            "{$folder}/moves/a.json",
            json_encode(['moves' => [$moves[0], ['script' => 'a.sole/stil'] + $moves[1], $moves[0]]]),
        );
        file_put_contents("{$folder}/moves/b.json", '{"moves": [');
        $before = MoveVersion::query()->where('is_current', true)->count();

        self::assertSame(1, Artisan::call('sparrow:book', ['--from' => $folder]));
        $said = Artisan::output();
        self::assertStringContainsString('moves/a.json, entry 1: Move inside-taps: Column 8:', $said);
        self::assertStringContainsString('moves/a.json, entry 2: the slug sole-taps stands in moves/a.json already.', $said);
        self::assertStringContainsString('moves/b.json: Syntax error.', $said);
        self::assertStringContainsString('"harder" names sole-walk, which is not in the book.', $said);
        self::assertSame($before, MoveVersion::query()->where('is_current', true)->count());
        array_map(unlink(...), glob("{$folder}/*/*.json") ?: []);
    }

    public function test_drills_are_found_by_what_there_is_in_the_squad_s_unit(): void
    {
        $path = "/api/v1/squads/{$this->squad->id}/drill-search";
        $this->actingAs($this->assistant)->getJson("/api/v1/squads/{$this->squad->id}/drills/zigzag-in-out")
            ->assertOk()
            ->assertJsonPath('drill.drawing.dimensions.0.text', '4 yd')
            ->assertJsonPath('own', null);
        self::assertGreaterThanOrEqual(90, count($this->getJson($path)->json('found')));
        foreach (['family=tactics', 'width=0', 'minutes=soon', 'kit=rocket', 'age=U5'] as $wrong) {
            $this->getJson("{$path}?{$wrong}")->assertStatus(422)->assertJsonPath('fields.0.path', strtok($wrong, '='));
        }
        $corner = array_column($this->getJson("{$path}?width=5.5&wall=no&kit=none&people=alone&age=U8")->assertOk()->json('found'), 'slug');
        self::assertContains('sole-taps', $corner);
        self::assertSame([], array_intersect(['box-free-dribble', 'wall-two-touch', 'far-foot-open', 'sixteen-passes'], $corner));
    }

    public function test_moves_come_with_the_words_of_coaches_and_are_shown_foot_by_foot(): void
    {
        $this->actingAs($this->assistant)
            ->getJson('/api/v1/moves')
            ->assertOk()
            ->assertJsonCount(MoveVersion::query()->where('is_current', true)->count(), 'moves')
            ->assertJsonFragment(['slug' => 'sole-taps', 'touchesPerRep' => 2]);
        $this->getJson('/api/v1/moves/drag-back')->assertOk()
            ->assertJsonPath('mirror', 'b.sole/back >b180 a.lace/fwd')
            ->assertJsonPath('stepsLeft.*.words', ['left sole, back', 'half a turn to the left', 'right laces, forward'])
            ->assertJsonPath('before.*.slug', ['sole-taps', 'sole-pull-walk']);
        $this->getJson('/api/v1/moves/nothing')->assertNotFound();
    }

    public function test_the_demo_is_the_same_every_time_and_tells_its_stories(): void
    {
        $marks = $this->demo();
        self::assertGreaterThan(1000, count($marks));
        // On the same day every machine makes the same, every time: written here anew only where the demo or the book changes.
        self::assertSame('9d6404137177cc066cef30c3c457197e', hash('xxh128', json_encode($marks, JSON_THROW_ON_ERROR)));

        $squad = Squad::query()->where('name', 'Slipway Under-12')->firstOrFail();
        self::assertSame(14, $squad->players()->count());
        self::assertSame(18, $squad->trainingSessions()->whereNotNull('run_finished_at_utc')->count());
        self::assertSame(
            1,
            DB::table('training_sessions')->where('squad_id', '!=', $squad->id)->where('club_id', $squad->getAttribute('club_id'))->count(),
        );

        // A strong left foot nobody noticed: Noor is written down as right-footed and turns better on the left.
        $best = $this->bests('Noor', 'drag-back-turn');
        self::assertGreaterThan($best['R'], $best['L']);
        // A spacing that was changed in mid-season: two lines a foot for the zigzag.
        $records = $this->app->make(RecordQuery::class);
        $records->readings([$this->player('Noor')->id]);
        self::assertCount(4, array_filter($records->lines(), fn ($line): bool => $line->drill_slug === 'zigzag-in-out'));
    }

    /** @return array<string, float> uuid → value */
    private function demo(): array
    {
        // The tables made anew end the transaction that the next test would be rolled back to.
        RefreshDatabaseState::$migrated = false;
        Artisan::call('migrate:fresh', ['--force' => true]);
        Artisan::call('sparrow:book');
        self::assertSame(0, Artisan::call('sparrow:demo'));
        $this->app->make(ClubContext::class)->actFor((int) DB::table('clubs')->value('id'));

        return Mark::query()->orderBy('uuid')->pluck('value', 'uuid')->map(floatval(...))->all();
    }

    private function player(string $name): Player
    {
        return Player::query()->where('name', $name)->firstOrFail();
    }

    /** @return array<string, float> side → record */
    private function bests(string $name, string $slug): array
    {
        $records = $this->app->make(RecordQuery::class);
        $bests = [];
        $id = $this->player($name)->id;
        foreach ($records->readings([$id])[$id] as $key => $reading) {
            if ($records->lines()[$key]->drill_slug === $slug) {
                $bests[$records->lines()[$key]->side->value] = $reading->recordDay()->best ?? 0.0;
            }
        }

        return $bests;
    }
}
