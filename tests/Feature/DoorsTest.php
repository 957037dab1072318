<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Drill\KeepOwnDrill;
use App\Auth\SignInTries;
use App\Models\User;
use App\Tenancy\ClubContext;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Log;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;

/** What a stranger may try at the door, and what two people may try at once. */
final class DoorsTest extends FeatureTestCase
{
    /** @return array<string, array{string}> */
    public static function spellings(): array
    {
        return ['capitals' => ['COACH@quay.example'], 'full width' => ["\u{FF43}oach@quay.example"], 'spaces' => [' coach@quay.example ']];
    }

    #[DataProvider('spellings')]
    public function test_every_spelling_of_an_address_is_counted_as_one(string $spelling): void
    {
        for ($try = 0; $try < SignInTries::PER_PAIR; $try++) {
            $this->signIn($try % 2 === 0 ? $spelling : 'coach@quay.example', "guess {$try}")->assertStatus(422);
        }
        $this->signIn('coach@quay.example', self::PASSWORD)->assertStatus(429)->assertHeader('Retry-After', '60');
        $this->travel(61)->seconds();
        $this->signIn($spelling, self::PASSWORD)->assertOk();
    }

    public function test_an_accent_makes_another_address(): void
    {
        $this->signIn('coách@quay.example', self::PASSWORD)->assertStatus(422);
        self::assertNull(User::query()->where('email', 'coách@quay.example')->first());
    }

    public function test_guesses_from_many_addresses_add_up_and_do_not_lock_out_a_browser_that_was_here(): void
    {
        $known = $this->signIn('coach@quay.example', self::PASSWORD)
            ->assertOk()
            ->getCookie('fleet_sparrow_known', decrypt: false)
            ?->getValue();
        self::assertNotNull($known);
        $this->app->make('auth')->forgetGuards();
        for ($try = 0; $try < SignInTries::PER_SECRET; $try++) {
            $this->signIn('coach@quay.example', "guess {$try}", '203.0.113.'.($try % 25))->assertStatus(422);
        }
        $refused = $this->signIn('coach@quay.example', self::PASSWORD, '198.51.100.7')->assertStatus(429);
        self::assertGreaterThan(600, (int) $refused->headers->get('Retry-After'));
        // From the stranger's own address even.
        $this->withUnencryptedCookie('fleet_sparrow_known', $known);
        $this->signIn('coach@quay.example', self::PASSWORD, '203.0.113.1')->assertOk();
    }

    public function test_a_stranger_behind_the_clubs_own_address_does_not_lock_the_club_out(): void
    {
        $known = $this->signIn('coach@quay.example', self::PASSWORD)->getCookie('fleet_sparrow_known', decrypt: false)?->getValue() ?? '';
        $this->app->make('auth')->forgetGuards();
        for ($try = 0; $try < SignInTries::PER_ADDRESS; $try++) {
            $this->signIn("nobody{$try}@quay.example", 'guess')->assertStatus(422);
        }
        $this->signIn('assistant@quay.example', self::PASSWORD)->assertStatus(429);
        $this->withUnencryptedCookie('fleet_sparrow_known', $known);
        $this->signIn('coach@quay.example', self::PASSWORD)->assertOk();
        // Known for one account, it is a stranger at every other.
        $this->app->make('auth')->forgetGuards();
        $this->signIn('assistant@quay.example', self::PASSWORD)->assertStatus(429);
    }

    public function test_a_browser_that_was_here_may_not_guess_for_ever_either(): void
    {
        $known = $this->signIn('coach@quay.example', self::PASSWORD)->getCookie('fleet_sparrow_known', decrypt: false)?->getValue() ?? '';
        $this->app->make('auth')->forgetGuards();
        $this->withUnencryptedCookie('fleet_sparrow_known', $known);
        for ($try = 0; $try < SignInTries::PER_PAIR; $try++) {
            $this->signIn('coach@quay.example', "guess {$try}")->assertStatus(422);
        }
        $this->signIn('coach@quay.example', self::PASSWORD)->assertStatus(429);
    }

    public function test_the_current_password_cannot_be_guessed_on_a_borrowed_phone(): void
    {
        $this->actingAs($this->coach);
        $change = fn (string $current): TestResponse => $this->putJson(
            '/api/v1/me/password',
            ['currentPassword' => $current, 'password' => 'three plain words'],
        );
        for ($try = 0; $try < SignInTries::PER_PAIR; $try++) {
            $change("guess {$try}")->assertStatus(422)->assertJsonPath('fields.0.path', 'currentPassword');
        }
        $change(self::PASSWORD)->assertStatus(429)->assertHeader('Retry-After');
    }

