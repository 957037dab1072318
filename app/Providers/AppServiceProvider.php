<?php

declare(strict_types=1);

namespace App\Providers;

use App\Support\ClubContext;
use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Illuminate\Support\Str;

class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(ClubContext::class);
    }

    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        Model::shouldBeStrict(app()->environment() !== 'production');
        DB::prohibitDestructiveCommands(app()->environment() === 'production');
        JsonResource::withoutWrapping();
        // Without host or port, so that the same page works under every address the machine has.
        Vite::createAssetPathsUsing(fn (string $path): string => "/{$path}");
        RateLimiter::for('sign-in', fn (Request $request): array => [
            Limit::perMinute(10)->by(Str::lower($request->string('email')->toString()).'|'.$request->ip()),
            Limit::perMinute(60)->by((string) $request->ip()),
        ]);
    }
}
