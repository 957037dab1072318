<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Squad;
use App\Settings\SquadSettings;

final class SettingsTest extends FeatureTestCase
{
    public function test_every_setting_has_its_default_and_one_sentence(): void
    {
        foreach (['/api/v1/club/settings', "/api/v1/squads/{$this->squad->id}/settings"] as $path) {
            foreach ($this->actingAs($this->lead)->getJson($path)->assertOk()->json('settings') as $setting) {
                self::assertMatchesRegularExpression('/\A[A-Z][^.]+\.\z/', $setting['sentence']);
                self::assertNotSame('', $setting['default']);
            }
        }
    }

    public function test_the_defaults_said_are_those_of_a_new_squad(): void
    {
        $new = Squad::query()
            ->withoutGlobalScope('club')
            ->findOrFail($this->actingAs($this->lead)->postJson('/api/v1/club/squads', ['name' => 'New', 'ageGroup' => 'U12'])->json('id'));
        $values = SquadSettings::values($new);
        foreach (SquadSettings::all() as $setting) {
            if ($setting->kind === 'choice') {
                self::assertSame($setting->default, $setting->options[$values[$setting->key]], $setting->key);
            } elseif ($setting->kind !== 'text') {
                self::assertNull($values[$setting->key], $setting->key);
            }
        }
    }

    public function test_a_choice_takes_hold(): void
    {
        $this->keep(
            [
                'lengthUnit' => 'm',
                'footWording' => 'weaker',
                'headingProfile' => 'us-soccer-2016',
                'seasonStartsOn' => '2026-03-01',
                'targetSchool' => 'last-plus-one',
                'ground' => 'hard',
            ],
        )
            ->assertOk()
            ->assertJsonPath(
                'follows',
                [
                    'Ball size 4 for U12, as is common; yours may differ.',
                    'Heading: At most 15 headers a player in 7 days and 30 minutes a week (U.S. Soccer 2016; '
                        .'may have changed, your local rules come first).',
                ],
            );
        $this->getJson('/api/v1/me')->assertJsonPath('squads.0.lengthUnit', 'm')->assertJsonPath('squads.0.footWording', 'weaker');
        // 1 March 2026 is a Sunday: the 10th lies in the third week that begins on a Monday.
        $this->getJson("/api/v1/squads/{$this->squad->id}/today")->assertJsonPath('seasonWeek', 3);

        $sessionId = $this->keptSession();
        $line = $this->lineKey($sessionId, $this->players[0]->id);
        $this->send(
            [$this->mark($sessionId, $line, 1, ['value' => 14]), $this->mark($sessionId, $line, 2, ['value' => 11, 'tryNumber' => 2])],
        );
        $this->getJson("/api/v1/players/{$this->players[0]->id}/lines/{$line}")
            ->assertJsonPath('tries.0.marks.0.ground', 'hard')
            ->assertJsonPath('standing.target.because', 'last time 14, and one');
    }

    public function test_numbers_made_with_another_ball_are_lines_of_their_own(): void
    {
        $session = $this->keptSession();
        $before = $this->lineKey($session, $this->players[0]->id);
        $follows = fn (): string => $this->getJson("/api/v1/squads/{$this->squad->id}/settings")->json('follows.0');
        self::assertStringStartsWith('Ball size 4 for U12, as is common', $follows());
        $this->keep(['ballSize' => 'size-5'])->assertOk();
        self::assertSame('Ball size 5, as you chose.', $follows());

        // A session that lies ahead asks for the other line, and there is one to write to.
        $after = $this->lineKey($session, $this->players[0]->id);
        self::assertNotSame($before, $after);
        $this->send([$this->mark($session, $after, 1)])->assertOk()->assertJsonPath('results.0.status', 'accepted');
        $this->keep(['ballSize' => 'by-age', 'ageGroup' => 'U11'])->assertOk();
        self::assertSame($before, $this->lineKey($session, $this->players[0]->id));
    }

