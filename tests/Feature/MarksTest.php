<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Mark;
use App\Tenancy\ClubContext;
use PHPUnit\Framework\Attributes\DataProvider;

final class MarksTest extends FeatureTestCase
{
    private int $sessionId;

    private string $line;

    protected function setUp(): void
    {
        parent::setUp();
        $this->sessionId = $this->keptSession();
        $this->line = $this->lineKey($this->sessionId, $this->players[0]->id);
    }

    public function test_a_number_entered_becomes_the_record_and_the_next_target(): void
    {
        $this->send(
            [
                $this->mark($this->sessionId, $this->line, 1, ['value' => 11]),
                $this->mark($this->sessionId, $this->line, 2, ['value' => 13, 'tryNumber' => 2]),
            ],
        )
            ->assertOk()->assertJsonPath('results.*.status', ['accepted', 'accepted']);

        $this->getJson("/api/v1/players/{$this->players[0]->id}")->assertOk()
            ->assertJsonPath('lines.0.record', ['on' => '2026-03-12', 'value' => 13])
            ->assertJsonPath('lines.0.days.0.median', 12)
            ->assertJsonPath('lines.0.target', [
                'value' => 14,
                'because' => 'own record 13, and one',
                'chance' => null,
                'harder' => null,
            ]);
        $this->getJson("/api/v1/sessions/{$this->sessionId}/run")->assertOk()
            ->assertJsonPath("standings.{$this->players[0]->id}.{$this->line}.target.value", 14);
    }

    public function test_a_batch_sent_three_times_is_kept_once(): void
    {
        $batch = [$this->mark($this->sessionId, $this->line, 1), $this->mark($this->sessionId, $this->line, 2, ['tryNumber' => 2])];
        $this->send($batch)->assertJsonPath('results.*.status', ['accepted', 'accepted']);
        $this->send($batch)->assertJsonPath('results.*.status', ['duplicate', 'duplicate']);
        $this->send(array_reverse($batch))->assertJsonPath('results.*.status', ['duplicate', 'duplicate']);
        $this->send([...$batch, $this->mark($this->sessionId, $this->line, 3)])
            ->assertJsonPath('results.*.status', ['duplicate', 'duplicate', 'accepted']);

        self::assertSame(3, $this->marks());
    }

    public function test_one_batch_may_say_the_same_twice(): void
    {
        $mark = $this->mark($this->sessionId, $this->line, 1);
        $this->send([$mark, $mark])->assertJsonPath('results.*.status', ['accepted', 'duplicate']);
        self::assertSame(1, $this->marks());
    }

    public function test_bad_ones_are_refused_by_index_and_never_refuse_the_others(): void
    {
        $good = fn (int $number): array => $this->mark($this->sessionId, $this->line, $number);
        $this->send([
            $good(1),
            $this->mark($this->sessionId, $this->line, 2, ['playerId' => $this->otherPlayer->id]),
            ['value' => 5000] + $good(3),
            ['uuid' => 'mine'] + $good(4),
            $good(5),
        ])->assertOk()
            ->assertJsonPath('results.*.status', ['accepted', 'refused', 'refused', 'refused', 'accepted'])
            ->assertJsonPath(
                'results.1',
                [
                    'index' => 1,
                    'uuid' => $good(2)['uuid'],
                    'status' => 'refused',
                    'code' => 'not-found',
                    'message' => 'This player or session is not one of yours.',
                ],
            )
            ->assertJsonPath('results.2.message', 'The count must be between 0 and 999.');
        self::assertSame(2, $this->marks());
    }

    public function test_a_uuid_used_again_for_another_number_is_refused(): void
    {
        $this->send([$this->mark($this->sessionId, $this->line, 1, ['value' => 11])]);
        $this->send([$this->mark($this->sessionId, $this->line, 1, ['value' => 12])])
            ->assertJsonPath('results.0.status', 'refused')->assertJsonPath('results.0.code', 'uuid-reused');
        self::assertSame(1, $this->marks());
    }

