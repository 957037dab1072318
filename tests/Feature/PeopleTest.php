<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Mail\LinkMail;
use App\Models\Invitation;
use App\Models\SignIn;
use App\Models\Squad;
use App\Models\User;
use App\Tenancy\ClubContext;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\Mail;
use Illuminate\Testing\TestResponse;

/** Staff come by link and leave by the lead's hand. */
final class PeopleTest extends FeatureTestCase
{
    public function test_an_invitation_of_wrong_types_is_refused_at_its_fields(): void
    {
        $this->actingAs($this->lead)
            ->postJson('/api/v1/club/invitations', ['email' => [[]], 'role' => [1e308], 'squadId' => ['a' => 1]])
            ->assertStatus(422)
            ->assertJsonPath('fields.*.path', ['email', 'role', 'squadId']);
    }

    public function test_an_invitation_becomes_a_place_on_the_staff(): void
    {
        $made = $this->invite(['email' => 'Ines@Quay.example', 'role' => 'assistant', 'squadId' => $this->squad->id])
            ->assertCreated()
            ->assertJsonPath('mailed', false)
            ->json();
        $token = basename((string) $made['path']);
        self::assertStringNotContainsString($token, Invitation::query()->withoutGlobalScope('club')->get()->toJson());
        $this->leave();

        $this->getJson("/api/v1/invitations/{$token}")
            ->assertOk()
            ->assertExactJson(
                [
                    'clubName' => 'Heron Quay',
                    'squadName' => 'Heron Quay U12',
                    'role' => 'assistant',
                    'email' => 'ines@quay.example',
                    'hasAccount' => false,
                ],
            );
        $this->postJson("/api/v1/invitations/{$token}", ['name' => '', 'password' => 'short'])
            ->assertStatus(422)
            ->assertJsonPath('fields.*.path', ['name', 'password']);
        $this->postJson("/api/v1/invitations/{$token}", ['name' => 'Ines', 'password' => 'three plain words'])
            ->assertCreated()
            ->assertJsonPath('name', 'Ines')
            ->assertJsonPath('squads.0.role', 'assistant');
        $this->leave();
        $this->postJson("/api/v1/invitations/{$token}", ['name' => 'Again', 'password' => 'three plain words'])->assertNotFound();
    }

    public function test_an_invitation_ends_after_seven_days_or_when_it_is_taken_back(): void
    {
        $link = basename((string) $this->invite(['email' => 'late@quay.example', 'role' => 'lead', 'squadId' => null])->json('path'));
        $this->travelTo(now()->addDays(7)->addSecond());
        $this->getJson("/api/v1/invitations/{$link}")->assertNotFound();

        $again = $this->invite(['email' => 'late@quay.example', 'role' => 'lead', 'squadId' => null])->json();
        $this->deleteJson("/api/v1/club/invitations/{$again['id']}")->assertNoContent();
        $this->getJson('/api/v1/invitations/'.basename((string) $again['path']))->assertNotFound();
    }

    public function test_a_newer_invitation_replaces_the_older(): void
    {
        $fields = ['email' => 'twice@quay.example', 'role' => 'coach', 'squadId' => $this->squad->id];
        $first = basename((string) $this->invite($fields)->json('path'));
        $this->invite($fields);

        $this->getJson("/api/v1/invitations/{$first}")->assertNotFound();
        $this->actingAs($this->lead)->getJson('/api/v1/club/people')->assertJsonCount(1, 'invitations');
    }

