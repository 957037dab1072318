<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\AuditEntry;
use App\Tenancy\ClubContext;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Marks are events: readings, corrections, voids and disputes in any order, and projections that can be made anew. */
final class EventsTest extends FeatureTestCase
{
    private int $sessionId;

    private string $line;

    protected function setUp(): void
    {
        parent::setUp();
        $this->sessionId = $this->keptSession();
        $this->line = $this->lineKey($this->sessionId, $this->players[0]->id);
    }

    public function test_two_people_saw_another_number_until_a_coach_chooses(): void
    {
        $coachs = $this->mark($this->sessionId, $this->line, 1, ['value' => 14]);
        $assistants = $this->mark($this->sessionId, $this->line, 2, ['value' => 12]);
        $this->send([$coachs]);
        $this->send([$assistants], $this->assistant);

        $tries = $this->tries()->assertJsonPath('standing.record.value', 12)->assertJsonPath('standing.openTries', 1)->json('tries');
        self::assertCount(1, $tries);
        self::assertTrue($tries[0]['isOpen']);
        self::assertSame(
            [['coach', 14, 'coach'], ['assistant', 12, 'assistant']],
            array_map(fn (array $mark): array => [$mark['by'], $mark['value'], $mark['source']], $tries[0]['marks']),
        );

        $this->send(
            [
                $this->mark(
                    $this->sessionId,
                    $this->line,
                    3,
                    [
                        'value' => 14,
                        'supersedesUuids' => [$coachs['uuid'], $assistants['uuid']],
                        'reason' => 'Both counted again together.',
                    ],
                ),
            ],
        );
        $this->tries()
            ->assertJsonPath('standing.record.value', 14)
            ->assertJsonPath('standing.openTries', 0)
            ->assertJsonPath('tries.0.isOpen', false)
            ->assertJsonPath('tries.0.marks.*.stands', [false, false, true]);
    }

    public function test_an_assistant_mends_their_own_number_and_only_stands_beside_another_s(): void
    {
        $own = $this->mark($this->sessionId, $this->line, 1, ['value' => 91]);
        $this->send([$own], $this->assistant);
        $this->send(
            [$this->mark($this->sessionId, $this->line, 2, ['value' => 19, 'supersedesUuids' => [$own['uuid']]])],
            $this->assistant,
        );
        $this->tries()->assertJsonPath('standing.record.value', 19)->assertJsonPath('standing.openTries', 0);

        $coachs = $this->mark($this->sessionId, $this->line, 3, ['value' => 21, 'tryNumber' => 2]);
        $over = $this->mark($this->sessionId, $this->line, 4, ['value' => 25, 'tryNumber' => 2, 'supersedesUuids' => [$coachs['uuid']]]);
        // Whichever comes first, the outcome is the same.
        $this->send([$over], $this->assistant);
        $this->send([$coachs]);
        $this->tries()->assertJsonPath('standing.record.value', 21)->assertJsonPath('standing.openTries', 1);
    }

    public function test_a_disputed_try_counts_for_nothing_until_it_is_settled(): void
    {
        $mark = $this->mark($this->sessionId, $this->line, 1, ['value' => 15]);
        $disputed = $this->mark(
            $this->sessionId,
            $this->line,
            2,
            ['value' => 15, 'isDisputed' => true, 'reason' => 'Left the box.', 'supersedesUuids' => [$mark['uuid']]],
        );
        $this->send([$mark, $disputed]);
        $this->tries()
            ->assertJsonPath('standing.record', null)
            ->assertJsonPath('standing.openTries', 1)
            ->assertJsonPath('tries.0.marks.1.reason', 'Left the box.');

        $this->send([$this->mark($this->sessionId, $this->line, 3, ['value' => 15, 'supersedesUuids' => [$disputed['uuid']]])]);
        $this->tries()->assertJsonPath('standing.record.value', 15)->assertJsonPath('standing.openTries', 0);
    }

