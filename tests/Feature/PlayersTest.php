<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;

final class PlayersTest extends FeatureTestCase
{
    public function test_a_player_is_added_with_no_more_than_is_needed(): void
    {
        $answer = $this->actingAs($this->coach)
            ->postJson(
                "/api/v1/squads/{$this->squad->id}/players",
                ['name' => ' Noor ', 'bib' => 6, 'strongFoot' => 'both', 'birthYear' => 2014],
            )
            ->assertCreated();

        $answer->assertExactJson(['id' => $answer->json('id'), 'name' => 'Noor', 'bib' => 6, 'strongFoot' => 'both', 'birthYear' => 2014]);
        $this->assertDatabaseHas('players', ['name' => 'Noor', 'squad_id' => $this->squad->id, 'club_id' => $this->coach->club_id]);
    }

    public function test_a_change_keeps_the_own_name(): void
    {
        $this->actingAs($this->coach)->putJson(
            "/api/v1/players/{$this->players[0]->id}",
            ['name' => 'Amina', 'bib' => null, 'strongFoot' => 'L', 'birthYear' => null],
        )
            ->assertOk()->assertJsonPath('strongFoot', 'L');
    }

    public function test_a_guest_is_a_bib_until_a_name_is_known_and_all_numbers_follow_it(): void
    {
        $path = "/api/v1/squads/{$this->squad->id}/guests";
        $guests = $this->actingAs($this->assistant)->postJson($path, ['bibs' => [12, 3]])->assertOk()
            ->assertJsonPath('players.0.name', 'Bib 12')->assertJsonPath('players.1.strongFoot', 'both')->json('players');
        // Said twice, and with one more: nobody is there twice.
        $this->postJson($path, ['bibs' => [3, 12, 4]])->assertOk()->assertJsonPath('players.0.id', $guests[1]['id'])
            ->assertJsonPath('players.1.id', $guests[0]['id']);
        self::assertSame(count($this->players) + 3, $this->squad->players()->count());

        $sessionId = $this->keptSession();
        $line = $this->lineKey($sessionId, $this->players[0]->id);
        $this->send([$this->mark($sessionId, $line, 1, ['playerId' => $guests[0]['id']])])->assertOk();
        $this->actingAs($this->coach)->putJson(
            "/api/v1/players/{$guests[0]['id']}",
            ['name' => 'Zofia', 'bib' => 12, 'strongFoot' => 'L', 'birthYear' => null],
        )->assertOk();
        $this->getJson("/api/v1/players/{$guests[0]['id']}")->assertJsonPath('name', 'Zofia')->assertJsonPath('lines.0.record.value', 11);

        foreach ([[], range(1, 21), [0], [100], [5, 5], ['a']] as $bibs) {
            $this->postJson($path, ['bibs' => $bibs])->assertStatus(422);
        }
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function badInput(): array
    {
        return [
            'no name' => [['name' => '  '], 'name'],
            'a name as long as a page' => [['name' => str_repeat('a', 61)], 'name'],
            'a name that is taken' => [['name' => 'Bo'], 'name'],
            'bib nought' => [['bib' => 0], 'bib'],
            'bib 100' => [['bib' => 100], 'bib'],
            'three feet' => [['strongFoot' => 'all'], 'strongFoot'],
            'born next century' => [['birthYear' => 2114], 'birthYear'],
            'a full date' => [['birthYear' => '2014-05-05'], 'birthYear'],
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('badInput')]
    public function test_bad_input_is_said_at_the_field(array $change, string $path): void
    {
        $this->actingAs($this->coach)->postJson(
            "/api/v1/squads/{$this->squad->id}/players",
            $change + ['name' => 'Noor', 'bib' => 6, 'strongFoot' => 'R', 'birthYear' => 2014],
        )
            ->assertStatus(422)->assertJsonPath('fields.0.path', $path);
        $this->assertDatabaseMissing('players', ['name' => 'Noor']);
    }

    public function test_the_board_shows_each_player_on_each_line(): void
    {
        $sessionId = $this->keptSession();
        $line = $this->lineKey($sessionId, $this->players[0]->id);
        $this->send([$this->mark($sessionId, $line, 1, ['value' => 9])]);

        $this->getJson("/api/v1/squads/{$this->squad->id}")->assertOk()
            ->assertJsonPath('players.*.name', ['Amina', 'Bo', 'Elif', 'Kofi'])
            ->assertJsonPath('lines.0.window', 'in 30 s')
            ->assertJsonPath("cells.{$this->players[0]->id}.{$line}.record.value", 9);
    }
}
