<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Actions\Drill\KeepOwnDrill;
use App\Actions\Home\OpenHomeLinks;
use App\Auth\HomeCode;
use App\Models\HomeLink;
use App\Models\Invitation;
use App\Models\Player;
use App\Models\SignIn;
use App\Models\User;
use App\Queries\LadderQuery;
use App\Tenancy\Ability;
use App\Tenancy\ClubContext;
use App\Tenancy\Role;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;

/**
 * Nobody sees what is not theirs. Every route has a rule here, or the test fails; each is called as nobody, as every role,
 * as a coach of another squad and as coach and lead of another club with this club's ids.
 */
final class WallsTest extends FeatureTestCase
{
    /** Anybody, signed in or not: the link or the password is what opens. */
    private const OPEN = 'open';

    /** Whoever has the token of a session, and nobody for being signed in. */
    private const BY_TOKEN = 'by token';

    /** Whoever has the secret of a player's link, and nobody for being signed in. */
    private const BY_LINK = 'by link';

    /** Anybody signed in: about themselves, or the book, which belongs to no club. */
    private const OWN = 'own';

    /** Anybody signed in; what is not theirs is refused item by item. */
    private const BY_ITEM = 'by item';

    private const RULES = [
        'POST api/v1/sign-in' => self::OPEN,
        'GET api/v1/invitations/{token}' => self::OPEN,
        'POST api/v1/invitations/{token}' => self::OPEN,
        'POST api/v1/password-resets' => self::OPEN,
        'GET api/v1/password-resets/{account}' => self::OPEN,
        'POST api/v1/password-resets/{account}' => self::OPEN,
        'DELETE api/v1/sign-in' => self::OWN,
        'GET api/v1/sign-ins' => self::OWN,
        'DELETE api/v1/sign-ins/{signIn}' => self::OWN,
        'GET api/v1/me' => self::OWN,
        'PUT api/v1/me/password' => self::OWN,
        'GET api/v1/pulse' => self::OWN,
        'GET api/v1/club/settings' => Ability::Manage,
        'PUT api/v1/club/settings' => Ability::Manage,
        'GET api/v1/club/trail' => Ability::Manage,
        'POST api/v1/club/squads' => Ability::Manage,
        'GET api/v1/club/people' => Ability::Manage,
        'PUT api/v1/club/people/{person}' => Ability::Manage,
        'DELETE api/v1/club/people/{person}' => Ability::Manage,
        'POST api/v1/club/people/{person}/reset-link' => Ability::Manage,
        'POST api/v1/club/invitations' => Ability::Manage,
        'DELETE api/v1/club/invitations/{invitation}' => Ability::Manage,
        'GET api/v1/drill-choices' => self::OWN,
        'GET api/v1/moves' => self::OWN,
        'GET api/v1/moves/{slug}' => self::OWN,
        'GET api/v1/squads/{squad}' => Ability::View,
        'GET api/v1/squads/{squad}/settings' => Ability::Settings,
        'PUT api/v1/squads/{squad}/settings' => Ability::Settings,
        'GET api/v1/squads/{squad}/drills' => Ability::View,
        'POST api/v1/squads/{squad}/drills' => Ability::Plan,
        'GET api/v1/squads/{squad}/drills/{slug}' => Ability::View,
        'PUT api/v1/squads/{squad}/drills/{slug}' => Ability::Plan,
        'DELETE api/v1/squads/{squad}/drills/{slug}' => Ability::Plan,
        'PUT api/v1/squads/{squad}/drills/{slug}/sharing' => Ability::Plan,
        'PUT api/v1/squads/{squad}/drills/{slug}/target' => Ability::Plan,
        'GET api/v1/squads/{squad}/drills/{slug}/file' => Ability::View,
        'POST api/v1/squads/{squad}/drills/{slug}/score' => Ability::Run,
        'GET api/v1/squads/{squad}/drill-search' => Ability::View,
        'GET api/v1/squads/{squad}/search-index' => Ability::View,
        'POST api/v1/squads/{squad}/drill-trials' => Ability::Plan,
        'POST api/v1/squads/{squad}/drill-files' => Ability::Plan,
        'GET api/v1/squads/{squad}/ladders' => Ability::View,
        'GET api/v1/squads/{squad}/reset' => Ability::View,
        'GET api/v1/squads/{squad}/today' => Ability::View,
        'POST api/v1/squads/{squad}/preview' => Ability::Plan,
        'POST api/v1/squads/{squad}/proposals' => Ability::Plan,
        'GET api/v1/squads/{squad}/drills/{slug}/last-time' => Ability::View,
        'POST api/v1/squads/{squad}/sessions' => Ability::Plan,
        'POST api/v1/squads/{squad}/players' => Ability::Plan,
        'POST api/v1/squads/{squad}/guests' => Ability::Run,
        'POST api/v1/squads/{squad}/paper-days' => Ability::Plan,
        'GET api/v1/squads/{squad}/season' => Ability::View,
        'GET api/v1/squads/{squad}/what-if' => Ability::View,
        'POST api/v1/squads/{squad}/seasons' => Ability::Settings,
        'DELETE api/v1/squads/{squad}/seasons/{season}' => Ability::Settings,
        'GET api/v1/players/{player}' => Ability::View,
        'GET api/v1/players/{player}/routine' => Ability::View,
        'PUT api/v1/players/{player}/routine' => Ability::Plan,
        'GET api/v1/players/{player}/home-link' => Ability::Plan,
        'PUT api/v1/players/{player}/home-link' => Ability::Plan,
        'DELETE api/v1/players/{player}/home-link' => Ability::Plan,
        'GET api/v1/squads/{squad}/home' => Ability::View,
        'PUT api/v1/squads/{squad}/home-routines' => Ability::Plan,
        'PUT api/v1/squads/{squad}/home-links' => Ability::Plan,
        'GET api/v1/squads/{squad}/home-sheets' => Ability::Plan,
        'POST api/v1/squads/{squad}/home-sheets' => Ability::Plan,
        'POST api/v1/squads/{squad}/home-answers' => Ability::Plan,
        'GET api/v1/at-home' => self::BY_LINK,
        'POST api/v1/at-home/practice' => self::BY_LINK,
        'PUT api/v1/players/{player}/squad' => Ability::Plan,
        'PUT api/v1/players/{player}/advice/{slug}' => Ability::Plan,
        'PUT api/v1/players/{player}' => Ability::Plan,
        'DELETE api/v1/players/{player}' => Ability::Notes,
        'GET api/v1/players/{player}/note' => Ability::Notes,
        'PUT api/v1/players/{player}/note' => Ability::Notes,
        'GET api/v1/players/{player}/lines/{lineKey}' => Ability::View,
        'GET api/v1/sessions/{session}' => Ability::View,
        'PUT api/v1/sessions/{session}' => Ability::Plan,
        'DELETE api/v1/sessions/{session}' => Ability::Plan,
        'GET api/v1/sessions/{session}/holdings' => Ability::Plan,
        'GET api/v1/sessions/{session}/calendar' => Ability::View,
        'PUT api/v1/sessions/{session}/attendance' => Ability::Run,
        'POST api/v1/feed' => self::BY_TOKEN,
        'POST api/v1/sessions/{session}/feed' => Ability::Run,
        'GET api/v1/sessions/{session}/feed' => Ability::Run,
        'GET api/v1/sessions/{session}/actual' => Ability::View,
        'GET api/v1/sessions/{session}/run' => Ability::View,
        'PUT api/v1/sessions/{session}/run' => Ability::Run,
        'GET api/v1/sessions/{session}/position' => Ability::View,
        'PUT api/v1/sessions/{session}/position' => Ability::Run,
        'POST api/v1/sessions/{session}/looks' => Ability::Run,
        'POST api/v1/sessions/{session}/reminders' => Ability::Run,
        'PUT api/v1/sessions/{session}/recap' => Ability::Run,
        'POST api/v1/marks' => self::BY_ITEM,
    ];