    public function test_another_club_can_neither_mark_our_player_nor_take_our_uuid(): void
    {
        $mark = $this->mark($this->sessionId, $this->line, 1);
        $this->send([$mark], $this->stranger)->assertOk()->assertJsonPath('results.0.code', 'not-found');
        self::assertSame(0, $this->marks());
    }

    public function test_a_correction_counts_instead_even_when_it_arrives_first(): void
    {
        $wrong = $this->mark($this->sessionId, $this->line, 1, ['value' => 91]);
        $right = $this->mark($this->sessionId, $this->line, 2, ['value' => 19, 'supersedesUuids' => [$wrong['uuid']]]);
        $this->send([$right])->assertJsonPath('results.0.status', 'accepted');
        $this->send([$wrong])->assertJsonPath('results.0.status', 'accepted');

        $this->getJson("/api/v1/players/{$this->players[0]->id}")
            ->assertJsonPath('lines.0.record.value', 19)
            ->assertJsonPath('lines.0.days.0.tries', 1);
        self::assertSame(2, $this->marks());
    }

    public function test_a_void_try_is_kept_and_counts_for_nothing(): void
    {
        $this->send([$this->mark($this->sessionId, $this->line, 1, ['isVoid' => true])])->assertJsonPath('results.0.status', 'accepted');
        $this->getJson("/api/v1/players/{$this->players[0]->id}")
            ->assertJsonPath('lines.0.record', null)
            ->assertJsonPath('lines.0.target', null);
    }

    public function test_what_a_number_is_made_of_is_kept_beside_it_and_told_with_what_was_taken(): void
    {
        $halves = ['kind' => 'halves', 'numbers' => [7, 5]];
        $mark = $this->mark($this->sessionId, $this->line, 1, ['value' => 12, 'parts' => $halves]);
        $bad = fn (int $number, mixed $parts): array => $this->mark(
            $this->sessionId,
            $this->line,
            $number,
            ['value' => 12, 'parts' => $parts],
        );
        $this->send([
            $mark, $mark,
            $bad(2, ['kind' => 'halves', 'numbers' => [7, 6]]), $bad(3, 'x'), $bad(4, ['kind' => 'feet', 'numbers' => [1.5, 2]]),
        ])->assertJsonPath('results.*.status', ['accepted', 'duplicate', 'refused', 'refused', 'refused'])
            ->assertJsonPath('results.2.code', 'mark.parts')->assertJsonPath('results.3.code', 'parts');

        $void = $this->mark($this->sessionId, $this->line, 5, ['tryNumber' => 2, 'isVoid' => true, 'reason' => 'not reached']);
        $this->send([$void])->assertJsonPath('results.0.status', 'accepted');
        $this->getJson("/api/v1/players/{$this->players[0]->id}/lines/{$this->line}")->assertJsonPath('tries.0.marks.0.parts', $halves);
        $this->getJson("/api/v1/sessions/{$this->sessionId}/run")->assertOk()
            ->assertJsonCount(2, 'taken')
            ->assertJsonPath('taken.0', [
                'uuid' => $mark['uuid'], 'playerId' => $this->players[0]->id, 'lineKey' => $this->line, 'tryNumber' => 1,
                'value' => 12, 'isVoid' => false, 'reason' => '', 'parts' => $halves,
            ])
            ->assertJsonPath('taken.1.reason', 'not reached');
    }

