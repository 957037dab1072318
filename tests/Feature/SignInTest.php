<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\Problem;
use Illuminate\Database\QueryException;
use PDOException;

final class SignInTest extends FeatureTestCase
{
    public function test_signs_in_and_says_who_and_which_squads(): void
    {
        $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => 'salt-marsh-42'])
            ->assertOk()
            ->assertExactJson([
                'name' => 'coach',
                'clubName' => 'Heron Quay',
                'today' => '2026-03-10',
                'squads' => [['id' => $this->squad->id, 'name' => 'Heron Quay U12', 'ageGroup' => 'U12', 'lengthUnit' => 'yd', 'role' => 'coach']],
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
            ->assertJsonPath('fields', [['path' => 'email', 'message' => 'This is not an e-mail address.'], ['path' => 'password', 'message' => 'Enter your password.']]);
    }

    public function test_guessing_is_slowed_down(): void
    {
        for ($try = 0; $try < 10; $try++) {
            $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => "guess {$try}"])->assertStatus(422);
        }
        $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => 'salt-marsh-42'])
            ->assertStatus(429)->assertJsonPath('code', 'too-many-tries');
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

    public function test_a_stopped_database_is_said_plainly(): void
    {
        $answer = Problem::from(new QueryException('mariadb', 'select 1', [], new PDOException('Connection refused')));

        self::assertSame(503, $answer->getStatusCode());
        self::assertSame('records-away', $answer->getData(true)['code']);
        self::assertStringNotContainsString('select', (string) $answer->getContent());
    }
}