    public function test_a_correction_may_move_a_number_to_the_player_it_belongs_to(): void
    {
        $wrong = $this->mark($this->sessionId, $this->line, 1, ['value' => 15]);
        $this->send(
            [
                $wrong,
                $this->mark(
                    $this->sessionId,
                    $this->line,
                    2,
                    ['value' => 15, 'playerId' => $this->players[1]->id, 'supersedesUuids' => [$wrong['uuid']]],
                ),
            ],
        );

        $this->tries()->assertJsonPath('standing.record', null);
        $this->getJson("/api/v1/players/{$this->players[1]->id}/lines/{$this->line}")->assertJsonPath('standing.record.value', 15);
    }

    public function test_a_correction_reaches_no_further_than_its_session(): void
    {
        $mark = $this->mark($this->sessionId, $this->line, 1, ['value' => 15]);
        $this->send([$mark]);
        $other = $this->keptSession();
        $this->send([$this->mark($other, $this->line, 2, ['value' => 3, 'supersedesUuids' => [$mark['uuid']]])]);

        $this->tries()->assertJsonPath('standing.record.value', 15);
    }

    public function test_who_changed_what_is_kept_and_assistants_do_not_read_it(): void
    {
        $mark = $this->mark($this->sessionId, $this->line, 1, ['value' => 91]);
        $this->send([$mark], $this->assistant);
        $this->send(
            [
                $this->mark(
                    $this->sessionId,
                    $this->line,
                    2,
                    ['value' => 19, 'supersedesUuids' => [$mark['uuid']], 'reason' => 'Slip of the thumb.'],
                ),
            ],
        );
        $this->putJson(
            "/api/v1/players/{$this->players[0]->id}",
            ['name' => 'Amina T', 'bib' => 7, 'strongFoot' => 'R', 'birthYear' => null],
        )->assertOk();
        $this->putJson("/api/v1/players/{$this->players[0]->id}/note", ['note' => 'Shy when counted aloud.'])->assertOk();

        $this->getJson("/api/v1/players/{$this->players[0]->id}/note")->assertOk()
            ->assertJsonPath('note', 'Shy when counted aloud.')
            ->assertJsonPath(
                'trail.*.what',
                [
                    'changed the private note',
                    'changed: name from Amina to Amina T, bib from nothing to 7',
                    'corrected a number: number from 91 to 19, reason from nothing to Slip of the thumb.',
                ],
            )
            ->assertJsonPath('trail.0.by', 'coach');
        self::assertStringNotContainsString('Shy', DB::table('audit_entries')->get()->toJson());
        self::assertStringNotContainsString(
            'Shy',
            (string) $this->actingAs($this->assistant)->getJson("/api/v1/players/{$this->players[0]->id}")->getContent(),
        );
        $this->getJson("/api/v1/players/{$this->players[0]->id}/note")->assertForbidden();
    }

    public function test_erasing_a_player_takes_everything_but_that_it_was_done(): void
    {
        $mark = $this->mark($this->sessionId, $this->line, 1);
        $this->send([$mark, $this->mark($this->sessionId, $this->line, 2, ['supersedesUuids' => [$mark['uuid']]])]);
        $id = $this->players[0]->id;
        $this->deleteJson("/api/v1/players/{$id}")->assertNoContent();

        foreach ([
            'players' => 'id',
            'marks' => 'player_id',
            'line_days' => 'player_id',
            'bests' => 'player_id',
            'attendances' => 'player_id',
        ] as $table => $column) {
            self::assertSame(0, DB::table($table)->where($column, $id)->count(), $table);
        }
        self::assertSame(0, DB::table('mark_supersessions')->count());
        $this->app->make(ClubContext::class)->actFor($this->squad->club_id);
        self::assertSame(
            [['player.erased', []]],
            AuditEntry::query()
                ->where('player_id', $id)
                ->get()
                ->map(fn (AuditEntry $entry): array => [$entry->action, $entry->changes])
                ->all(),
        );
    }