    public function test_the_assistant_may_write_numbers_down(): void
    {
        $this->send([$this->mark($this->sessionId, $this->line, 1)], $this->assistant)->assertJsonPath('results.0.status', 'accepted');
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function refused(): array
    {
        return [
            'no number' => [['value' => null], 'value'],
            'a word' => [['value' => 'eleven'], 'value'],
            'minus one' => [['value' => -1], 'mark.range'],
            'half a rep' => [['value' => 11.5], 'mark.whole'],
            'an unknown line' => [['lineKey' => str_repeat('0', 32)], 'line-unknown'],
            'try nought' => [['tryNumber' => 0], 'try-number'],
            'itself superseded' => [['supersedesUuids' => ['00000000-0000-4000-8000-000000000001']], 'supersedes'],
            'a correction of something else' => [['supersedesUuids' => ['it']], 'supersedes'],
            'a reason too long' => [['reason' => str_repeat('x', 201)], 'reason'],
            'a uuid that the database would refuse' => [['uuid' => '876fe6e3-35a7-8b4f-803a-f5a082c7df3f'], 'uuid'],
            'a uuid of no version' => [['uuid' => '6d0a62ee-1a75-952c-6cb6-a75237a37a73'], 'uuid'],
            'a uuid in capitals' => [['uuid' => '00000000-0000-4000-8000-00000000000A'], 'uuid'],
            'a player in words' => [['playerId' => 'Amina'], 'not-found'],
        ];
    }

    /** @param  array<string, mixed>  $change */
    #[DataProvider('refused')]
    public function test_refuses_with_a_stable_code(array $change, string $code): void
    {
        $this->send([$this->mark($this->sessionId, $this->line, 1, $change)])->assertOk()->assertJsonPath('results.0.code', $code);
        self::assertSame(0, $this->marks());
    }

    public function test_a_batch_is_a_list_of_at_most_four_hundred(): void
    {
        $this->send([])->assertStatus(422);
        $this->actingAs($this->coach)->postJson('/api/v1/marks', ['marks' => 'all'])->assertStatus(422);
        $this->send(array_map(fn (int $i): array => $this->mark($this->sessionId, $this->line, $i), range(1, 401)))->assertStatus(422);
        $this->send(array_map(fn (int $i): array => $this->mark($this->sessionId, $this->line, $i), range(1, 400)))->assertOk();
        self::assertSame(400, $this->marks());
    }

    public function test_quota_tries_move_the_next_plan(): void
    {
        $sessionId = $this->keptSession('far-foot-open');
        $plan = $this->plan([$this->drillBlock('far-foot-open')]);
        $work = fn (): float => (float) $this->actingAs($this->coach)->postJson(
            "/api/v1/squads/{$this->squad->id}/preview",
            $plan,
        )->json('blocks.0.partSeconds.work');
        $before = $work();
        $line = $this->lineKey($sessionId, $this->players[0]->id);
        $try = fn (int $i): array => $this->mark($sessionId, $line, $i, ['value' => 40, 'tryNumber' => $i]);
        $this->send([$try(1)])->assertOk();
        $once = $work();
        $this->send([$try(2), $try(3)])->assertOk();

        self::assertGreaterThan($before + 10, $once);
        self::assertGreaterThan($once + 10, $work(), 'Each try of a day counts.');
    }

    /** A run as two read it is planned with as it stands in the record: by the worse number, and not at all while one says void. */
    public function test_of_two_readings_the_next_plan_takes_the_one_the_record_takes(): void
    {
        $run = ['kind' => 'streak', 'goal' => 50, 'sets' => 1, 'restSeconds' => 0, 'sides' => 'each'];
        $plan = $this->plan([$this->drillBlock('zigzag-in-out', ['dose' => $run])]);
        $squad = "/api/v1/squads/{$this->squad->id}";
        $sessionId = (int) $this->actingAs($this->coach)->postJson("{$squad}/sessions", $plan)->assertCreated()->json('id');
        $work = fn (): float => (float) $this->actingAs($this->coach)->postJson("{$squad}/preview", $plan)
            ->assertOk()->json('blocks.0.partSeconds.work');
        $line = $this->lineKey($sessionId, $this->players[0]->id);
        $without = $work();
        $this->send([$this->mark($sessionId, $line, 1, ['value' => 4])])->assertOk();
        $four = $work();
        $this->send([$this->mark($sessionId, $line, 2, ['value' => 40])], $this->assistant)->assertOk();
        self::assertSame($four, $work());
        $this->send([$this->mark($sessionId, $line, 3, ['value' => 40, 'isVoid' => true])], $this->assistant)->assertOk();
        self::assertSame($without, $work());
        self::assertNotSame($four, $without);
    }

    public function test_counts_in_a_time_move_the_touches_of_the_next_plan(): void
    {
        $sessionId = $this->keptSession('sole-taps');
        $preview = fn (): array => $this->actingAs($this->coach)->postJson(
            "/api/v1/squads/{$this->squad->id}/preview",
            $this->plan([$this->drillBlock('sole-taps')]),
        )->assertOk()->json('blocks.0');
        $before = $preview();
        $line = $this->lineKey($sessionId, $this->players[0]->id, 'alternating');
        // 25, 60 and a void 90 in 30 s on one day: 42.5 is the middle, so 0.706 s a rep. The others have no numbers, and the drill says
        // 0.9 s:
        // (0.706 + 3 · 0.9) ÷ 4 = 0.851, and for the others (0.706 + 3 · 0.9) ÷ 4 too.
        $this->send([
            $this->mark($sessionId, $line, 1, ['value' => 25, 'tryNumber' => 1]),
            $this->mark($sessionId, $line, 2, ['value' => 60, 'tryNumber' => 2]),
            $this->mark($sessionId, $line, 3, ['value' => 90, 'tryNumber' => 3, 'isVoid' => true]),
        ])->assertOk();
        $after = $preview();

        self::assertSame([67, 70], [$before['touches']['left'], $after['touches']['left']]);
        self::assertSame($before['partSeconds']['work'], $after['partSeconds']['work']);
        self::assertContains(
            "A rep is 0.85 s: the drill's own 0.90 s, weighed as 3 days, with the numbers of 1 of 4 players on 1 day between them.",
            $after['how'],
        );
    }

    private function marks(): int
    {
        $this->app->make(ClubContext::class)->actFor($this->coach->club_id);

        return Mark::query()->count();
    }

    public function test_a_squad_sets_the_number_to_beat_of_a_drill_in_its_own_way(): void
    {
        $player = $this->players[0]->id;
        $path = "/api/v1/squads/{$this->squad->id}/drills/sole-taps/target";
        $target = fn (): mixed => $this->getJson("/api/v1/players/{$player}")->assertOk()->json('lines.0.target');
        $taps = $this->keptSession('sole-taps');
        $line = $this->lineKey($taps, $player, 'alternating');
        $this->send([$this->mark($taps, $line, 1, ['value' => 13])])->assertOk();

        $this->putJson($path, ['school' => 'fixed', 'number' => 35])->assertOk()
            ->assertJsonPath('target', ['school' => 'fixed', 'number' => 35, 'usual' => 'own-record', 'forAge' => 30]);
        self::assertSame([35, 'the number for this age'], [$target()['value'], $target()['because']]);
        // Without a number of its own it is the drill's for the age.
        $this->putJson($path, ['school' => 'fixed', 'number' => null])->assertOk();
        self::assertSame(30, $target()['value']);
        $this->putJson($path, ['school' => 'fixed', 'number' => 5000])->assertStatus(422)->assertJsonPath('fields.0.path', 'number');
        $this->putJson($path, ['school' => 'guess', 'number' => null])->assertStatus(422)->assertJsonPath('fields.0.path', 'school');
        $this->putJson($path, ['school' => null, 'number' => null])->assertOk()->assertJsonPath('target.school', null);
        self::assertSame(14, $target()['value']);

        // Nothing is counted in a drill without a number.
        $this->putJson(str_replace('sole-taps', 'pull-behind-marker', $path), ['school' => 'stretch', 'number' => null])
            ->assertStatus(422)
            ->assertJsonPath('fields.0.message', 'Nothing is counted in this drill.');
    }
}