    public function test_an_area_stays_as_long_as_it_was_when_only_the_unit_changes(): void
    {
        $this->keep(['areaWidth' => 30, 'areaDepth' => 20])->assertOk();
        $values = fn (array $of): array => array_column($of['settings'], 'value', 'key');
        $metres = $values($this->keep(['areaWidth' => 30, 'areaDepth' => 20, 'lengthUnit' => 'm'])->json());
        self::assertSame([27.43, 18.29], [$metres['areaWidth'], $metres['areaDepth']]);
        $back = $values($this->keep(['areaWidth' => 27.43, 'areaDepth' => 25, 'lengthUnit' => 'm'])->json());
        self::assertEquals([27.43, 25], [$back['areaWidth'], $back['areaDepth']]);
    }

    public function test_a_plan_that_needs_more_markers_than_there_are_says_so(): void
    {
        $this->keep(['markersOwned' => 3])->assertOk();
        $warnings = $this->postJson("/api/v1/squads/{$this->squad->id}/preview", $this->plan([$this->drillBlock('box-free-dribble')]))
            ->assertOk()
            ->json('blocks.0.warnings.*.sentence');
        self::assertStringStartsWith('This needs ', implode(' ', $warnings));
        self::assertStringContainsString('markers and the squad has 3.', implode(' ', $warnings));
        $this->keep(['markersOwned' => 999]);
        self::assertSame(
            [],
            $this->postJson(
                "/api/v1/squads/{$this->squad->id}/preview",
                $this->plan([$this->drillBlock('box-free-dribble')]),
            )->json('blocks.0.warnings'),
        );
    }

    public function test_wrong_input_is_said_at_its_setting(): void
    {
        $this->keep(
            ['name' => '', 'ageGroup' => 'U40', 'seasonStartsOn' => '31 May', 'areaWidth' => 'wide', 'markersOwned' => -1],
        )->assertStatus(422)
            ->assertJsonPath('fields', [
                ['path' => 'name', 'message' => 'Enter a name of at most 120 letters.'],
                ['path' => 'ageGroup', 'message' => 'Choose one of the list.'],
                ['path' => 'seasonStartsOn', 'message' => 'Enter a day such as 2026-08-24.'],
                ['path' => 'areaWidth', 'message' => 'Enter a number from 0 to 400, or leave it empty.'],
                ['path' => 'markersOwned', 'message' => 'Enter a whole number from 0 to 999, or leave it empty.'],
            ]);
    }

    public function test_the_week_of_a_club_begins_when_it_says(): void
    {
        $this->keptSession();
        // Tuesday 10 March; the session is on Thursday the 12th.
        $this->getJson("/api/v1/squads/{$this->squad->id}/today")->assertJsonPath('upcoming.0.week', 'this');
        $this->travelTo('2026-03-08 12:00:00');
        $this->getJson("/api/v1/squads/{$this->squad->id}/today")->assertJsonPath('upcoming.0.week', 'next');
        $this->actingAs($this->lead)
            ->putJson(
                '/api/v1/club/settings',
                ['name' => 'Heron Quay', 'timeZone' => 'Europe/Copenhagen', 'weekStartsOn' => '7'],
                ['If-Match' => '"1"'],
            )
            ->assertOk();
        $this->actingAs($this->coach->fresh() ?? $this->coach)
            ->getJson("/api/v1/squads/{$this->squad->id}/today")
            ->assertJsonPath('upcoming.0.week', 'this');
    }

    /** @param  array<string, mixed>  $change */
    private function keep(array $change): \Illuminate\Testing\TestResponse
    {
        $this->app->make('auth')->forgetGuards();
        $now = $this->actingAs($this->coach)->getJson("/api/v1/squads/{$this->squad->id}/settings")->json();

        return $this->putJson(
            "/api/v1/squads/{$this->squad->id}/settings",
            $change + array_column($now['settings'], 'value', 'key'),
            ['If-Match' => "\"{$now['version']}\""],
        );
    }
}
