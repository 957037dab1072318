<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Club;
use App\Models\DrillVersion;
use App\Models\Player;
use App\Models\Squad;
use App\Models\User;
use App\Tenancy\ClubContext;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Support\Facades\Config;
use Illuminate\Testing\TestResponse;
use Tests\TestCase;

/** A club with a coach, an assistant and a squad of four; another club beside it. */
abstract class FeatureTestCase extends TestCase
{
    use RefreshDatabase;

    protected const PASSWORD = 'salt-marsh-42';

    /** The book is in the tables before the first test, like the tables themselves. */
    protected string $seeder = WithTheBook::class;

    protected User $coach;

    protected User $assistant;

    protected User $lead;

    /** Coach of the club's other squad. */
    protected User $neighbour;

    /** Coach of another club. */
    protected User $stranger;

    protected Squad $squad;

    protected Squad $otherSquad;

    /** @var list<Player> */
    protected array $players;

    protected Player $otherPlayer;

    protected function setUp(): void
    {
        parent::setUp();
        $this->travelTo('2026-03-10 12:00:00');
        // What is drawn for a squad is drawn by its id: the same in every run, whatever ran before.
        [$this->squad, $this->coach] = $this->club('Heron Quay', 'coach@quay.example', ['id' => 1_000_001]);
        $this->assistant = $this->staff($this->squad, 'assistant@quay.example', 'assistant');
        $this->lead = User::query()
            ->create(
                [
                    'club_id' => $this->squad->club_id,
                    'name' => 'lead',
                    'email' => 'lead@quay.example',
                    'password' => self::PASSWORD,
                    'is_lead' => true,
                ],
            )
            ->refresh();
        $this->neighbour = $this->staff(
            Squad::query()->create(['name' => 'Heron Quay U9', 'age_group' => 'U9']),
            'u9@quay.example',
            'coach',
        );
        $this->players = array_map(
            fn (string $name): Player => Player::query()->create(
                ['squad_id' => $this->squad->id, 'name' => $name, 'strong_foot' => $name === 'Elif' ? 'L' : 'R'],
            ),
            ['Amina', 'Bo', 'Elif', 'Kofi'],
        );
        [$this->otherSquad, $this->stranger] = $this->club('Mill Weir', 'coach@weir.example');
        $this->otherPlayer = Player::query()->create(['squad_id' => $this->otherSquad->id, 'name' => 'Zofia', 'strong_foot' => 'R']);
        $this->app->make(ClubContext::class)->leave();
        // As a browser that has been here: who comes without may only send what is needed at the door.
        $this->withCredentials()->withUnencryptedCookie(Config::string('session.cookie'), 'of a test');
    }

    /**
     * @param  array{id?: int}  $own
     * @return array{Squad, User}
     */
    private function club(string $name, string $email, array $own = []): array
    {
        $club = Club::query()->create(['name' => $name, 'time_zone' => 'Europe/Copenhagen']);
        $this->app->make(ClubContext::class)->actFor($club->id);
        $squad = Squad::query()->forceCreate(
            $own + ['name' => "{$name} U12", 'age_group' => 'U12', 'length_unit' => 'yd', 'target_school' => 'own-record'],
        );

        return [$squad, $this->staff($squad, $email, 'coach')];
    }

    private function staff(Squad $squad, string $email, string $role): User
    {
        $user = User::query()->create(
            ['club_id' => $squad->getAttribute('club_id'), 'name' => $role, 'email' => $email, 'password' => self::PASSWORD],
        );
        $squad->staff()->attach($user->id, ['role' => $role, 'club_id' => $user->club_id]);

        return $user->refresh();
    }

    protected function versionOf(string $slug): DrillVersion
    {
        return DrillVersion::ofTheBook()->where('slug', $slug)->where('is_current', true)->firstOrFail();
    }