    public function test_any_order_any_batches_and_a_rebuild_all_come_to_the_same(): void
    {
        $events = $this->season(new Randomizer(new Mt19937(11)));
        $outcomes = [];
        foreach ([1, 2, 3] as $seed) {
            $random = new Randomizer(new Mt19937($seed));
            DB::table('marks')->delete();
            DB::table('mark_supersessions')->delete();
            Artisan::call('sparrow:rebuild');
            self::assertSame([[], []], $this->projections());
            $shuffled = $random->shuffleArray($events);
            // Some of it arrives twice.
            foreach ([...$shuffled, ...array_slice($shuffled, 0, 20)] as [$by, $mark]) {
                $this->app->make('auth')->forgetGuards();
                $this->send([$mark], $by === 'coach' ? $this->coach : $this->assistant)->assertOk();
            }
            $incremental = $this->projections();
            self::assertNotSame([[], []], $incremental);
            Artisan::call('sparrow:rebuild');
            self::assertSame($incremental, $this->projections(), "seed {$seed}");
            $outcomes[] = $incremental;
        }
        self::assertSame($outcomes[0], $outcomes[1]);
        self::assertSame($outcomes[0], $outcomes[2]);
    }

    public function test_one_batch_with_everything_in_it(): void
    {
        $good = $this->mark($this->sessionId, $this->line, 1, ['value' => 10]);
        $batch = [
            $this->mark($this->sessionId, $this->line, 2, ['value' => 12, 'supersedesUuids' => [$good['uuid']]]),
            $this->mark($this->sessionId, $this->line, 3, ['playerId' => $this->otherPlayer->id]),
            $good,
            ['value' => 13] + $good,
            $this->mark($this->sessionId, $this->line, 4, ['tryNumber' => 2, 'isVoid' => true]),
            'not a mark at all',
        ];
        $expected = ['accepted', 'refused', 'accepted', 'refused', 'accepted', 'refused'];
        $this->send($batch)
            ->assertOk()
            ->assertJsonPath('results.*.status', $expected)
            ->assertJsonPath('results.3.code', 'uuid-reused')
            ->assertJsonPath('results.5.code', 'mark');
        foreach ([1, 2] as $_) {
            $this->send($batch)->assertJsonPath(
                'results.*.status',
                ['duplicate', 'refused', 'duplicate', 'refused', 'duplicate', 'refused'],
            );
        }
        $this->tries()->assertJsonPath('standing.record.value', 12)->assertJsonPath('standing.days.0.tries', 1);
    }

    /** @return array<string, array{mixed, string}> what a broken device may send in place of a mark, and the code it is refused by */
    public static function broken(): array
    {
        return [
            'nothing' => [null, 'mark'],
            'a word' => ['eleven', 'mark'],
            'a list' => [[1, 2], 'uuid'],
            'an integer for a UUID' => [['uuid' => 7], 'uuid'],
            'a list for a UUID' => [['uuid' => ['x']], 'uuid'],
            'a player beyond every number' => [['playerId' => 1e30], 'not-found'],
            'a truth for a session' => [['sessionId' => true], 'not-found'],
            'a number for a line' => [['lineKey' => 0], 'line-unknown'],
            'a line of other letters' => [['lineKey' => "\u{202e}0\0"], 'line-unknown'],
            'corrections of corrections' => [['supersedesUuids' => [['a' => ['b']]]], 'supersedes'],
            'a reason that is a record' => [['reason' => ['because' => 1]], 'reason'],
            'a value beyond every number' => [['value' => 1e300], 'mark.range'],
            'a try that is half' => [['tryNumber' => 1.5], 'try-number'],
        ];
    }

