<?php

declare(strict_types=1);

// The application as it is, and beside it the floor: a bare JSON route that does one query. Both
// are signed in by a header that only this file knows.

use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;

$file = realpath(__DIR__ . '/../public' . parse_url((string) $_SERVER['REQUEST_URI'], PHP_URL_PATH));
if ($file !== false && str_starts_with($file, realpath(__DIR__ . '/../public/build') . '/')) {
    header(
        'Content-Type: '
            . (['css' => 'text/css', 'js' => 'text/javascript'][pathinfo($file, PATHINFO_EXTENSION)] ?? 'application/octet-stream'),
    );
    header('Cache-Control: public, max-age=31536000, immutable');
    readfile($file);

    return;
}
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
        Auth::setUser(User::query()->findOrFail((int) $request->headers->get('X-Person', '1')));
        app()->bind(App\Http\Middleware\ChecksToken::class, BenchNoToken::class);

        return $next($request);
    }
}

final class BenchNoToken extends Illuminate\Foundation\Http\Middleware\ValidateCsrfToken
{
    protected $addHttpCookie = false;

    protected function inExceptArray($request): bool
    {
        return true;
    }
}

$app->handleRequest(Request::capture());
