<?php

declare(strict_types=1);

// The application as it is, and beside it the floor: a bare JSON route that does one query. Both
// are signed in by a header that only this file knows.

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

chdir(__DIR__ . '/../public');
require __DIR__ . '/../vendor/autoload.php';
$app = require __DIR__ . '/../bootstrap/app.php';
$app->booted(static function (): void {
    Route::get('/bench/floor', static fn() => response()->json(['users' => DB::table('users')->count()]));
    app('router')->prependMiddlewareToGroup('web', BenchSignIn::class);
});
final class BenchSignIn
{
    public function handle(Request $request, Closure $next): mixed
    {
        Auth::setUser(User::query()->firstOrFail());
        app()->bind(Illuminate\Foundation\Http\Middleware\ValidateCsrfToken::class, BenchNoToken::class);

        return $next($request);
    }
}

final class BenchNoToken extends Illuminate\Foundation\Http\Middleware\ValidateCsrfToken
{
    protected function inExceptArray($request): bool
    {
        return true;
    }
}

$app->handleRequest(Request::capture());
