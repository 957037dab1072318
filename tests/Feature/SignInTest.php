<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Auth\SignInTries;
use App\Http\FirstView;
use App\Http\Problem;
use App\Models\SignIn;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Log;
use PDOException;

final class SignInTest extends FeatureTestCase
{
    public function test_signs_in_and_says_who_and_which_squads(): void
    {
        $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => 'salt-marsh-42'])
            ->assertOk()
            ->assertExactJson([
                'id' => $this->coach->id,
                'name' => 'coach',
                'email' => 'coach@quay.example',
                'clubName' => 'Heron Quay',
                'isLead' => false,
                'today' => '2026-03-10',
                'squads' => [
                    [
                        'id' => $this->squad->id,
                        'name' => 'Heron Quay U12',
                        'ageGroup' => 'U12',
                        'lengthUnit' => 'yd',
                        'footWording' => 'other',
                        'role' => 'coach',
                    ],
                ],
            ]);
        $this->assertAuthenticatedAs($this->coach);
    }

    public function test_a_wrong_password_is_said_at_the_field(): void
    {
        $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => 'nope'])
            ->assertStatus(422)
            ->assertHeader('Content-Type', 'application/problem+json')
            ->assertJsonPath('code', 'invalid')
            ->assertJsonPath('fields.0', ['path' => 'password', 'message' => 'E-mail and password do not go together. Try again.']);
        $this->assertGuest();
    }

    public function test_what_is_missing_is_said_at_its_field(): void
    {
        $this->postJson('/api/v1/sign-in', ['email' => 'not an address', 'password' => ''])
            ->assertStatus(422)
            ->assertJsonPath(
                'fields',
                [
                    ['path' => 'email', 'message' => 'This is not an e-mail address.'],
                    ['path' => 'password', 'message' => 'Enter your password.'],
                ],
            );
    }

    public function test_guessing_is_slowed_down(): void
    {
        for ($try = 0; $try < SignInTries::PER_PAIR; $try++) {
            $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => "guess {$try}"])->assertStatus(422);
        }
        $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => 'salt-marsh-42'])
            ->assertStatus(429)->assertJsonPath('code', 'too-many-tries');
    }

    public function test_a_success_forgives_the_tries_before_it(): void
    {
        foreach (range(1, 3) as $_) {
            for ($try = 1; $try < SignInTries::PER_PAIR; $try++) {
                $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => "guess {$try}"])->assertStatus(422);
            }
            $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => self::PASSWORD])->assertOk();
            $this->app->make('auth')->forgetGuards();
        }
    }

    public function test_an_unknown_address_is_refused_in_the_same_words(): void
    {
        $this->postJson('/api/v1/sign-in', ['email' => 'nobody@quay.example', 'password' => 'nope'])
            ->assertStatus(422)->assertJsonPath(
                'fields.0',
                ['path' => 'password', 'message' => 'E-mail and password do not go together. Try again.'],
            );
    }

    public function test_a_sign_in_that_was_ended_elsewhere_is_over_at_the_next_request(): void
    {
        $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => self::PASSWORD])->assertOk();
        $this->app->make('auth')->forgetGuards();
        $signIns = $this->getJson('/api/v1/sign-ins')->assertOk()->json('signIns');
        self::assertCount(1, $signIns);
        self::assertTrue($signIns[0]['isThis']);

        $this->app->make('auth')->forgetGuards();
        SignIn::query()->whereKey($signIns[0]['id'])->delete();
        $this->getJson('/api/v1/pulse')->assertStatus(401)->assertJsonPath('code', 'signed-out');
    }

    public function test_a_new_password_ends_every_other_sign_in(): void
    {
        $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => self::PASSWORD])->assertOk();
        SignIn::query()->create(
            [
                'club_id' => $this->coach->club_id,
                'user_id' => $this->coach->id,
                'device' => 'A lost phone',
                'signed_in_at_utc' => now(),
                'seen_at_utc' => now(),
            ],
        );

        $this->putJson('/api/v1/me/password', ['currentPassword' => 'not it', 'password' => 'three plain words'])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.message', 'This is not your password of today.');
        $this->putJson('/api/v1/me/password', ['currentPassword' => self::PASSWORD, 'password' => 'short'])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'password');
        $this->putJson('/api/v1/me/password', ['currentPassword' => self::PASSWORD, 'password' => 'three plain words'])->assertOk();

        self::assertSame([true], collect($this->getJson('/api/v1/sign-ins')->json('signIns'))->pluck('isThis')->all());
        $this->app->make('auth')->forgetGuards();
        $this->getJson('/api/v1/pulse')->assertOk();
    }

    public function test_when_a_device_was_last_seen_is_written_every_ten_minutes_at_most(): void
    {
        $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => self::PASSWORD])->assertOk();
        $seen = fn (): string => SignIn::query()->firstOrFail()->seen_at_utc->format('H:i');
        $this->travelTo('2026-03-10 12:09:59');
        $this->getJson('/api/v1/pulse')->assertOk();
        self::assertSame('12:00', $seen());
        $this->travelTo('2026-03-10 12:10:00');
        $this->getJson('/api/v1/pulse')->assertOk();
        self::assertSame('12:10', $seen());
    }

    public function test_neither_password_nor_a_child_s_name_reaches_the_log(): void
    {
        $logged = [];
        Log::listen(function ($message) use (&$logged): void {
            $logged[] = $message->message.json_encode($message->context);
        });
        $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => 'a wrong password']);
        report(
            new QueryException(
                'mariadb',
                'insert into players (name) values (?)',
                ['Amina'],
                new PDOException('Duplicate entry \'Amina\''),
            ),
        );

        self::assertCount(1, $logged);
        self::assertStringContainsString('insert into players', $logged[0]);
        self::assertStringNotContainsString('Amina', $logged[0]);
    }

    public function test_signing_out_ends_it(): void
    {
        $this->actingAs($this->coach)->deleteJson('/api/v1/sign-in')->assertOk();
        $this->assertGuest();
    }

    public function test_the_shell_loads_for_everybody_and_an_unknown_api_path_is_a_problem(): void
    {
        $this->get('/today')->assertOk()->assertSee('<div id="root">', false);
        $this->getJson('/api/v1/nothing-here')->assertNotFound()->assertJsonPath('code', 'not-found');
    }

    public function test_a_page_names_the_scripts_of_its_first_view(): void
    {
        $frame = ['resources/js/app/main.tsx'];
        foreach (['', 'run', 'run/19/else', 'invitation/abc', 'at-home'] as $path) {
            self::assertSame([$frame, 'build'], FirstView::of($path), $path);
        }
        foreach (['today' => 2, 'plan' => 3, 'plan/1' => 2, 'squad' => 2, 'season' => 2, 'player/1' => 2, 'book' => 2] as $path => $count) {
            [$scripts] = FirstView::of($path);
            self::assertCount($count, $scripts, $path);
            foreach (array_slice($scripts, 1) as $script) {
                self::assertFileExists(base_path($script));
                $this->get("/{$path}")->assertOk()->assertSee(basename($script, '.tsx'));
            }
        }
    }

    public function test_one_script_stands_in_a_page_and_the_policy_names_it(): void
    {
        $answer = $this->get('/today')->assertOk();
        self::assertSame(1, preg_match('#<script>(.+?)</script>#s', (string) $answer->getContent(), $found));
        $hash = base64_encode(hash('sha256', $found[1], binary: true));
        self::assertStringContainsString("script-src 'self' 'sha256-{$hash}';", (string) $answer->headers->get('Content-Security-Policy'));
        $api = $this->getJson('/api/v1/pulse');
        self::assertStringContainsString("script-src 'self';", (string) $api->headers->get('Content-Security-Policy'));
    }

    public function test_a_run_is_a_page_of_its_own_build(): void
    {
        $run = 'resources/js/app/run.tsx';
        self::assertSame([[$run], 'build-run'], FirstView::of('run/19'));
        self::assertFileExists(base_path($run));
        $this->get('/run/19')->assertOk()->assertSee('/build-run/assets/run-', false)->assertDontSee('/build/assets', false);
    }

    public function test_a_stopped_database_is_said_plainly(): void
    {
        $answer = Problem::from(
            new QueryException('mariadb', 'select 1', [], new PDOException('SQLSTATE[HY000] [2002] Connection refused')),
            request(),
        );

        self::assertSame(503, $answer->getStatusCode());
        self::assertSame('records-away', $answer->getData(true)['code']);
        self::assertStringNotContainsString('select', (string) $answer->getContent());
    }
}