    #[DataProvider('broken')]
    public function test_whatever_one_item_is_the_others_are_taken(mixed $broken, string $code): void
    {
        $item = is_array($broken) && ! array_is_list($broken) ? $broken + $this->mark($this->sessionId, $this->line, 2) : $broken;
        $this->send(
            [$this->mark($this->sessionId, $this->line, 1), $item, $this->mark($this->sessionId, $this->line, 3, ['tryNumber' => 2])],
        )
            ->assertOk()->assertJsonPath('results.*.status', ['accepted', 'refused', 'accepted'])->assertJsonPath('results.1.code', $code);
    }

    /** @return array<string, array{string}> */
    public static function oddClocks(): array
    {
        return [
            'month 19' => ['2026-19-10T11:00:00.000Z'],
            '31 February' => ['2026-02-31T11:00:00Z'],
            'hour 25' => ['2026-03-10T25:00:00Z'],
            'year 1' => ['0001-03-10T11:00:00Z'],
        ];
    }

    #[DataProvider('oddClocks')]
    public function test_a_device_whose_clock_is_odd_has_its_number_taken_as_of_now(string $recordedAt): void
    {
        $this->send([$this->mark($this->sessionId, $this->line, 1, ['recordedAt' => $recordedAt])])
            ->assertOk()
            ->assertJsonPath('results.0.status', 'accepted');
        self::assertSame('2026-03-10 12:00:00.000', DB::table('marks')->value('recorded_at_utc'));
    }

    public function test_two_numbers_cannot_each_stand_in_for_the_other(): void
    {
        $of = fn (int $number, int ...$others): array => $this->mark($this->sessionId, $this->line, $number, [
            'tryNumber' => $number,
            'supersedesUuids' => array_map(fn (int $other): string => $this->mark($this->sessionId, $this->line, $other)['uuid'], $others),
        ]);
        $this->send([$of(1, 2), $of(2, 1)])
            ->assertJsonPath('results.*.status', ['accepted', 'refused'])
            ->assertJsonPath('results.1.code', 'supersedes-cycle');
        // Round about, over batches, and in any order.
        $this->send([$of(3, 4)])->assertJsonPath('results.0.status', 'accepted');
        $this->send([$of(4, 5)])->assertJsonPath('results.0.status', 'accepted');
        $this->send([$of(5, 3)])->assertJsonPath('results.0.code', 'supersedes-cycle');
        // Two corrections of one number are no circle.
        $this->send([$of(6, 8), $of(7, 8, 6)])->assertJsonPath('results.*.status', ['accepted', 'accepted']);
    }

    private function tries(): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->coach)->getJson("/api/v1/players/{$this->players[0]->id}/lines/{$this->line}")->assertOk();
    }

    /**
     * Three players, five tries: numbers, second readings, corrections of corrections, voids and disputes.
     *
     * @return list<array{string, array<string, mixed>}> who sends it, and the mark
     */
    private function season(Randomizer $random): array
    {
        $events = [];
        $number = 100;
        foreach ([0, 1, 2] as $p) {
            foreach (range(1, 5) as $try) {
                $last = null;
                foreach (range(1, $random->getInt(1, 3)) as $_) {
                    $mark = $this->mark($this->sessionId, $this->line, $number++, [
                        'playerId' => $this->players[$p]->id, 'tryNumber' => $try, 'value' => $random->getInt(5, 25),
                        'isVoid' => $random->getInt(1, 8) === 1, 'isDisputed' => $random->getInt(1, 8) === 1,
                        'supersedesUuids' => $last !== null && $random->getInt(1, 3) > 1 ? [$last] : [],
                    ]);
                    $last = $mark['uuid'];
                    $events[] = [$random->getInt(1, 3) === 1 ? 'assistant' : 'coach', $mark];
                }
            }
        }

        return $events;
    }

    /**
     * @return array{list<array<string, mixed>>, list<array<string, mixed>>}
     *
     * @phpstan-impure
     */
    private function projections(): array
    {
        $rows = fn (string $table): array => DB::table($table)->orderBy('player_id')->orderBy('line_key')->get()
            ->map(fn (object $row): array => (array) $row)->all();

        return [$rows('line_days'), $rows('bests')];
    }
}