    /**
     * @param  array<string, mixed>  $change
     * @return array<string, mixed>
     */
    protected function drillBlock(string $slug, array $change = []): array
    {
        $version = $this->versionOf($slug);

        return $change + [
            'id' => $slug,
            'kind' => 'drill',
            'title' => $version->name,
            'minutes' => null,
            'drillVersionId' => $version->id,
            'dose' => $version->content['dose'] ?? null,
            'tempo' => 'steady',
            'stations' => null,
        ];
    }

    /**
     * @param  list<array<string, mixed>>  $blocks
     * @param  array<string, mixed>  $change
     * @return array<string, mixed>
     */
    protected function plan(array $blocks, array $change = []): array
    {
        return $change + [
            'title' => 'Turning',
            'place' => 'By the boat shed',
            'startsAt' => '2026-03-12T18:00',
            'slotMinutes' => 60,
            'blocks' => $blocks,
            'comingPlayerIds' => array_map(fn (Player $player): int => $player->id, $this->players),
        ];
    }

    /** A session of the squad with one counted drill, kept by its coach. */
    protected function keptSession(string $slug = 'drag-back-turn'): int
    {
        return (int) $this->actingAs($this->coach)
            ->postJson("/api/v1/squads/{$this->squad->id}/sessions", $this->plan([$this->drillBlock($slug)]))
            ->assertCreated()
            ->json('id');
    }

    /** The line a player is asked for first on a side of a session. */
    protected function lineKey(int $sessionId, int $playerId, string $side = 'R'): string
    {
        $segments = $this->actingAs($this->coach)->getJson("/api/v1/sessions/{$sessionId}/run")->assertOk()->json('segments');
        foreach ($segments as $segment) {
            $ask = collect($segment['asks'])->firstWhere('playerId', $playerId);
            if ($segment['kind'] === 'work' && $segment['side'] === $side && $ask !== null) {
                return $ask['lineKey'];
            }
        }
        self::fail("No set asks for a number on side {$side}.");
    }

    /**
     * @param  array<string, mixed>  $change
     * @return array<string, mixed>
     */
    protected function mark(int $sessionId, string $lineKey, int $number, array $change = []): array
    {
        return $change + [
            'uuid' => sprintf('00000000-0000-4000-8000-%012d', $number),
            'playerId' => $this->players[0]->id,
            'sessionId' => $sessionId,
            'lineKey' => $lineKey,
            'tryNumber' => 1,
            'value' => 11,
            'isVoid' => false,
            'recordedAt' => '2026-03-10T11:00:00.000Z',
            'supersedesUuids' => [],
        ];
    }

    /** @param  list<mixed>  $marks  some of them none at all */
    protected function send(array $marks, ?User $by = null): TestResponse
    {
        return $this->actingAs($by ?? $this->coach)->postJson('/api/v1/marks', ['marks' => $marks]);
    }

    /**
     * A session kept, marked and closed.
     *
     * @param  list<int>  $coming  places in the list of players
     * @param  list<int>  $values  of those who came
     */
    protected function trainOn(string $day, array $coming, array $values): int
    {
        $ids = array_map(fn (int $place): int => $this->players[$place]->id, $coming);
        $session = (int) $this->actingAs($this->coach)
            ->postJson(
                "/api/v1/squads/{$this->squad->id}/sessions",
                $this->plan(
                    [$this->drillBlock('drag-back-turn'), $this->drillBlock('far-foot-open')],
                    ['startsAt' => "{$day}T18:00", 'comingPlayerIds' => $ids],
                ),
            )
            ->assertCreated()
            ->json('id');
        $line = $this->lineKey($session, $ids[0]);
        $this->send(
            array_map(
                fn (int $i): array => $this->mark($session, $line, 100 * $session + $i, ['playerId' => $ids[$i], 'value' => $values[$i]]),
                array_keys($ids),
            ),
        )->assertOk();
        $this->putJson(
            "/api/v1/sessions/{$session}/run",
            ['startedAt' => "{$day}T17:00:00Z", 'finishedAt' => "{$day}T18:00:00Z"],
        )->assertOk();
        $this->app->make(ClubContext::class)->actFor($this->squad->club_id);

        return $session;
    }
}
