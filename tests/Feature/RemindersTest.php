<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\User;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

final class RemindersTest extends FeatureTestCase
{
    private int $sessionId;

    protected function setUp(): void
    {
        parent::setUp();
        $this->sessionId = $this->keptSession();
    }

    /**
     * @param  array<string, mixed>  $change
     * @return array<string, mixed>
     */
    private function event(int $number, string $kind, string $words, array $change = []): array
    {
        return $change + [
            'uuid' => sprintf('00000000-0000-4000-8000-%012d', $number), 'playerId' => $this->players[0]->id, 'kind' => $kind,
            'words' => $words, 'notedAt' => sprintf('2026-03-10T18:%02d:00.000Z', $number),
        ];
    }

    /** @param  list<mixed>  $events */
    private function note(array $events, ?User $by = null): TestResponse
    {
        return $this->actingAs($by ?? $this->coach)->postJson("/api/v1/sessions/{$this->sessionId}/reminders", ['events' => $events]);
    }

    public function test_what_was_said_is_in_the_next_run_until_it_is_mended_however_late_and_often_it_is_sent(): void
    {
        $said = $this->event(1, 'said', 'Far foot');
        // The last one comes first, and the first twice.
        $this->note([$this->event(3, 'again', 'far foot')])->assertOk()->assertJsonPath('results.0.status', 'accepted');
        $this->note([$said, $said])->assertOk()->assertJsonPath('results.1.status', 'duplicate');
        $next = $this->keptSession();
        $this->getJson("/api/v1/sessions/{$next}/run")->assertOk()->assertJsonPath('reminders', [[
            'playerId' => $this->players[0]->id, 'words' => 'far foot', 'times' => 2, 'since' => '2026-03-10', 'lastOn' => '2026-03-10',
            'fixedOn' => null,
        ]]);
        $this->getJson("/api/v1/squads/{$this->squad->id}/today")->assertOk()->assertJsonPath('reminders.0.times', 2);

        $this->note([$this->event(4, 'fixed', 'Far foot')])->assertOk();
        $this->getJson("/api/v1/sessions/{$next}/run")->assertJsonPath('reminders', []);
        $this->getJson("/api/v1/players/{$this->players[0]->id}")->assertJsonPath('reminders.0.fixedOn', '2026-03-10');
    }

    public function test_who_is_watched_only_the_one_who_watches_sees(): void
    {
        $this->note([$this->event(1, 'watch', '')])->assertOk()->assertJsonPath('results.0.status', 'accepted');
        $id = $this->players[0]->id;
        $this->getJson("/api/v1/sessions/{$this->sessionId}/run")->assertJsonPath('watchedIds', [$id]);
        $this->actingAs($this->assistant)->getJson("/api/v1/sessions/{$this->sessionId}/run")->assertJsonPath('watchedIds', []);
        $this->getJson("/api/v1/players/{$id}")->assertJsonPath('isWatched', false);
        $this->getJson("/api/v1/squads/{$this->squad->id}/today")->assertJsonPath('watchedIds', []);
        // Another's "seen" ends only their own.
        $this->note([$this->event(2, 'seen', '')], $this->assistant);
        $this->actingAs($this->coach)->getJson("/api/v1/players/{$id}")->assertJsonPath('isWatched', true);
    }

    public function test_a_bad_one_refuses_no_other_and_says_why(): void
    {
        $answer = $this->note([
            $this->event(1, 'said', 'Bend'), 'nothing', $this->event(2, 'said', ''), $this->event(3, 'watch', 'lazy'),
            $this->event(4, 'said', str_repeat('é', 61)), $this->event(5, 'said', str_repeat('é', 60)), $this->event(6, 'shouted', 'Bend'),
            $this->event(7, 'said', 'Bend', ['playerId' => $this->otherPlayer->id]), $this->event(8, 'said', 'Bend', ['notedAt' => 'now']),
            ['words' => ['x']] + $this->event(9, 'said', ''),
        ])->assertOk();
        self::assertSame(
            ['accepted', 'uuid', 'words', 'words', 'words', 'accepted', 'kind', 'player', 'when', 'words'],
            array_map(fn (array $one): string => $one['code'] ?? $one['status'], $answer->json('results')),
        );
        self::assertSame('A reminder has at most 60 letters.', $answer->json('results.4.message'));
        self::assertSame(2, DB::table('reminder_events')->count());
        $this->note([])->assertStatus(422);
        $this->note(array_fill(0, 1001, 'x'))->assertStatus(422);
    }

    public function test_a_player_who_is_erased_leaves_none_behind(): void
    {
        $this->note([$this->event(1, 'said', 'Bend')])->assertOk();
        $this->deleteJson("/api/v1/players/{$this->players[0]->id}", ['name' => $this->players[0]->name])->assertSuccessful();
        self::assertSame(0, DB::table('reminder_events')->count());
    }
}
