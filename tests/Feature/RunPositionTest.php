<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;

final class RunPositionTest extends FeatureTestCase
{
    private const FIRST = '00000000-0000-4000-8000-000000000001';

    private const SECOND = '00000000-0000-4000-8000-000000000002';

    private int $sessionId;

    protected function setUp(): void
    {
        parent::setUp();
        $this->sessionId = $this->keptSession();
    }

    /** @param  array<string, mixed>  $change */
    private function tell(string $device, array $change = []): TestResponse
    {
        return $this->putJson("/api/v1/sessions/{$this->sessionId}/position", $change + [
            'device' => $device, 'segmentId' => 'drag-back-turn-2', 'state' => 'running', 'remainingMs' => 41_000,
        ]);
    }

    private function seen(): TestResponse
    {
        return $this->getJson("/api/v1/sessions/{$this->sessionId}/position")->assertOk();
    }

    public function test_one_device_conducts_and_others_see_where_the_run_stands(): void
    {
        $this->seen()->assertExactJson(['position' => null]);
        $this->tell(self::FIRST)->assertOk()->assertJsonPath('position.device', self::FIRST);
        $this->travel(3)->seconds();
        $this->actingAs($this->assistant);
        $this->seen()->assertExactJson(['position' => [
            'device' => self::FIRST, 'by' => 'coach', 'segmentId' => 'drag-back-turn-2', 'state' => 'running', 'remainingMs' => 41_000,
            'agoMs' => 3_000,
        ]]);
        // A second device that runs too is told who conducts, and changes nothing until it takes over.
        $this->tell(self::SECOND, ['remainingMs' => 5])->assertOk()->assertJsonPath('position.device', self::FIRST);
        $this->seen()->assertJsonPath('position.remainingMs', 41_000);
        $this->tell(self::SECOND, ['takeOver' => true, 'state' => 'paused'])->assertJsonPath('position.by', 'assistant');
        $this->tell(self::FIRST)->assertJsonPath('position.device', self::SECOND)->assertJsonPath('position.state', 'paused');
    }

    public function test_who_says_nothing_for_two_minutes_conducts_no_more(): void
    {
        $this->tell(self::FIRST);
        $this->travel(120)->seconds();
        $this->seen()->assertJsonPath('position.agoMs', 120_000);
        $this->travel(1)->seconds();
        $this->seen()->assertJsonPath('position', null);
        $this->tell(self::SECOND)->assertJsonPath('position.device', self::SECOND);
    }

    public function test_what_cannot_be_a_position_is_refused(): void
    {
        $wrongs = [['device' => 'mine'], ['state' => 'resting'], ['remainingMs' => 'soon'], ['segmentId' => str_repeat('a', 61)]];
        foreach ($wrongs as $wrong) {
            $this->tell(self::FIRST, $wrong)->assertStatus(422);
        }
        $this->tell(self::FIRST, ['segmentId' => null, 'state' => 'over'])->assertOk();
    }
}
