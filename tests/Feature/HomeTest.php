<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\HomeEntry;
use App\Models\HomeLink;
use App\Models\Squad;
use App\Models\TrainingSession;
use App\Planning\SeasonSpan;
use App\Queries\SquadBasisQuery;
use App\Queries\SquadSeasonQuery;
use App\Tenancy\ClubContext;
use FleetSparrow\Core\Season\PlayedFamily;
use FleetSparrow\Core\Shared\CalendarDate;
use FleetSparrow\Core\Shared\Earlier;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

/** Fifteen minutes at home, from the coach's wish to the number that counts. */
final class HomeTest extends FeatureTestCase
{
    private string $code;

    /** @var array<string, mixed> the player's page */
    private array $page;

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->coach);
        $this->keep(['minutes' => 12, 'days' => 3, 'with' => 'sole-taps juggle-alternating'])->assertOk();
        $this->code = (string) $this->putJson("/api/v1/players/{$this->players[0]->id}/home-link")->assertOk()->json('link.code');
        $this->page = $this->atHome()->assertOk()->json();
    }

    public function test_the_page_has_the_week_as_it_was_kept_and_a_first_name(): void
    {
        self::assertSame(['Amina', 3, 1], [$this->page['name'], count($this->page['days']), $this->page['nextDay']]);
        $items = $this->page['days'][0]['items'];
        self::assertEqualsCanonicalizing(
            ['juggle-alternating', 'sole-taps'],
            array_values(array_intersect(array_column($items, 'drill'), ['sole-taps', 'juggle-alternating'])),
        );
        self::assertSame(array_column($items, 'drill'), array_column($this->page['drills'], 'slug'));
        // Of the squad, the club and the other players it knows nothing.
        $said = json_encode($this->page, JSON_THROW_ON_ERROR);
        foreach (['Heron', 'Bo"', 'Elif', 'quay', 'birth', 'strongFoot'] as $word) {
            self::assertStringNotContainsString($word, $said);
        }
        // A week that changes later does not change the one that was kept, until it is kept again.
        $sheets = $this->actingAs($this->coach)->getJson("/api/v1/squads/{$this->squad->id}/home-sheets")->assertOk();
        self::assertSame($this->page['days'], $sheets->json('sheets.0.days'));
        self::assertSame($this->code, $sheets->json('sheets.0.link.code'));
        $this->getJson("/api/v1/players/{$this->players[0]->id}/routine")->assertOk()->assertJsonPath('isAsKept', true);
        $this->getJson("/api/v1/players/{$this->players[0]->id}/routine?minutes=20")->assertOk()->assertJsonPath('isAsKept', false);
    }

    public function test_a_link_is_kept_as_a_hash_typed_in_any_way_lasts_and_ends(): void
    {
        $kept = json_encode(DB::table('home_links')->get(), JSON_THROW_ON_ERROR);
        self::assertStringNotContainsString(str_replace('-', '', $this->code), $kept);
        // Without hyphens, in small letters, an o for a nought.
        $typed = str_replace(['-', '0', '1'], ['', 'o', 'l'], strtolower($this->code));
        $this->atHome($typed)->assertOk()->assertJsonPath('name', 'Amina');
        $this->atHome(substr($this->code, 0, -1).($this->code[-1] === 'A' ? 'B' : 'A'))
            ->assertUnauthorized()->assertJsonPath('code', 'link-closed');
        $path = "/api/v1/players/{$this->players[0]->id}/home-link";
        $this->atHome()->assertJsonPath('endsSoon', false);
        $this->travel(80)->days();
        // Both are told in time.
        $this->atHome()->assertOk()->assertJsonPath('endsSoon', true);
        $this->actingAs($this->coach);
        self::assertTrue($this->home()['players'][0]['link']['endsSoon']);
        // Kept open: the same link for twelve weeks more.
        $again = $this->actingAs($this->coach)->putJson($path)->assertOk();
        self::assertSame($this->code, $again->json('link.code'));
        $this->atHome()->assertJsonPath('endsSoon', false);
        $this->travel(85)->days();
        $this->atHome()->assertUnauthorized();
        $anew = $this->actingAs($this->coach)->putJson($path)->assertOk()->json('link.code');
        self::assertNotSame($this->code, $anew);
        $this->deleteJson($path)->assertNoContent();
        $this->atHome($anew)->assertUnauthorized();
        $this->actingAs($this->coach)->getJson($path)->assertOk()->assertJsonPath('link', null);
        // The trail says who opened and closed it.
        $trail = json_encode($this->getJson("/api/v1/players/{$this->players[0]->id}/note")->json('trail'), JSON_THROW_ON_ERROR);
        self::assertStringContainsString('opened a page at home', $trail);
        self::assertStringContainsString('closed the page at home', $trail);
    }

    public function test_guessing_is_slowed_down(): void
    {
        for ($i = 0; $i < 119; $i++) {
            $this->atHome('0000-0000-0000-0000');
        }
        $this->atHome('0000-0000-0000-0000')->assertStatus(429);
    }

    public function test_what_was_practised_waits_is_confirmed_and_counts_as_from_home(): void
    {
        $line = $this->line('sole-taps');
        $this->practise([$this->entry(1, 'sole-taps', [41]), $this->entry(2, 'juggle-alternating', [12], ['felt' => 'hard'])]);
        self::assertSame(0, DB::table('marks')->count() + DB::table('bests')->count() + DB::table('ledger_entries')->count());

        $home = $this->home();
        self::assertSame(['2026-03-09'], $home['players'][0]['practised']);
        self::assertSame(['days' => 1, 'inAll' => 1], $home['players'][0]['streak']);
        self::assertSame([[], []], array_column($home['waiting'], 'doubts'));
        $uuids = array_column($home['waiting'], 'uuid');
        $this->answer([$uuids[0], $uuids[1]])->assertOk()->assertJsonPath('waiting', []);
        // Twice said is once done.
        $this->answer($uuids)->assertOk();
        self::assertSame(2, DB::table('marks')->count());
        $mark = DB::table('marks')->where('line_key', $line)->sole();
        self::assertSame(
            ['home', 'self', '2026-03-09', '41.00', $this->coach->id],
            [$mark->source, $mark->counted_by, $mark->marked_on, $mark->value, (int) $mark->entered_by],
        );
        self::assertSame(41.0, (float) DB::table('bests')->where('line_key', $line)->value('value'));
        // One number of two sets, of two taps each: that set is counted, the other stays estimated.
        $entry = DB::table('ledger_entries')->where('drill_slug', 'sole-taps')->sole();
        $counted = $entry->counted_left + $entry->counted_right;
        self::assertSame([82.0, '2026-03-09'], [(float) $counted, $entry->on_day]);
        self::assertGreaterThan(0.0, (float) $entry->estimated_left);
        // It is load, and it is no session that somebody came to or missed.
        self::assertGreaterThan(0.0, (float) DB::table('session_loads')->where('player_id', $this->players[0]->id)->value('touches'));
        $season = $this->getJson("/api/v1/players/{$this->players[0]->id}")->assertOk();
        self::assertSame(['came' => 0, 'of' => 0], $season->json('attendance'));
        $this->getJson("/api/v1/squads/{$this->squad->id}/today")->assertOk()->assertJsonPath('last', null);
        $tries = $this->getJson("/api/v1/players/{$this->players[0]->id}/lines/{$line}")->assertOk();
        self::assertStringContainsString('home', json_encode($tries->json(), JSON_THROW_ON_ERROR));
        // The next plan's load counts it, as the squad's season does, shared out over everybody.
        $this->app->make(ClubContext::class)->actFor($this->squad->club_id);
        $past = $this->app->make(SquadBasisQuery::class)
            ->of($this->squad->fresh() ?? $this->squad, CalendarDate::fromIso('2026-03-10'), null)->past;
        self::assertSame([1], array_map(static fn (Earlier $one): int => $one->daysAgo, $past->touches[$this->players[0]->id]));
        $played = $this->app->make(SquadSeasonQuery::class)->played(
            $this->squad->fresh() ?? $this->squad,
            SeasonSpan::current($this->squad, CalendarDate::fromIso('2026-03-10')),
        );
        $taps = array_values(array_filter($played, static fn (PlayedFamily $one): bool => $one->family === 'ball-mastery'))[0];
        self::assertTrue($taps->isHome);
        $ledger = DB::table('ledger_entries')->where('family', 'ball-mastery')->sum(DB::raw(
            'estimated_left + counted_left + estimated_right + counted_right + estimated_unknown + estimated_other',
        ));
        self::assertEqualsWithDelta((float) $ledger / 4.0, $taps->touches->total(), 0.01);
        // A rebuild reads the same.
        $all = fn (): array => [
            DB::table('ledger_entries')->orderBy('drill_slug')->get()->toJson(),
            DB::table('bests')->orderBy('line_key')->get()->toJson(),
        ];
        $before = $all();
        $this->app->make(ClubContext::class)->leave();
        Artisan::call('sparrow:rebuild');
        self::assertSame($before, $all());
    }

    public function test_numbers_of_more_of_a_day_are_further_tries_and_their_touches_once(): void
    {
        $this->practise([$this->entry(1, 'sole-taps', [41])]);
        $this->answer([$this->home()['waiting'][0]['uuid']]);
        $touches = (float) DB::table('session_loads')->value('touches');
        $this->practise([$this->entry(2, 'sole-taps', [43])]);
        $this->answer([$this->home()['waiting'][0]['uuid']]);
        self::assertSame([1, 2], DB::table('marks')->orderBy('try_number')->pluck('try_number')->map(intval(...))->all());
        self::assertSame([1, $touches], [DB::table('session_loads')->count(), (float) DB::table('session_loads')->value('touches')]);
        self::assertSame(1, TrainingSession::query()->withoutGlobalScope('club')->where('is_home', true)->count());
    }

    public function test_what_is_odd_is_asked_about_and_kept(): void
    {
        $this->trainOn('2026-03-03', coming: [0], values: [15]);
        $odd = fn (): array => array_map(
            static fn (array $one): array => [$one['numbers'][0]['value'] ?? null, $one['doubts']],
            $this->home()['waiting'],
        );
        $this->practise([
            $this->entry(1, 'juggle-alternating', [5000]),
            $this->entry(2, 'sole-taps', [400]),
        ]);
        self::assertSame([
            [5000, ['5,000 would take 28 minutes, and the day has 20.']],
            [400, ['400 in 30 s is more than feet can do.']],
        ], $odd());
        // The same once more, under another name and from another phone.
        $this->practise([$this->entry(3, 'sole-taps', [400], ['on' => '2026-03-09'])], phone: 'b');
        self::assertSame([
            '400 in 30 s is more than feet can do.',
            'The same came twice for that day: confirm one, leave the other out.',
            'It came from a second phone: does somebody share the link?',
        ], $this->home()['waiting'][2]['doubts']);
        // A phone with the date of another year.
        $this->practise([$this->entry(4, 'sole-taps', [30], ['on' => '2020-01-01'])], today: '2020-01-01');
        $last = $this->home()['waiting'][3];
        self::assertSame(['2026-03-10', 'The phone had another date; the day was reckoned from when it was sent.'], [
            $last['on'], $last['doubts'][0],
        ]);
        // Left out is apart, and can be confirmed after all.
        $uuid = $last['uuid'];
        $this->answer([], [$uuid])->assertOk()->assertJsonCount(3, 'waiting');
        self::assertSame(HomeEntry::LEFT_OUT, DB::table('home_entries')->where('uuid', $uuid)->value('state'));
        $this->answer([$uuid]);
        self::assertSame(30.0, (float) DB::table('marks')->where('line_key', $this->line('sole-taps'))->value('value'));
    }

    public function test_a_bad_item_holds_back_no_other_and_nothing_is_taken_twice(): void
    {
        $good = $this->entry(1, 'sole-taps', [41]);
        $key = $good['numbers'][0]['lineKey'];
        $sent = $this->practise([
            $good,
            $good,
            ['uuid' => 'x'] + $this->entry(2, 'sole-taps', [3]),
            $this->entry(3, 'no-such-drill', []),
            ['numbers' => [['lineKey' => $key, 'value' => 5000]]] + $this->entry(4, 'sole-taps', []),
            ['numbers' => [['lineKey' => $key, 'value' => 'many']]] + $this->entry(5, 'sole-taps', []),
            ['numbers' => [['lineKey' => $key, 'value' => 3]]] + $this->entry(6, 'juggle-alternating', []),
            ['on' => '2025-11-01'] + $this->entry(7, 'sole-taps', [3]),
            ['on' => 'yesterday'] + $this->entry(8, 'sole-taps', [3]),
            'nothing',
            ['numbers' => [['lineKey' => $key, 'value' => 12]]] + $good,
            // In the book and not in the week any more.
            $this->entry(9, 'inside-taps', []),
        ])->json('results');
        self::assertSame(
            ['accepted', 'duplicate', ...array_fill(0, 9, 'refused'), 'accepted'],
            array_column($sent, 'status'),
        );
        self::assertStringContainsString('999', $sent[4]['message']);
        self::assertStringContainsString('sixty days', $sent[7]['message']);
        self::assertStringContainsString('Ask your coach', $sent[10]['message']);
        self::assertSame(2, DB::table('home_entries')->count());
        $this->practise([], expect: 422);
    }

    public function test_a_stack_of_sheets_is_typed_in_by_the_coach(): void
    {
        $path = "/api/v1/squads/{$this->squad->id}/home-sheets";
        $sheet = fn (int $number, int $player): array => array_diff_key($this->entry($number, 'sole-taps', [30 + $number]), ['felt' => 1])
            + ['playerId' => $player];
        $sent = $this->actingAs($this->coach)->postJson($path, ['sheets' => [
            $sheet(1, $this->players[1]->id), $sheet(2, $this->otherPlayer->id), $sheet(3, $this->players[2]->id), [],
        ]])->assertOk()->json('results');
        self::assertSame(['accepted', 'refused', 'accepted', 'refused'], array_column($sent, 'status'));
        self::assertSame(['paper', 'paper'], array_column($this->home()['waiting'], 'source'));
        $this->answer(array_column($this->home()['waiting'], 'uuid'))->assertOk();
        self::assertSame(2, DB::table('marks')->where('source', 'home')->count());
    }

    public function test_a_squad_of_nobody_and_a_place_without_a_ball_are_told_kindly(): void
    {
        $empty = Squad::query()->where('name', 'Heron Quay U9')->withoutGlobalScope('club')->sole();
        $this->actingAs($this->neighbour)->putJson("/api/v1/squads/{$empty->id}/home-routines", [])->assertStatus(422)
            ->assertJsonPath('fields.0.message', 'Nobody is in the squad yet. Add the players first.');
        $this->putJson("/api/v1/squads/{$empty->id}/home-links")->assertStatus(422);
        $this->getJson("/api/v1/squads/{$empty->id}/home")->assertOk()->assertJsonPath('players', []);
        $this->actingAs($this->coach);
        $this->keep(['kit' => 'nothing'])->assertOk();
        $this->atHome()->assertOk()->assertJsonPath('days', [])->assertJsonPath('name', 'Amina');
    }

    public function test_erasing_a_player_takes_the_page_and_what_was_practised_along(): void
    {
        $this->practise([$this->entry(1, 'sole-taps', [41])]);
        $this->actingAs($this->coach)->deleteJson("/api/v1/players/{$this->players[0]->id}")->assertSuccessful();
        self::assertSame([0, 0, 3], [
            DB::table('home_links')->count(), DB::table('home_entries')->count(), DB::table('home_routines')->count(),
        ]);
        $this->atHome()->assertUnauthorized();
    }

    public function test_a_secret_of_another_key_of_the_installation_still_opens_and_is_not_shown(): void
    {
        config(['app.key' => 'base64:'.base64_encode(str_repeat('k', 32))]);
        $this->atHome()->assertOk();
        $path = "/api/v1/players/{$this->players[0]->id}/home-link";
        $this->actingAs($this->coach)->getJson($path)->assertOk()->assertJsonPath('link.code', null);
        self::assertNotNull($this->putJson($path)->assertOk()->json('link.code'));
        self::assertSame(1, HomeLink::query()->withoutGlobalScope('club')->count());
    }

    /** @param  array<string, mixed>  $wishes */
    private function keep(array $wishes): TestResponse
    {
        return $this->putJson("/api/v1/squads/{$this->squad->id}/home-routines", $wishes);
    }

    private function atHome(?string $code = null): TestResponse
    {
        $this->app->make('auth')->forgetGuards();

        return $this->getJson('/api/v1/at-home', ['Authorization' => 'Bearer '.($code ?? $this->code)]);
    }

    private function line(string $drill): string
    {
        foreach ($this->page['days'][0]['items'] as $item) {
            if ($item['drill'] === $drill) {
                return $item['asks'][0]['line']['key'];
            }
        }
        self::fail("{$drill} is not in the week.");
    }

    /**
     * @param  list<int>  $values  of its first line
     * @param  array<string, mixed>  $change
     * @return array<string, mixed>
     */
    private function entry(int $number, string $drill, array $values, array $change = []): array
    {
        return $change + [
            'uuid' => sprintf('00000000-0000-4000-8000-%012d', $number),
            'drill' => $drill,
            'on' => '2026-03-09',
            'felt' => null,
            'numbers' => array_map(fn (int $value): array => ['lineKey' => $this->line($drill), 'value' => $value], $values),
        ];
    }

    /** @param  list<mixed>  $practised */
    private function practise(array $practised, string $today = '2026-03-10', string $phone = 'a', int $expect = 200): TestResponse
    {
        $this->app->make('auth')->forgetGuards();

        return $this->postJson(
            '/api/v1/at-home/practice',
            ['phoneToday' => $today, 'phone' => $phone, 'practised' => $practised],
            ['Authorization' => "Bearer {$this->code}"],
        )->assertStatus($expect);
    }

    /** @return array<string, mixed> */
    private function home(): array
    {
        return $this->actingAs($this->coach)->getJson("/api/v1/squads/{$this->squad->id}/home")->assertOk()->json();
    }

    /**
     * @param  list<string>  $confirm
     * @param  list<string>  $leaveOut
     */
    private function answer(array $confirm, array $leaveOut = []): TestResponse
    {
        return $this->actingAs($this->coach)
            ->postJson("/api/v1/squads/{$this->squad->id}/home-answers", ['confirm' => $confirm, 'leaveOut' => $leaveOut]);
    }
}
