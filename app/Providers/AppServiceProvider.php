<?php

declare(strict_types=1);

namespace App\Providers;

use App\Companion\Companion;
use App\Companion\HttpCompanion;
use App\Companion\OwnRoute;
use App\Hosts\Alive;
use App\Hosts\Measures;
use App\Hosts\PrimaryFirst;
use App\Http\Given;
use App\Models\DraftTemplate;
use App\Models\PlanPattern;
use App\Models\Task;
use App\Models\User;
use App\Pages\HttpPictures;
use App\Pages\HttpReader;
use App\Pages\HttpWorks;
use App\Pages\PageReader;
use App\Pages\PictureFinder;
use App\Pages\PublicRoute;
use App\Pages\StandInRoute;
use App\Pages\WorkFinder;
use App\Policies\OwnPolicy;
use App\Rules\Address;
use App\SignIn\Entrance;
use App\Store\NewIds;
use Embrel\Id\Ids;
use Illuminate\Auth\Access\Response;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Connection;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\ServiceProvider;
use Illuminate\Validation\Rules\Password;
use Symfony\Component\HttpFoundation\Response as Answer;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(Ids::class, NewIds::class);
        $this->app->singleton(Measures::class);
        Connection::resolverFor(
            'mariadb',
            static fn(\PDO|\Closure $pdo, string $database, string $prefix, array $config): PrimaryFirst => new PrimaryFirst(
                $pdo,
                $database,
                $prefix,
                $config,
            ),
        );
        $this->app->bind(PictureFinder::class, static fn(): PictureFinder => config('embrel.pictures') === ''
            ? new HttpPictures(new StandInRoute((int) config('embrel.stand_in_port')), 'http://pictures.example')
            : new HttpPictures(new PublicRoute(), (string) config('embrel.pictures')));
        $this->app->bind(WorkFinder::class, static function (): WorkFinder {
            /** @var array<string, string> $addresses */
            $addresses = config('embrel.works');

            return new HttpWorks(new PublicRoute(), new StandInRoute((int) config('embrel.stand_in_port')), $addresses);
        });
        $this->app->bind(Companion::class, static function (): Companion {
            /** @var array{address: string, key: string, model: string, seconds: float, silence: float} $set */
            $set = config('embrel.companion');
            $isReal = $set['address'] !== '' && $set['key'] !== '';

            return new HttpCompanion(
                $isReal ? (string) parse_url($set['address'], PHP_URL_HOST) : 'a stand-in on this machine',
                $isReal ? new OwnRoute() : new StandInRoute((int) config('embrel.stand_in_port')),
                $isReal ? $set['address'] : 'http://companion.example',
                $isReal ? $set['key'] : '',
                $set['model'],
                $set['seconds'],
                $set['silence'],
            );
        });
        $this->app->bind(
            PageReader::class,
            static fn(): PageReader => new HttpReader(
                config('embrel.page_reader') === 'web' ? new PublicRoute() : new StandInRoute((int) config('embrel.stand_in_port')),
            ),
        );
    }

    public function boot(): void
    {
        if (!$this->app->runningInConsole()) {
            // What a request leaves goes with it: to look for it amid a plan of 5,000 topics costs as much as reading the plan.
            gc_disable();
        }
        Queue::looping(static fn() => Alive::says('worker'));
        Queue::after(fn() => $this->app->make(Measures::class)->keep());
        TrustProxies::at((array) config('embrel.proxies'));
        foreach ([DraftTemplate::class, PlanPattern::class, Task::class] as $own) {
            Gate::policy($own, OwnPolicy::class);
        }
        // To others the page is not there.
        Gate::define(
            'administer',
            static fn(User $user): Response => $user->is_administrator ? Response::allow() : Response::denyAsNotFound(),
        );
        URL::useOrigin((string) config('app.url'));
        URL::forceScheme((string) (parse_url((string) config('app.url'), PHP_URL_SCHEME) ?: 'http'));
        Password::defaults(static fn(): Password => Password::min(8));
        // By account, whoever asks, and by machine, whatever it asks for.
        RateLimiter::for('sign-in', static function (Request $request): array {
            $most = (int) config('embrel.sign_ins_a_minute');
            $account = $request->user()?->getAuthIdentifier() ?? Address::spelt(Given::text($request, 'email'));

            return [Limit::perMinute($most)->by("account {$account}"), Limit::perMinute(6 * $most)->by("machine {$request->ip()}")];
        });
        // A code has six digits, and three are good at a time: by account, whatever machine tries them, and few in an hour.
        RateLimiter::for('second-step', static function (Request $request): array {
            $who = ($request->user() ?? Entrance::waiting($request))->id ?? $request->ip();
            $most = (int) config('embrel.sign_ins_a_minute');

            return [Limit::perMinute($most)->by("code {$who}"), Limit::perHour(3 * $most)->by("code in an hour {$who}")];
        });
        // Who asks for many that lead nowhere is guessing.
        RateLimiter::for('links', static fn(Request $request): array => [
            Limit::perMinute(300)->by("links {$request->ip()}"),
            Limit::perMinute(20)->by("guesses {$request->ip()}")->after(
                static fn(Answer $response): bool => $response->getStatusCode() === 404,
            ),
        ]);
        // A class that follows from one address asks often; who misses is guessing all the same.
        RateLimiter::for('watching', static fn(Request $request): array => [
            Limit::perMinute(6000)->by("watching {$request->ip()}"),
            Limit::perMinute(20)->by("guesses {$request->ip()}")->after(
                static fn(Answer $response): bool => $response->getStatusCode() === 404,
            ),
        ]);
        RateLimiter::for('letters', static fn(Request $request): Limit => Limit::perMinute(60)->by("letters {$request->ip()}"));
        // By address and by target: neither many guesses at one link, nor one guess at many.
        RateLimiter::for('link-password', static function (Request $request): array {
            $end = $request->route('end');

            return [
                Limit::perMinute(10)->by('link ' . (\is_string($end) ? $end : '')),
                Limit::perMinute(20)->by("link-password {$request->ip()}"),
            ];
        });
        RateLimiter::for(
            'comments',
            static fn(Request $request): Limit => Limit::perMinute(120)->by(
                (string) ($request->user()?->getAuthIdentifier() ?? $request->ip()),
            ),
        );
        RateLimiter::for(
            'invitations',
            static fn(Request $request): Limit => Limit::perMinute(60)->by((string) $request->user()?->getAuthIdentifier()),
        );
        RateLimiter::for(
            'pages',
            static fn(Request $request): Limit => Limit::perMinute(60)->by(
                (string) ($request->user()?->getAuthIdentifier() ?? $request->ip()),
            ),
        );
        // As many as some lists of found pictures have.
        RateLimiter::for(
            'small-pictures',
            static fn(Request $request): Limit => Limit::perMinute(600)->by((string) $request->user()?->getAuthIdentifier()),
        );
        RateLimiter::for(
            'uploads',
            static fn(Request $request): Limit => Limit::perMinute(30)->by(
                (string) ($request->user()?->getAuthIdentifier() ?? $request->ip()),
            ),
        );
    }
}
