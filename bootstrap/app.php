<?php

declare(strict_types=1);

use App\Exceptions\Answers;
use App\Http\Middleware\ChecksToken;
use App\Http\Middleware\KnownHost;
use App\Http\Middleware\Measured;
use App\Http\Middleware\NotesWriting;
use App\Http\Middleware\ReadsLate;
use App\Http\Middleware\SecurityHeaders;
use App\Http\Middleware\StartsSession;
use App\Http\Middleware\StaysSignedIn;
use App\Http\Middleware\WellFormed;
use Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Session\Middleware\StartSession;

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__ . '/../routes/web.php', commands: __DIR__ . '/../routes/console.php')
    ->withMiddleware(static function (Middleware $middleware): void {
        // One origin only: there is nothing to share across.
        $middleware->remove(Illuminate\Http\Middleware\HandleCors::class);
        // Titles and notes are kept to the letter; what is to be trimmed, the core trims.
        $middleware->trimStrings(except: [static fn($request): bool => $request->isJson()]);
        $middleware->convertEmptyStringsToNull(except: [static fn($request): bool => $request->isJson()]);
        $middleware->prepend([Measured::class, SecurityHeaders::class, KnownHost::class, WellFormed::class]);
        $middleware->web(
            append: [StaysSignedIn::class, NotesWriting::class],
            replace: [StartSession::class => StartsSession::class, ValidateCsrfToken::class => ChecksToken::class],
        );
        $middleware->appendToPriorityList(StartSession::class, StaysSignedIn::class);
        $middleware->alias(['late' => ReadsLate::class]);
        $middleware->appendToPriorityList(AuthenticatesRequests::class, ReadsLate::class);
        $middleware->redirectUsersTo('/plans');
    })
    ->withCommands([__DIR__ . '/../app/Console/Commands'])
    ->withExceptions(static fn(Exceptions $exceptions) => Answers::register($exceptions))
    ->create();