    public function test_behind_an_invitation_an_accounts_password_cannot_be_guessed(): void
    {
        $path = (string) $this->actingAs($this->lead)
            ->postJson('/api/v1/club/invitations', ['email' => 'coach@quay.example', 'role' => 'lead', 'squadId' => null])
            ->assertCreated()
            ->json('path');
        $this->app->make('auth')->forgetGuards();
        $accept = fn (string $password): TestResponse => $this->postJson(
            '/api/v1/invitations/'.basename($path),
            ['name' => 'Mine', 'password' => $password],
        );
        for ($try = 0; $try < SignInTries::PER_PAIR; $try++) {
            $accept("a guess number {$try}")->assertStatus(422);
        }
        $accept(self::PASSWORD)->assertStatus(429);
    }

    /** @return array<string, array{string}> */
    public static function passwordsThatCannotBeHashed(): array
    {
        return [
            '73 letters' => [str_repeat('a', 73)],
            '72 letters, one of them of two bytes' => [str_repeat('a', 71).'é'],
            'a null byte' => ["three plain\0words"],
        ];
    }

    #[DataProvider('passwordsThatCannotBeHashed')]
    public function test_what_a_password_cannot_hold_is_refused_and_opens_nothing(string $password): void
    {
        $this->actingAs($this->coach)
            ->putJson('/api/v1/me/password', ['currentPassword' => self::PASSWORD, 'password' => $password])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'password');
        $this->coach->update(['password' => str_repeat('a', 72)]);
        $this->app->make('auth')->forgetGuards();
        $this->signIn('coach@quay.example', str_repeat('a', 73))->assertStatus(422);
        $this->signIn('coach@quay.example', $password)->assertStatus(422);
        $this->signIn('coach@quay.example', str_repeat('a', 72))->assertOk();
    }

    public function test_a_stranger_may_send_only_what_is_needed_at_the_door(): void
    {
        $body = fn (int $letters): array => ['email' => 'a@b.example', 'password' => str_repeat('x', $letters)];
        $this->postJson('/api/v1/sign-in', $body(20_000))->assertStatus(422);
        $this->unencryptedCookies = [];
        $this->postJson('/api/v1/sign-in', $body(20_000))->assertStatus(413)->assertJsonPath('code', 'too-large');
        $this->postJson('/api/v1/sign-in', $body(100))->assertStatus(422);
        $this->withUnencryptedCookie(Config::string('session.cookie'), 'of a test');
        $this->postJson('/api/v1/sign-in', $body(2_100_000))->assertStatus(413);
    }

    public function test_what_is_nested_too_deep_is_refused_before_it_is_read(): void
    {
        $nested = fn (int $deep): string => '{"email":'.str_repeat('[', $deep).'"a[\\"[["'.str_repeat(']', $deep).'}';
        $send = fn (string $body): TestResponse => $this->call(
            'POST',
            '/api/v1/sign-in',
            [],
            [Config::string('session.cookie') => 'x'],
            [],
            ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
            $body,
        );
        $send($nested(31))->assertStatus(422)->assertJsonPath('code', 'invalid');
        $send($nested(32))->assertStatus(422)->assertJsonPath('code', 'too-deep');
        $send(str_repeat('[', 5000))->assertStatus(422)->assertJsonPath('code', 'too-deep');
    }

    /** @return array<string, array{string}> */
    public static function yearsNobodyTrainsIn(): array
    {
        return [
            'year 1' => ['0001-03-12T18:00'],
            'year 9999' => ['9999-03-12T18:00'],
            '31 February' => ['2026-02-31T18:00'],
            'the year before' => ['1999-12-31T18:00'],
            'the century after' => ['2100-01-01T18:00'],
        ];
    }

    #[DataProvider('yearsNobodyTrainsIn')]
    public function test_a_session_is_on_a_day_somebody_trains_on(string $startsAt): void
    {
        $plan = $this->plan([], ['startsAt' => $startsAt]);
        $this->actingAs($this->coach)
            ->postJson("/api/v1/squads/{$this->squad->id}/sessions", $plan)
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'startsAt');
        $this->postJson("/api/v1/squads/{$this->squad->id}/preview", $plan)->assertStatus(422);
        $session = $this->keptSession();
        $this->putJson("/api/v1/sessions/{$session}/run", ['startedAt' => "{$startsAt}:00Z"])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'startedAt');
    }

    public function test_the_years_at_both_ends_are_taken(): void
    {
        foreach (['2000-01-01T18:00', '2099-12-31T18:00'] as $startsAt) {
            $this->actingAs($this->coach)
                ->postJson("/api/v1/squads/{$this->squad->id}/sessions", $this->plan([], ['startsAt' => $startsAt]))
                ->assertCreated();
        }
    }

    public function test_a_coach_of_another_squad_neither_reads_nor_plans_with_a_drill_that_is_not_shared(): void
    {
        $this->app->make(ClubContext::class)->actFor($this->squad->club_id);
        $fields = ['name' => 'A drill of ours'] + $this->versionOf('sole-taps')->content;
        $version = $this->app->make(KeepOwnDrill::class)->keep($this->squad, $fields, null, 'sole-taps');
        $squadId = (int) DB::table('squad_staff')->where('user_id', $this->neighbour->id)->value('squad_id');
        $player = DB::table('players')->insertGetId(
            ['club_id' => $this->squad->club_id, 'squad_id' => $squadId, 'name' => 'Anouk', 'strong_foot' => 'R'],
        );
        $plan = $this->plan([['drillVersionId' => $version->id] + $this->drillBlock('sole-taps')], ['comingPlayerIds' => [$player]]);
        $this->actingAs($this->neighbour);
        $this->postJson("/api/v1/squads/{$squadId}/preview", $plan)
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'blocks.0.drillVersionId');
        $this->postJson("/api/v1/squads/{$squadId}/sessions", $plan)->assertStatus(422);

        DB::table('own_drills')->update(['is_shared' => true]);
        $this->postJson("/api/v1/squads/{$squadId}/preview", $plan)->assertOk();
        $session = $this->postJson("/api/v1/squads/{$squadId}/sessions", $plan)->assertCreated();
        // Shared no longer, it stays in the plan that has it.
        DB::table('own_drills')->update(['is_shared' => false]);
        $this->putJson("/api/v1/sessions/{$session->json('id')}", $plan, ['If-Match' => '"1"'])->assertOk();
    }

    public function test_of_two_who_change_one_thing_one_wins_and_the_other_sees_both_versions(): void
    {
        $this->actingAs($this->coach);
        $session = $this->keptSession();
        $settings = $this->getJson("/api/v1/squads/{$this->squad->id}/settings")->json();
        $values = array_column($settings['settings'], 'value', 'key');
        $drill = $this->postJson(
            "/api/v1/squads/{$this->squad->id}/drills",
            ['fields' => ['name' => 'Ours'] + $this->versionOf('sole-taps')->content, 'from' => null],
        )
            ->assertCreated()
            ->json();
        $writes = [
            'plan' => fn (string $match): TestResponse => $this->putJson(
                "/api/v1/sessions/{$session}",
                $this->plan([]),
                ['If-Match' => $match],
            ),
            'squad settings' => fn (string $match): TestResponse => $this->putJson(
                "/api/v1/squads/{$this->squad->id}/settings",
                $values,
                ['If-Match' => $match],
            ),
            'drill' => fn (string $match): TestResponse => $this->putJson(
                "/api/v1/squads/{$this->squad->id}/drills/{$drill['drill']['slug']}",
                ['fields' => ['name' => 'Ours'] + $this->versionOf('sole-taps')->content, 'from' => null],
                ['If-Match' => $match],
            ),
        ];
        foreach ($writes as $what => $write) {
            $write('"1"')->assertOk();
            $stale = $write('"1"');
            self::assertSame([412, 1, 2], [$stale->status(), $stale->json('sentVersion'), $stale->json('currentVersion')], $what);
            self::assertIsArray($stale->json('current'), $what);
            self::assertSame(428, $write('')->status(), $what);
            self::assertSame(412, $write('"x"')->status(), $what);
        }
        $club = ['name' => 'Heron Quay', 'timeZone' => 'Europe/Copenhagen', 'weekStartsOn' => '1'];
        $this->actingAs($this->lead)->putJson('/api/v1/club/settings', $club, ['If-Match' => '"1"'])->assertOk();
        $this->putJson('/api/v1/club/settings', $club, ['If-Match' => '"1"'])->assertStatus(412)->assertJsonPath('currentVersion', 2);
    }

    public function test_what_was_stale_is_no_error_in_the_log(): void
    {
        $logged = 0;
        Log::listen(function () use (&$logged): void {
            $logged++;
        });
        $session = $this->keptSession();
        $this->putJson("/api/v1/sessions/{$session}", $this->plan([]), ['If-Match' => '"7"'])->assertStatus(412);
        $this->getJson('/api/v1/sessions/999999')->assertNotFound();

        self::assertSame(0, $logged);
    }

    public function test_a_session_sent_twice_is_there_once(): void
    {
        $plan = $this->plan([$this->drillBlock('sole-taps')], ['clientUuid' => '0d5b9f0e-6c1c-4a55-9d0a-7a1f6f0f8a11']);
        $first = $this->actingAs($this->coach)->postJson("/api/v1/squads/{$this->squad->id}/sessions", $plan)->assertCreated();
        $again = $this->postJson("/api/v1/squads/{$this->squad->id}/sessions", $plan)->assertCreated();

        self::assertSame($first->json(), $again->json());
        self::assertSame(1, DB::table('training_sessions')->count());
        $this->postJson("/api/v1/squads/{$this->squad->id}/sessions", ['clientUuid' => 'mine'] + $plan)
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'clientUuid');
    }

    public function test_a_session_is_deleted_with_what_was_said_to_hang_on_it(): void
    {
        $session = $this->keptSession();
        $other = $this->keptSession();
        $line = $this->lineKey($session, $this->players[0]->id);
        $this->send(
            [
                $this->mark($other, $line, 1, ['value' => 9]),
                $this->mark($session, $line, 2, ['value' => 15]),
                $this->mark($session, $line, 3, ['playerId' => $this->players[1]->id]),
            ],
        );
        $this->getJson("/api/v1/sessions/{$session}/holdings")->assertExactJson(
            ['marks' => 2, 'players' => 2, 'wasRun' => false, 'hasRecap' => false],
        );
        $delete = fn (int $marks, string $match): TestResponse => $this->deleteJson(
            "/api/v1/sessions/{$session}",
            ['marks' => $marks],
            ['If-Match' => $match],
        );

        $delete(1, '"1"')
            ->assertStatus(422)
            ->assertJsonPath('fields.0.message', 'There are 2 numbers by now. Look again before you delete them.');
        $delete(2, '"2"')->assertStatus(412);
        $delete(2, '"1"')->assertNoContent();

        $this->getJson("/api/v1/sessions/{$session}")->assertNotFound();
        $this->getJson("/api/v1/players/{$this->players[0]->id}")->assertJsonPath('lines.0.record.value', 9);
        $this->getJson("/api/v1/players/{$this->players[1]->id}")->assertJsonPath('lines', []);
        $this->actingAs($this->lead)
            ->getJson('/api/v1/club/trail')
            ->assertJsonPath('entries.0.what', 'deleted a session: numbers from 2 to 0')
            ->assertJsonPath('entries.0.about', 'Turning, 2026-03-12')
            ->assertJsonPath('entries.0.squad', 'Heron Quay U12');
    }

    public function test_the_lead_reads_what_was_done_to_whom_page_by_page(): void
    {
        $this->actingAs($this->lead);
        $this->postJson(
            '/api/v1/club/invitations',
            ['email' => 'new@quay.example', 'role' => 'coach', 'squadId' => $this->squad->id],
        )->assertCreated();
        $this->postJson("/api/v1/club/people/{$this->assistant->id}/reset-link")->assertCreated();
        $this->putJson("/api/v1/club/people/{$this->assistant->id}", ['isLead' => true, 'roles' => []])->assertOk();
        $this->deleteJson("/api/v1/club/people/{$this->neighbour->id}")->assertNoContent();
        $this->deleteJson("/api/v1/players/{$this->players[0]->id}")->assertNoContent();
        $trail = $this->getJson('/api/v1/club/trail')->assertOk()->json();

        self::assertSame([
            ['a player no longer there', 'erased a player'],
            ['coach', 'took off the staff: role from coach of Heron Quay U9 to nothing'],
            ['assistant', 'changed roles: role from assistant of Heron Quay U12 to club lead'],
            ['assistant', 'made a link for a new password'],
            ['new@quay.example', 'offered a place: role from nothing to coach'],
        ], array_map(fn (array $entry): array => [$entry['about'], $entry['what']], array_slice($trail['entries'], 0, 5)));
        self::assertNull($trail['next']);

        for ($i = 0; $i < 60; $i++) {
            $this->postJson("/api/v1/club/people/{$this->coach->id}/reset-link")->assertCreated();
        }
        $first = $this->getJson('/api/v1/club/trail')->json();
        $second = $this->getJson("/api/v1/club/trail?before={$first['next']}")->json();
        self::assertSame([50, 15, null], [count($first['entries']), count($second['entries']), $second['next']]);
    }

    public function test_ids_and_links_that_cannot_be_are_not_found(): void
    {
        $this->actingAs($this->lead);
        foreach ([
            'sessions/1x',
            'sessions/0',
            'sessions/99999999999999999999',
            'players/-1',
            'squads/1e3',
            'moves/a%00b',
            'invitations/'.str_repeat('a', 200),
        ] as $path) {
            $this->getJson("/api/v1/{$path}")->assertNotFound();
        }
        $this->deleteJson('/api/v1/sign-ins/99999999999999999999')->assertNotFound();
    }

    private function signIn(string $email, string $password, string $address = '127.0.0.1'): TestResponse
    {
        return $this->withServerVariables(['REMOTE_ADDR' => $address])->postJson(
            '/api/v1/sign-in',
            ['email' => $email, 'password' => $password],
        );
    }
}
