<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;

final class FeedTest extends FeatureTestCase
{
    private int $sessionId;

    private string $token;

    protected function setUp(): void
    {
        parent::setUp();
        $this->sessionId = $this->keptSession();
        $this->token = (string) $this->postJson("/api/v1/sessions/{$this->sessionId}/feed")->assertOk()->json('token');
    }

    public function test_lines_that_come_late_doubled_or_out_of_order_count_once(): void
    {
        $player = $this->players[0]->id;
        Artisan::call('sparrow:touch-feed', [
            'player' => $player, 'script' => 'a.sole b.sole', '--seconds' => 20, '--cadence' => 2, '--from' => '2026-03-12T18:00:00Z',
            '--jitter' => 0, '--unknown' => 0.2, '--doubled' => 0.3, '--late' => 0.2, '--missed' => 0.1,
        ]);
        $lines = array_values(array_filter(explode("\n", Artisan::output()), fn (string $line): bool => $line !== ''));
        $once = array_unique($lines);
        self::assertGreaterThan(count($once), count($lines));
        // In three batches, the last one first, and the first one twice.
        [$first, $second, $third] = array_chunk($lines, (int) ceil(count($lines) / 3));
        foreach ([$third, $first, $second, $first] as $batch) {
            $this->feed(implode("\n", $batch))->assertOk()->assertJsonPath('refused', []);
        }

        self::assertSame(count($once), DB::table('touch_feed_lines')->count());
        $counts = $this->counts('2026-03-12T18:00:00Z')->json('players.0');
        self::assertSame([$player, count($once)], [$counts['playerId'], $counts['left'] + $counts['right'] + $counts['unknown']]);
        $of = fn (string $side): int => count(array_filter($once, fn (string $line): bool => str_contains($line, "\"side\":{$side}")));
        self::assertSame([$of('"L"'), $of('"R"'), $of('null')], [$counts['left'], $counts['right'], $counts['unknown']]);
        // Ten seconds of them, as a set would ask.
        $half = $this->counts('2026-03-12T18:00:10Z', '2026-03-12T18:00:20Z')->json('players.0');
        $later = count(array_filter($once, fn (string $line): bool => preg_match('/18:00:1/', $line) === 1));
        self::assertSame($later, $half['left'] + $half['right'] + $half['unknown']);
    }

    public function test_a_bad_line_holds_back_no_other_and_says_why(): void
    {
        $line = fn (int $number, array $change = []): string => (string) json_encode($change + [
            'id' => sprintf('00000000-0000-4000-8000-%012d', $number), 'playerId' => $this->players[0]->id, 'at' => '2026-03-12T18:00:00Z',
        ]);
        $stranger = (int) DB::table('players')->whereNotIn('id', array_map(fn ($one): int => $one->id, $this->players))->max('id');
        $answer = $this->feed(implode("\n", [
            $line(1), 'no json', $line(2, ['playerId' => $stranger ?: 99999]), '', $line(3, ['at' => 'now']), $line(4, ['side' => 'X']),
            $line(5), $line(5),
        ]))->assertOk();
        self::assertSame([2, 1], [$answer->json('accepted'), $answer->json('duplicates')]);
        self::assertSame([2, 3, 5, 6], array_column($answer->json('refused'), 'line'));
        self::assertStringContainsString('not one of the squad', $answer->json('refused.1.message'));
    }

    public function test_the_token_can_do_nothing_else_and_ends(): void
    {
        app('auth')->forgetGuards();
        $this->flushSession();
        $as = ['Authorization' => "Bearer {$this->token}", 'Accept' => 'application/json'];
        foreach (["sessions/{$this->sessionId}", "sessions/{$this->sessionId}/feed", "squads/{$this->squad->id}", 'me'] as $path) {
            $this->get("/api/v1/{$path}", $as)->assertUnauthorized();
        }
        $this->feed('', 'another')->assertUnauthorized()->assertJsonPath('code', 'unknown-token');
        $this->travel(13)->hours();
        $this->feed('')->assertUnauthorized();
    }

    public function test_a_feed_of_one_session_counts_nowhere_else(): void
    {
        $id = '00000000-0000-4000-8000-000000000001';
        $line = json_encode(['id' => $id, 'playerId' => $this->players[0]->id, 'at' => '2026-03-12T18:00:00Z']);
        $this->feed((string) $line)->assertJsonPath('accepted', 1);
        $other = $this->keptSession('sole-taps');
        $this->getJson("/api/v1/sessions/{$other}/feed?from=2026-03-12T17:00:00Z")->assertOk()->assertJsonPath('players', []);
        $this->getJson("/api/v1/sessions/{$other}/feed?from=soon")->assertStatus(422)->assertJsonPath('fields.0.path', 'from');
        // As many lines as no device sends at once.
        $this->feed(str_repeat("\n", 600))->assertStatus(413);
    }

    private function feed(string $body, ?string $token = null): TestResponse
    {
        return $this->call('POST', '/api/v1/feed', server: [
            'HTTP_AUTHORIZATION' => 'Bearer '.($token ?? $this->token),
            'HTTP_ACCEPT' => 'application/json',
            'CONTENT_TYPE' => 'application/x-ndjson',
        ], content: $body);
    }

    private function counts(string $from, ?string $to = null): TestResponse
    {
        return $this->actingAs($this->coach)
            ->getJson("/api/v1/sessions/{$this->sessionId}/feed?from={$from}".($to === null ? '' : "&to={$to}"))->assertOk();
    }
}
