<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Player;
use App\Support\ClubContext;
use Illuminate\Routing\Route as RegisteredRoute;
use Illuminate\Support\Facades\Route;
use LogicException;

/** Nobody sees what is not theirs: every route as nobody and as a coach of another club with this club's ids. */
final class WallsTest extends FeatureTestCase
{
    /** Routes that need no sign-in, by name of method and path. */
    private const OPEN = ['POST api/v1/sign-in'];

    /** Routes that carry no id of a club's. */
    private const WITHOUT_ID = ['DELETE api/v1/sign-in', 'GET api/v1/me', 'GET api/v1/pulse', 'POST api/v1/marks'];

    public function test_every_route_is_closed_to_nobody(): void
    {
        foreach ($this->routes() as [$method, $path, $name]) {
            if (! in_array($name, self::OPEN, true)) {
                $this->json($method, $path)->assertStatus(401)->assertJsonPath('code', 'signed-out');
            }
        }
    }

    public function test_every_route_with_an_id_answers_404_to_another_club(): void
    {
        $checked = 0;
        foreach ($this->routes() as [$method, $path, $name]) {
            if (! in_array($name, [...self::OPEN, ...self::WITHOUT_ID], true)) {
                $this->actingAs($this->stranger)->json($method, $path, $this->plan([]), ['If-Match' => '"1"'])->assertStatus(404);
                $checked++;
            }
        }
        self::assertGreaterThanOrEqual(12, $checked);
    }

    public function test_an_assistant_runs_but_does_not_plan(): void
    {
        $sessionId = $this->keptSession();
        $this->actingAs($this->assistant);

        $this->getJson("/api/v1/sessions/{$sessionId}/run")->assertOk();
        $this->putJson("/api/v1/sessions/{$sessionId}/attendance", ['comingPlayerIds' => [$this->players[0]->id]])->assertOk();
        $this->putJson("/api/v1/sessions/{$sessionId}", $this->plan([]), ['If-Match' => '"1"'])->assertNotFound();
        $this->postJson("/api/v1/squads/{$this->squad->id}/players", ['name' => 'Noor', 'strongFoot' => 'R'])->assertNotFound();
        self::assertSame(4, Player::query()->withoutGlobalScope('club')->where('squad_id', $this->squad->id)->count());
    }

    public function test_without_a_club_no_record_can_be_read(): void
    {
        $this->app->make(ClubContext::class)->leave();
        $this->expectException(LogicException::class);
        Player::query()->count();
    }

    /** @return list<array{string, string, string}> method, path with this club's ids, name */
    private function routes(): array
    {
        $ids = ['{squad}' => $this->squad->id, '{player}' => $this->players[0]->id, '{session}' => $this->keptSession()];
        $this->app->make('auth')->forgetGuards();
        $routes = [];
        /** @var RegisteredRoute $route */
        foreach (Route::getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/v1/') && ! str_contains($route->uri(), '{path}')) {
                $method = $route->methods()[0];
                $routes[] = [$method, '/'.strtr($route->uri(), array_map(strval(...), $ids)), "{$method} {$route->uri()}"];
            }
        }
        self::assertNotEmpty($routes);

        return $routes;
    }
}
