<?php

declare(strict_types=1);

namespace App\Providers;

use App\Http\Given;
use App\Pages\HttpReader;
use App\Pages\PageReader;
use App\Pages\PublicRoute;
use App\Pages\StandInRoute;
use App\Store\NewIds;
use Embrel\Id\Ids;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;
use Illuminate\Validation\Rules\Password;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Ids::class, NewIds::class);
        $this->app->bind(PageReader::class, static fn(): PageReader => new HttpReader(config('embrel.page_reader') === 'web' ? new PublicRoute() : new StandInRoute((int) config('embrel.stand_in_port'))));
    }

    public function boot(): void
    {
        Password::defaults(static fn(): Password => Password::min(8));
        RateLimiter::for('sign-in', static fn(Request $request): Limit => Limit::perMinute((int) config('embrel.sign_ins_a_minute'))->by(mb_strtolower(Given::text($request, 'email')) . '|' . $request->ip()));
        RateLimiter::for('pages', static fn(Request $request): Limit => Limit::perMinute(60)->by((string) $request->user()?->getAuthIdentifier()));
        RateLimiter::for('uploads', static fn(Request $request): Limit => Limit::perMinute(30)->by((string) ($request->user()?->getAuthIdentifier() ?? $request->ip())));
    }
}