    /** The frame around the API: no record passes through it. */
    private const FRAME = ['GET up', 'GET at-home', 'GET {path?}', 'GET api/v1/{path}', 'GET storage/{path}', 'PUT storage/{path}'];

    /** Commands, and what keeps each within its walls. */
    private const COMMANDS = [
        'sparrow:book' => 'the book belongs to no club',
        'sparrow:build' => 'reads one file and the book',
        'sparrow:club' => 'makes a club of its own',
        'sparrow:demo' => 'makes a club of its own',
        'sparrow:evaluate' => 'reads one file and the book',
        'sparrow:openapi' => 'reads the code alone',
        'sparrow:rebuild' => 'acts for one club at a time',
        'sparrow:table' => 'reads the book',
        'sparrow:touch-feed' => 'writes what it is told, and reads nothing',
    ];

    private User $strangeLead;

    private int $sessionId;

    private int $invitationId;

    private string $lineKey;

    private string $ownSlug;

    /** @var array<string, int> role → a sign-in of that person */
    private array $signIns = [];

    protected function setUp(): void
    {
        parent::setUp();
        $this->strangeLead = User::query()
            ->create(
                [
                    'club_id' => $this->otherSquad->club_id,
                    'name' => 'strange lead',
                    'email' => 'lead@weir.example',
                    'password' => self::PASSWORD,
                    'is_lead' => true,
                ],
            )
            ->refresh();
        $this->sessionId = $this->keptSession();
        $this->lineKey = $this->lineKey($this->sessionId, $this->players[0]->id);
        $this->send([$this->mark($this->sessionId, $this->lineKey, 1)]);
        $this->app->make(ClubContext::class)->actFor($this->squad->club_id);
        $fields = ['slug' => 'own', 'name' => 'A drill of ours'] + $this->versionOf('sole-taps')->content;
        $this->ownSlug = $this->app->make(KeepOwnDrill::class)->keep($this->squad, $fields, null, 'sole-taps')->slug;
        $this->invitationId = Invitation::query()
            ->create(
                [
                    'squad_id' => $this->squad->id,
                    'role' => Role::Coach,
                    'email' => 'new@quay.example',
                    'token_hash' => str_repeat('0', 64),
                    'expires_at_utc' => now()->addDay(),
                ],
            )
            ->id;
        foreach ($this->people() as $who => [$user]) {
            $this->signIns[$who] = SignIn::query()
                ->create(
                    [
                        'club_id' => $user->club_id,
                        'user_id' => $user->id,
                        'device' => 'A test',
                        'signed_in_at_utc' => now(),
                        'seen_at_utc' => now(),
                    ],
                )
                ->id;
        }
        $this->app->make(ClubContext::class)->leave();
        $this->app->make('auth')->forgetGuards();
    }

