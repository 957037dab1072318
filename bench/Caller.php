<?php

declare(strict_types=1);

namespace Bench;

use App\Models\User;
use App\Tenancy\ClubContext;
use CurlHandle;
use Illuminate\Contracts\Http\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Config;
use Illuminate\Support\Facades\DB;
use RuntimeException;

/** Calls a server as a browser does, and the same inside this process to count what it asks of the database. */
final class Caller
{
    private CurlHandle $http;

    /** @param  non-empty-string  $address */
    public function __construct(private readonly string $address)
    {
        $this->http = curl_init();
        // Cookies stay in memory. A file named anew at every call would be read once more each time, and the calls grow slower.
        curl_setopt($this->http, CURLOPT_COOKIEFILE, '');
    }

    /**
     * @param  array<string, mixed>|null  $body
     * @return float milliseconds
     */
    public function call(string $method, string $path, ?array $body = null): float
    {
        $token = '';
        foreach (curl_getinfo($this->http, CURLINFO_COOKIELIST) as $line) {
            $parts = explode("\t", $line);
            $token = ($parts[5] ?? '') === 'XSRF-TOKEN' ? urldecode($parts[6]) : $token;
        }
        /** @var non-empty-string $method */
        curl_setopt($this->http, CURLOPT_CUSTOMREQUEST, $method);
        curl_setopt_array($this->http, [
            CURLOPT_URL => "{$this->address}{$path}", CURLOPT_RETURNTRANSFER => true,
            CURLOPT_POSTFIELDS => $body === null ? '' : json_encode($body, JSON_THROW_ON_ERROR),
            CURLOPT_HTTPHEADER => ['Accept: application/json', 'Content-Type: application/json', "X-XSRF-TOKEN: {$token}"],
        ]);
        $start = hrtime(true);
        curl_exec($this->http);
        $milliseconds = (hrtime(true) - $start) / 1e6;
        $status = curl_getinfo($this->http, CURLINFO_RESPONSE_CODE);
        if ($status >= 400 && $path !== '/api/v1/pulse') {
            throw new RuntimeException("{$method} {$path} answered {$status}.");
        }

        return $milliseconds;
    }

    /**
     * @param  callable(): float  $run
     * @param  int  $before  that do not count
     * @return float the middle of so many
     */
    public function median(callable $run, int $rounds, int $before = 3): float
    {
        for ($i = 0; $i < min($before, $rounds); $i++) {
            $run();
        }
        $times = array_map(fn (): float => $run(), range(1, $rounds));
        sort($times);

        return $times[intdiv($rounds, 2)];
    }

    /**
     * @param  array<string, mixed>|null  $body
     * @return array{int, float} queries, peak memory in MB
     */
    public function inside(Application $app, User $as, string $path, string $method = 'GET', ?array $body = null): array
    {
        $app->make(ClubContext::class)->leave();
        Auth::forgetGuards();
        Auth::guard()->setUser(User::query()->findOrFail($as->id));
        $queries = 0;
        /** @var bool $listening changed by who holds the reference */
        $listening = true;
        DB::listen(function () use (&$queries, &$listening): void {
            $queries += $listening ? 1 : 0;
        });
        memory_reset_peak_usage();
        $response = $app->make(Kernel::class)->handle(Request::create(
            $path,
            $method,
            // As a browser that has been here: a stranger may send little.
            cookies: [Config::string('session.cookie') => 'of the bench'],
            content: $body === null ? '' : (string) json_encode($body),
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json'],
        ));
        $listening = false;
        $app->make(ClubContext::class)->actFor($as->club_id);
        if ($response->getStatusCode() >= 400 && $response->getStatusCode() !== 419) {
            throw new RuntimeException("{$method} {$path} answered {$response->getStatusCode()} inside.");
        }

        return [$queries + 1, memory_get_peak_usage() / 1048576];
    }
}
