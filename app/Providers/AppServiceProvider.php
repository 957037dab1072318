<?php

declare(strict_types=1);

namespace App\Providers;

use App\Auth\HomeCode;
use App\Auth\SignInUserProvider;
use App\Models\HomeLink;
use App\Models\User;
use App\Tenancy\ClubContext;
use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;

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
        // Links and resets are tried by strangers; a person needs a handful.
        RateLimiter::for('open-door', fn (Request $request): Limit => Limit::perMinute(30)->by((string) $request->ip()));
        // A device sends every second or two; a field has a handful of them behind one address.
        RateLimiter::for('feed', fn (Request $request): Limit => Limit::perMinute(600)->by((string) $request->ip()));
        // A page at home asks for its week and sends what was practised; a street of them may lie behind one address.
        RateLimiter::for('home', fn (Request $request): Limit => Limit::perMinute(120)->by((string) $request->ip()));
        Auth::viaRequest('home-link', fn (Request $request): ?HomeLink => HomeCode::linkOf((string) $request->bearerToken()));
        Auth::provider(
            'sign-ins',
            fn ($app, array $config): SignInUserProvider => new SignInUserProvider($app->make(Hasher::class), $config['model']),
        );
        // Ids are whole numbers: the database would read "1x" as 1.
        Route::patterns(array_fill_keys(['squad', 'player', 'session', 'person', 'account', 'invitation', 'signIn'], '[1-9][0-9]{0,14}'));
        // Slugs, keys and links as they are made: what cannot be one is not found.
        Route::patterns(array_fill_keys(['slug', 'token'], '[A-Za-z0-9-]{1,80}') + ['lineKey' => '[0-9a-f]{32}']);
        // People of another club are not found; an account behind a signed link is named by the link itself.
        Route::bind(
            'person',
            fn (string $id): User => User::query()->where('club_id', resolve(ClubContext::class)->clubId())->findOrFail($id),
        );
        Route::model('account', User::class);
    }
}