    public function test_every_route_has_a_rule_and_every_rule_a_route(): void
    {
        $routes = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $routes[] = "{$route->methods()[0]} {$route->uri()}";
        }

        self::assertSame([], array_values(array_diff($routes, array_keys(self::RULES), self::FRAME)), 'Say in RULES who may use these.');
        self::assertSame([], array_values(array_diff(array_keys(self::RULES), $routes)), 'These routes are gone.');
    }

    public function test_every_route_is_closed_to_nobody(): void
    {
        foreach (self::RULES as $name => $rule) {
            $answer = $this->callAs(null, $name);
            $rule === self::OPEN
                ? self::assertContains($answer->status(), [200, 403, 404, 422], $name)
                : $answer->assertStatus(401)->assertJsonPath('code', match ($rule) {
                    self::BY_TOKEN => 'unknown-token',
                    self::BY_LINK => 'link-closed',
                    default => 'signed-out',
                });
        }
    }

    /** A player's link opens that player's page, and is as good as nothing everywhere else. */
    public function test_a_players_link_opens_nothing_but_that_players_page(): void
    {
        $this->app->make(ClubContext::class)->actFor($this->squad->club_id);
        $this->app->make(OpenHomeLinks::class)->open([$this->players[0]], $this->coach);
        $link = HomeLink::query()->sole();
        $code = (string) HomeCode::ofLink($link);
        self::assertNotSame($code, $link->token_hash);
        $this->app->make(ClubContext::class)->leave();
        foreach (self::RULES as $name => $rule) {
            $closed = $this->callAs(null, $name);
            $answer = $this->callAs(null, $name, code: $code);
            if ($rule === self::BY_LINK) {
                self::assertContains($answer->status(), [200, 422], $name);
                self::assertStringNotContainsString('Bo', (string) $answer->getContent());

                continue;
            }
            self::assertSame($closed->status(), $answer->status(), $name);
            self::assertSame(
                preg_replace('/"requestId":"[^"]*"/', '', (string) $closed->getContent()),
                preg_replace('/"requestId":"[^"]*"/', '', (string) $answer->getContent()),
                $name,
            );
        }
        // With the link at hand nobody is signed in for it, and whoever is signed in has no page at home.
        $this->callAs($this->coach, 'GET api/v1/at-home')->assertUnauthorized();
    }

    /** @return array<string, array{string}> */
    public static function everybody(): array
    {
        return [
            'lead' => ['lead'],
            'coach' => ['coach'],
            'assistant' => ['assistant'],
            'neighbour' => ['neighbour'],
            'stranger' => ['stranger'],
            'strange lead' => ['strange lead'],
        ];
    }

    #[DataProvider('everybody')]
    public function test_every_route_answers_a_role_as_its_rule_says(string $who): void
    {
        [$user, $roleHere] = $this->people()[$who];
        foreach (self::RULES as $name => $rule) {
            if ($rule === self::OPEN) {
                continue;
            }
            $answer = $this->callAs($user, $name, $who);
            if ($rule === self::BY_TOKEN || $rule === self::BY_LINK) {
                $answer->assertStatus(401);

                continue;
            }
            $status = $answer->status();
            $expected = match (true) {
                ! $rule instanceof Ability => [200, 201, 204],
                $rule === Ability::Manage && $user->is_lead && $user->club_id !== $this->squad->club_id => str_contains($name, '{')
                    ? [404]
                    : [200, 201],
                // Of a person or invitation of another club not even the role is discussed.
                $rule === Ability::Manage && ! $user->is_lead => $user->club_id !== $this->squad->club_id && str_contains($name, '{')
                    ? [404, 403]
                    : [403],
                $roleHere === null => [404],
                $roleHere->may($rule) => [200, 201, 204],
                default => [403],
            };
            self::assertContains($status, $expected, "{$name} as {$who}: {$status} ".$answer->getContent());
            Contract::assertAnswer($answer, $name);
            if ($rule === self::BY_ITEM) {
                $answer->assertJsonPath('results.0.status', $roleHere === null ? 'refused' : 'accepted');
            }
        }
    }

    public function test_nobody_ends_the_sign_in_of_somebody_else(): void
    {
        $this->actingAs($this->lead)->deleteJson("/api/v1/sign-ins/{$this->signIns['coach']}")->assertNotFound();
        self::assertTrue(SignIn::query()->whereKey($this->signIns['coach'])->exists());
    }

    public function test_the_table_in_the_docs_is_what_the_code_does(): void
    {
        $rows = ['| What | Club lead | Coach | Assistant |', '|---|---|---|---|'];
        foreach (Ability::cases() as $ability) {
            $rows[] = '| '.$ability->covers().' | '.implode(
                ' | ',
                array_map(fn (Role $role): string => $role->may($ability) ? 'yes' : 'no', Role::cases()),
            ).' |';
        }

        self::assertStringContainsString(implode("\n", $rows), (string) file_get_contents(base_path('docs/roles.md')));
    }

    public function test_without_a_club_no_record_can_be_read(): void
    {
        $this->app->make(ClubContext::class)->leave();
        $this->expectException(LogicException::class);
        Player::query()->count();
    }

    public function test_every_command_has_a_rule_and_no_job_is_without(): void
    {
        $commands = array_values(array_filter(array_keys(Artisan::all()), fn (string $name): bool => str_starts_with($name, 'sparrow:')));
        sort($commands);

        self::assertSame(array_keys(self::COMMANDS), $commands, 'Say in COMMANDS what keeps a command within its walls.');
        self::assertSame([], glob(app_path('Jobs/*.php')), 'A job must say for which club it acts, and this test must call it.');
    }

    public function test_a_rebuild_of_one_club_touches_no_other_and_leaves_no_club_behind(): void
    {
        DB::table('bests')->update(['value' => 1]);
        DB::table('bests')->insert(
            [
                'club_id' => $this->otherSquad->club_id,
                'player_id' => $this->otherPlayer->id,
                'line_key' => $this->lineKey,
                'value' => 2,
                'on_day' => '2026-03-01',
                'days' => 1,
            ],
        );

        Artisan::call('sparrow:rebuild', ['--club' => $this->squad->club_id]);

        self::assertSame(
            [2.0, 11.0],
            DB::table('bests')->orderBy('value')->pluck('value')->map(fn ($value): float => (float) $value)->all(),
        );
        $this->expectException(LogicException::class);
        $this->app->make(ClubContext::class)->clubId();
    }

    /** @return array<string, array{User, Role|null}> who → user and their role in the squad */
    private function people(): array
    {
        return [
            'lead' => [$this->lead, Role::Lead],
            'coach' => [$this->coach, Role::Coach],
            'assistant' => [$this->assistant, Role::Assistant],
            'neighbour' => [$this->neighbour, null],
            'stranger' => [$this->stranger, null],
            'strange lead' => [$this->strangeLead, null],
        ];
    }

    /** Calls a route with a body that is good, and undoes what it did. */
    private function callAs(?User $user, string $name, string $who = 'coach', string $code = ''): TestResponse
    {
        [$method, $uri] = explode(' ', $name);
        DB::beginTransaction();
        $path = '/'.strtr($uri, [
            '{season}' => str_contains($uri, '{season}') ? (string) $this->endedSeason() : '',
            '{squad}' => (string) $this->squad->id, '{player}' => (string) $this->players[0]->id,
            '{session}' => (string) $this->sessionId, '{signIn}' => (string) $this->signIns[$who],
            '{person}' => (string) $this->assistant->id, '{account}' => (string) $this->assistant->id,
            '{invitation}' => (string) $this->invitationId, '{lineKey}' => $this->lineKey, '{token}' => 'nothing',
            '{slug}' => $this->slugFor($name),
        ]);
        if ($user !== null) {
            $this->actingAs($user->fresh() ?? $user);
        }
        try {
            return $this->json(
                $method,
                $path,
                $this->body($name),
                ['If-Match' => '"1"'] + ($code === '' ? [] : ['Authorization' => "Bearer {$code}"]),
            );
        } finally {
            DB::rollBack();
            $this->app->make(ClubContext::class)->leave();
            $this->app->make('auth')->forgetGuards();
            $this->flushSession();
        }
    }

    private function endedSeason(): int
    {
        return DB::table('ended_seasons')->insertGetId([
            'club_id' => $this->squad->club_id,
            'squad_id' => $this->squad->id,
            'name' => 'Autumn',
            'starts_on' => '2025-08-01',
            'ends_on' => '2025-12-20',
        ]);
    }

    /** Two days over the number of the first rung, and what the advice then says. */
    private function advice(): string
    {
        $lines = DB::table('record_lines')->where('drill_slug', 'drag-back-turn')->whereIn('side', ['R', 'L'])->pluck('line_key');
        foreach ($lines->crossJoin(['2026-03-03', '2026-03-05']) as [$line, $day]) {
            DB::table('line_days')->updateOrInsert(
                ['player_id' => $this->players[0]->id, 'line_key' => $line, 'on_day' => $day],
                ['club_id' => $this->squad->club_id, 'best' => 60, 'median' => 60, 'tries' => 1, 'open_tries' => 0],
            );
        }
        $this->app->make(ClubContext::class)->actFor($this->squad->club_id);
        foreach ($this->app->make(LadderQuery::class)->ladders($this->squad->fresh() ?? $this->squad) as $one) {
            if ($one['ladder']->slug === 'turns-over-the-line') {
                return $one['places'][$this->players[0]->id]->why;
            }
        }
        self::fail('There is no ladder of turns.');
    }

    private function slugFor(string $name): string
    {
        return match (true) {
            str_contains($name, 'advice/{slug}') => 'turns-over-the-line',
            str_ends_with($name, '/score') => 'sixteen-passes',
            str_contains($name, 'drills/{slug}') => $this->ownSlug,
            default => 'sole-taps',
        };
    }

    /** @return array<string, mixed> */
    private function body(string $name): array
    {
        $player = ['name' => 'Noor', 'bib' => null, 'strongFoot' => 'R', 'birthYear' => null];
        $settings = [
            'name' => 'Heron Quay U12',
            'ageGroup' => 'U12',
            'seasonStartsOn' => null,
            'lengthUnit' => 'yd',
            'ground' => 'grass',
            'targetSchool' => 'own-record',
            'stretchPercent' => '40',
            'chanceShown' => 'no',
            'footWording' => 'other',
            'headingProfile' => 'the-fa-2020',
            'ballSize' => 'by-age',
            'areaWidth' => null,
            'areaDepth' => null,
            'heatCareCelsius' => null,
            'heatStopCelsius' => null,
            'markersOwned' => null,
            'ballsOwned' => null,
            'bibsOwned' => null,
            'goalsOwned' => null,
            'wallPlaces' => null,
            'boardsOwned' => null,
            'markerSeconds' => null,
            'explainNewSeconds' => null,
            'explainKnownSeconds' => null,
            'explainAgainSeconds' => null,
            'explainOtherSideSeconds' => null,
            'changeOverSeconds' => null,
            'writeSeconds' => null,
        ];

        return match ($name) {
            'PUT api/v1/me/password' => ['currentPassword' => self::PASSWORD, 'password' => 'another-long-one'],
            'PUT api/v1/club/settings' => ['name' => 'Heron Quay', 'timeZone' => 'Europe/Copenhagen', 'weekStartsOn' => '1'],
            'POST api/v1/club/squads' => ['name' => 'A new one', 'ageGroup' => 'U10'],
            'PUT api/v1/club/people/{person}' => ['isLead' => false, 'roles' => [['squadId' => $this->squad->id, 'role' => 'assistant']]],
            'POST api/v1/club/invitations' => ['email' => 'other@quay.example', 'role' => 'lead', 'squadId' => null],
            'PUT api/v1/squads/{squad}/settings' => $settings,
            'POST api/v1/squads/{squad}/players', 'PUT api/v1/players/{player}' => $player,
            'POST api/v1/squads/{squad}/paper-days' => ['on' => '2026-03-05', 'playerIds' => [$this->players[0]->id]],
            'POST api/v1/squads/{squad}/seasons' => ['name' => 'Spring', 'endsOn' => '2026-03-05'],
            'GET api/v1/players/{player}/routine', 'PUT api/v1/players/{player}/routine' => [
                'minutes' => 12, 'days' => 2, 'space' => 'square', 'wall' => 'no', 'helper' => 'no', 'quiet' => 'no',
                'school' => 'both-feet',
            ],
            'PUT api/v1/squads/{squad}/home-routines' => ['minutes' => 12],
            'POST api/v1/squads/{squad}/home-answers' => ['confirm' => [], 'leaveOut' => []],
            'POST api/v1/squads/{squad}/home-sheets' => ['sheets' => [[]]],
            'POST api/v1/at-home/practice' => ['phoneToday' => '2026-03-10', 'phone' => 'a', 'practised' => [[]]],
            'PUT api/v1/players/{player}/squad' => ['squadId' => $this->squad->id],
            'PUT api/v1/players/{player}/advice/{slug}' => ['answer' => 'yes', 'why' => $this->advice()],
            'PUT api/v1/players/{player}/note' => ['note' => 'Left shoulder first.'],
            'PUT api/v1/sessions/{session}/position' => [
                'device' => '00000000-0000-4000-8000-000000000001', 'segmentId' => null, 'state' => 'running', 'remainingMs' => 0,
            ],
            'POST api/v1/sessions/{session}/looks' => ['looks' => [[]]],
            'POST api/v1/sessions/{session}/reminders' => ['events' => [[]]],
            'POST api/v1/squads/{squad}/guests' => ['bibs' => [9]],
            'PUT api/v1/sessions/{session}/run' => ['startedAt' => '2026-03-12T17:00:00Z'],
            'PUT api/v1/sessions/{session}/recap' => ['answers' => 'Small touches first.', 'howHard' => 'about-right'],
            'POST api/v1/squads/{squad}/drills', 'PUT api/v1/squads/{squad}/drills/{slug}',
            'POST api/v1/squads/{squad}/drill-trials' => [
                'fields' => ['name' => 'Another of ours'] + $this->versionOf('sole-taps')->content,
                'from' => 'sole-taps',
            ],
            'DELETE api/v1/sessions/{session}' => ['marks' => 1],
            'PUT api/v1/squads/{squad}/drills/{slug}/sharing' => ['isShared' => true],
            'PUT api/v1/squads/{squad}/drills/{slug}/target' => ['school' => 'fixed', 'number' => 30],
            'POST api/v1/squads/{squad}/drills/{slug}/score' => ['seconds' => 45.2, 'counts' => ['handling' => 1]],
            'POST api/v1/squads/{squad}/drill-files' => [
                'format' => 'fleet-sparrow/drill',
                'version' => 1,
                'drills' => [['name' => 'From a file'] + $this->versionOf('sole-taps')->content],
            ],
            'GET api/v1/squads/{squad}/reset' => ['from' => 'sole-taps', 'to' => 'zigzag-in-out'],
            'POST api/v1/marks' => ['marks' => [$this->mark($this->sessionId, $this->lineKey, 99, ['tryNumber' => 2])]],
            default => $this->plan([]),
        };
    }
}