    public function test_somebody_of_the_club_takes_a_second_squad_with_their_own_password(): void
    {
        $token = basename(
            (string) $this->invite(['email' => 'u9@quay.example', 'role' => 'assistant', 'squadId' => $this->squad->id])->json('path'),
        );
        $this->leave();
        $this->postJson("/api/v1/invitations/{$token}", ['name' => 'x', 'password' => 'not their password'])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'password');
        $this->postJson("/api/v1/invitations/{$token}", ['name' => 'x', 'password' => self::PASSWORD])
            ->assertCreated()
            ->assertJsonCount(2, 'squads')
            ->assertJsonPath('name', 'coach');
    }

    public function test_neither_another_club_s_squad_nor_its_people_can_be_invited(): void
    {
        $this->invite(['email' => 'new@quay.example', 'role' => 'coach', 'squadId' => $this->otherSquad->id])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'squadId');
        $this->invite(['email' => 'coach@weir.example', 'role' => 'coach', 'squadId' => $this->squad->id])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.message', 'This address cannot be invited. Use another.');
    }

    public function test_roles_are_changed_and_the_club_keeps_a_lead(): void
    {
        $this->actingAs($this->lead)->putJson(
            "/api/v1/club/people/{$this->assistant->id}",
            ['isLead' => false, 'roles' => [['squadId' => $this->squad->id, 'role' => 'coach']]],
        )
            ->assertOk()->assertJsonPath('roles', [['squadId' => $this->squad->id, 'role' => 'coach']]);
        $this->putJson("/api/v1/club/people/{$this->lead->id}", ['isLead' => false, 'roles' => []])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.message', 'The club needs a lead. Make somebody else lead first.');
        $this->deleteJson("/api/v1/club/people/{$this->lead->id}")->assertStatus(422);
        $this->putJson(
            "/api/v1/club/people/{$this->assistant->id}",
            ['isLead' => false, 'roles' => [['squadId' => $this->otherSquad->id, 'role' => 'coach']]],
        )
            ->assertStatus(422)
            ->assertJsonPath('fields.0.path', 'roles');
    }

    public function test_somebody_taken_off_the_staff_is_out_and_their_numbers_stay(): void
    {
        $sessionId = $this->keptSession();
        $line = $this->lineKey($sessionId, $this->players[0]->id);
        $this->send([$this->mark($sessionId, $line, 1)], $this->assistant);
        $this->leave();
        $this->postJson('/api/v1/sign-in', ['email' => 'assistant@quay.example', 'password' => self::PASSWORD])->assertOk();
        $this->leave();
        $this->actingAs($this->lead)->deleteJson("/api/v1/club/people/{$this->assistant->id}")->assertNoContent();

        self::assertSame(0, SignIn::query()->where('user_id', $this->assistant->id)->count());
        $this->getJson("/api/v1/players/{$this->players[0]->id}/lines/{$line}")
            ->assertOk()
            ->assertJsonPath('tries.0.marks.0.by', 'somebody no longer on the staff')
            ->assertJsonPath('standing.record.value', 11);
    }

    public function test_a_reset_link_works_once_and_signs_everybody_out(): void
    {
        SignIn::query()->create(
            [
                'club_id' => $this->coach->club_id,
                'user_id' => $this->coach->id,
                'device' => 'A test',
                'signed_in_at_utc' => now(),
                'seen_at_utc' => now(),
            ],
        );
        $path = $this->resetPath($this->coach);
        $this->leave();

        $this->getJson($path)->assertOk()->assertExactJson(['name' => 'coach', 'email' => 'coach@quay.example']);
        $this->postJson($path, ['password' => 'short'])->assertStatus(422);
        $this->postJson($path, ['password' => 'three plain words'])->assertOk();
        self::assertSame(0, SignIn::query()->where('user_id', $this->coach->id)->count());
        $this->postJson($path, ['password' => 'four plain words'])->assertForbidden()->assertJsonPath('code', 'link-spent');
        $this->postJson('/api/v1/sign-in', ['email' => 'coach@quay.example', 'password' => 'three plain words'])->assertOk();
    }

    public function test_a_reset_link_cannot_be_bent_and_ends_after_a_day(): void
    {
        $path = $this->resetPath($this->assistant);
        $this->leave();
        $this->getJson(str_replace("/{$this->assistant->id}?", "/{$this->lead->id}?", $path))
            ->assertForbidden()
            ->assertJsonPath('code', 'link-spent');
        $this->getJson((string) preg_replace('/expires=\d+/', 'expires=4102444800', $path))->assertForbidden();
        $this->travelTo(now()->addHours(24)->addSecond());
        $this->getJson($path)->assertForbidden()->assertJsonPath('code', 'link-spent');
    }

    public function test_with_mail_set_up_links_are_sent_and_without_it_nothing_is(): void
    {
        Mail::fake();
        $this->postJson('/api/v1/password-resets', ['email' => 'coach@quay.example'])->assertOk()->assertExactJson(['byMail' => false]);
        Mail::assertNothingSent();

        Config::set(['mail.default' => 'array', 'app.url' => 'https://sparrow.example']);
        $this->postJson('/api/v1/password-resets', ['email' => 'nobody@quay.example'])->assertOk()->assertExactJson(['byMail' => true]);
        Mail::assertNothingSent();
        // What the request calls this host is the sender's own say, and is not believed.
        $this->withHeader('Host', 'evil.example')
            ->postJson('/api/v1/password-resets', ['email' => 'coach@quay.example'])
            ->assertOk()
            ->assertExactJson(['byMail' => true]);
        Mail::assertSent(
            LinkMail::class,
            fn (LinkMail $mail): bool => $mail->hasTo('coach@quay.example') && str_starts_with(
                $mail->link,
                "https://sparrow.example/reset/{$this->coach->id}?expires=",
            ),
        );
        $this->invite(['email' => 'new@quay.example', 'role' => 'lead', 'squadId' => null])->assertJsonPath('mailed', true);
        Mail::assertSentCount(2);
    }

    public function test_a_new_club_begins_with_a_link_for_its_lead(): void
    {
        self::assertSame(1, Artisan::call('sparrow:club', ['name' => 'Ferry Steps', 'email' => 'nobody']));
        self::assertSame(1, Artisan::call('sparrow:club', ['name' => 'Ferry Steps', 'email' => 'coach@quay.example']));
        self::assertSame(1, Artisan::call('sparrow:club', ['name' => 'Ferry Steps', 'email' => 'a@ferry.example', '--zone' => 'Atlantis']));
        self::assertSame(
            0,
            Artisan::call('sparrow:club', ['name' => 'Ferry Steps', 'email' => 'A@ferry.example', '--zone' => 'Asia/Tokyo']),
        );
        preg_match('~/invitation/(\w+)~', Artisan::output(), $link);

        $this->postJson("/api/v1/invitations/{$link[1]}", ['name' => 'Aiko', 'password' => 'three plain words'])->assertCreated()
            ->assertJsonPath('clubName', 'Ferry Steps')->assertJsonPath('isLead', true)->assertJsonPath('squads', []);
        $this->postJson('/api/v1/club/squads', ['name' => 'Steps U10', 'ageGroup' => 'U10'])->assertCreated();
        $this->getJson('/api/v1/me')->assertJsonPath('squads.0.role', 'lead');
    }

    public function test_the_lead_adds_a_squad(): void
    {
        $this->actingAs($this->lead)
            ->postJson('/api/v1/club/squads', ['name' => 'Heron Quay U12', 'ageGroup' => 'U40'])
            ->assertStatus(422)
            ->assertJsonPath('fields.*.path', ['name', 'ageGroup']);
        $id = $this->postJson('/api/v1/club/squads', ['name' => 'Lock-keepers', 'ageGroup' => 'U14'])->assertCreated()->json('id');
        $this->app->make(ClubContext::class)->actFor($this->squad->club_id);
        self::assertSame('U14', Squad::query()->findOrFail($id)->age_group);
        $this->getJson("/api/v1/squads/{$id}/today")->assertOk();
    }

    /** @param  array<string, mixed>  $fields */
    private function invite(array $fields): TestResponse
    {
        return $this->actingAs($this->lead->fresh() ?? $this->lead)->postJson('/api/v1/club/invitations', $fields);
    }

    /** The path of the API behind the link that the lead is shown. */
    private function resetPath(User $person): string
    {
        $link = (string) $this->actingAs($this->lead)
            ->postJson("/api/v1/club/people/{$person->id}/reset-link")
            ->assertCreated()
            ->json('path');

        return str_replace('/reset/', '/api/v1/password-resets/', $link);
    }

    private function leave(): void
    {
        $this->app->make('auth')->forgetGuards();
        $this->app->make(ClubContext::class)->leave();
        $this->flushSession();
    }
}
