<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;

final class LooksTest extends FeatureTestCase
{
    public function test_balls_that_were_judged_are_counted_on_the_player_s_page_each_once(): void
    {
        $sessionId = $this->keptSession('far-foot-open');
        $number = 0;
        $look = function (array $of) use (&$number): array {
            return $of + [
                'uuid' => sprintf('00000000-0000-4000-8000-%012d', ++$number), 'playerId' => $this->players[0]->id,
                'drillSlug' => 'far-foot-open', 'lookedAt' => '2026-03-10T18:00:00.000Z',
            ];
        };
        $right = $look(['weight' => 'right', 'isFarFoot' => true]);
        $answer = $this->postJson("/api/v1/sessions/{$sessionId}/looks", ['looks' => [
            $right, $look(['weight' => 'short']), $right,
            $look(['isAccurate' => true, 'isRightPace' => true, 'isClean' => true]), $look([]),
            $look(['weight' => 'long']), $look(['weight' => 'right', 'isAccurate' => true]), $look(['isFarFoot' => true]),
            $look(['isClean' => 'yes']), $look(['drillSlug' => 'sole-taps']), $look(['playerId' => $this->otherPlayer->id]),
            $look(['lookedAt' => 'soon']),
        ]])->assertOk();
        self::assertSame(
            ['accepted', 'accepted', 'duplicate', 'accepted', 'accepted', 'weight', 'ticks', 'foot', 'ticks', 'drill', 'player', 'when'],
            array_map(fn (array $one): string => $one['code'] ?? $one['status'], $answer->json('results')),
        );
        $this->getJson("/api/v1/players/{$this->players[0]->id}")->assertOk()->assertJsonPath('looks', [[
            'drillSlug' => 'far-foot-open', 'drillName' => $this->versionOf('far-foot-open')->name, 'on' => '2026-03-10',
            'touches' => ['short' => 1, 'right' => 1, 'away' => 0, 'far' => 1, 'near' => 0],
            'passes' => ['looked' => 2, 'accurate' => 1, 'pace' => 1, 'clean' => 1, 'all' => 1],
        ]]);
        $this->deleteJson("/api/v1/players/{$this->players[0]->id}")->assertSuccessful();
        self::assertSame(0, DB::table('looks')->count());
    }
}
